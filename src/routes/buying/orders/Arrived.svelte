<script lang="ts">
	import type { ListedOrder } from '$lib/server/buying/orders/orders-view';
	import { parseAmount } from '$lib/core/money/amount';
	import type { Problem } from '$lib/core/problem';
	import { countOf, formatDay, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import type { OrderBook } from './order-book.svelte';

	/** An order or a pick-up that is here: when, from whom, at what price, why; and what is asked back still. */
	let { order, book }: { order: ListedOrder; book: OrderBook } = $props();
	const money = (minor: number) => formatMoney(minor, order.currency);
	const open = $derived(order.lines.filter(({ isOpen }) => isOpen));
	let refunds = $state<Record<number, string>>({});
	let misread = $state.raw<readonly Problem[]>([]);
	function settle(line: number) {
		const read = parseAmount(refunds[line]?.trim() || '0', order.currency);
		misread = read.ok ? [] : read.problems;
		if (read.ok) void book.settle(order.id, line, read.value.minor);
	}
	const names = $derived(
		order.lines.map(({ name, quantity }) => (quantity > 1 ? `${name} × ${quantity}` : name))
	);
</script>

<li class="border-t border-base-300 py-2" data-testid="arrived">
	<div class="flex flex-wrap items-baseline gap-x-4">
		<span class="w-28 shrink-0 text-sm quiet">{formatDay(order.hereOn ?? order.orderedOn)}</span>
		<span class="min-w-0 flex-1 basis-60"
			><strong class="font-serif font-medium">{order.from}</strong>
			{countOf(order.cards, 'card')}{order.note ? `: ${order.note}` : ''}
			<span class="block truncate text-sm quiet" title={names.join(', ')}>{names.join(', ')}</span>
		</span>
		<span class="text-right"
			>{money(order.paidMinor)}
			<span class="block text-sm quiet"
				>{money(Math.round((order.paidMinor - order.openMinor) / Math.max(1, order.cards)))} a card</span
			></span
		>
	</div>
	{#each open as line (line.id)}
		<form
			class="mt-1 flex flex-wrap items-center gap-2 pl-28 max-sm:pl-0"
			onsubmit={(event) => {
				event.preventDefault();
				settle(line.id);
			}}
		>
			<span class="text-sm text-accent"
				>{money(line.askedMinor - line.refundMinor)} asked back for {line.name}</span
			>
			<input
				class="input w-24 input-xs"
				inputmode="decimal"
				aria-label="{line.name}: given back"
				placeholder="given back"
				bind:value={refunds[line.id]}
			/>
			<button class="btn btn-xs">Settle</button>
		</form>
	{/each}
	<ProblemAlert problems={[...misread, ...book.problemsOf(book.ofOrder(order.id))]} class="mt-1" />
</li>

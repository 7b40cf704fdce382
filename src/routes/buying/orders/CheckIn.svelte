<script lang="ts">
	import { untrack } from 'svelte';
	import { checkIn, type Arrival } from '$lib/core/buying/orders/check-in';
	import { CONDITIONS, type Condition } from '$lib/core/copies/condition';
	import { parseAmount } from '$lib/core/money/amount';
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { ListedOrder } from '$lib/server/buying/orders/orders-view';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import type { OrderBook } from './order-book.svelte';

	/** What came of an order, line by line: as ordered, unless something else is said. */
	let { order, book, close }: { order: ListedOrder; book: OrderBook; close: () => void } = $props();
	interface Row {
		came: { quantity: number | null; condition: Condition | '' }[];
		asked: string;
	}
	let rows = $state<Row[]>(
		untrack(() =>
			order.lines.map(({ quantity, condition }) => ({
				came: [{ quantity, condition: condition ?? '' }],
				asked: ''
			}))
		)
	);
	const money = (minor: number) => formatMoney(minor, order.currency);
	const arrivals = $derived(
		order.lines.map((line, i): Arrival => {
			const { came = [], asked = '' } = rows[i] ?? {};
			const amount = asked.trim() === '' ? null : parseAmount(asked, order.currency);
			return {
				line: String(line.id),
				came: came.map(({ quantity, condition }) => ({
					quantity: quantity ?? 0,
					...(condition === '' ? {} : { condition })
				})),
				...(amount?.ok ? { askedMinor: amount.value.minor } : {})
			};
		})
	);
	const misread = $derived(
		rows.flatMap(({ asked }, i) => {
			const read = asked.trim() === '' ? null : parseAmount(asked, order.currency);
			return read && !read.ok
				? read.problems.map((problem) => ({
						...problem,
						message: `${order.lines[i]?.name ?? ''}: ${problem.message}`
					}))
				: [];
		})
	);
	/** The same as the server will do. */
	const checked = $derived(
		checkIn(
			{
				lines: order.lines.map(({ id, quantity, minor, condition }) => ({
					...{ key: String(id), version: '', quantity, minor },
					...(condition ? { condition } : {})
				})),
				postageMinor: order.postageMinor + order.forwardingMinor
			},
			arrivals
		)
	);
	/** Its problems, by what the line is called. */
	const wrong = $derived(
		checked.ok
			? []
			: checked.problems.map(({ pointer, message, ...problem }) => {
					const line = order.lines[Number(pointer?.split('/')[2] ?? NaN)];
					return { ...problem, message: line ? `${line.name}: ${message}` : message };
				})
	);
	const claims = $derived(
		new Map(checked.ok ? checked.value.claims.map((claim) => [claim.line, claim]) : [])
	);
	const here = $derived(
		checked.ok ? checked.value.cards.reduce((sum, { quantity }) => sum + quantity, 0) : 0
	);
	async function submit(event: SubmitEvent) {
		event.preventDefault();
		if (misread.length > 0 || !checked.ok) return;
		if (await book.checkIn(order.id, arrivals)) close();
	}
	/** The first field has the focus: keys alone will do. */
	const focus = (element: HTMLInputElement) => element.select();
</script>

<form class="mt-3" onsubmit={submit} aria-label="Check in the order at {order.from}">
	<p class="mb-2 text-sm quiet">
		Change only what is not as it was ordered. Enter checks it in; Esc leaves it.
	</p>
	<ul>
		{#each order.lines as line, i (line.id)}
			{@const row = rows[i]}
			{@const claim = claims.get(String(line.id))}
			<li class="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-base-300 py-1">
				<span class="min-w-0 flex-1 basis-48"
					>{line.name}{line.quantity > 1 ? ` × ${line.quantity}` : ''}
					<span class="text-sm quiet">{line.condition ?? ''} {money(line.minor)}</span></span
				>
				{#each row?.came ?? [] as part, p (p)}
					<span class="flex items-center gap-1">
						<input
							type="number"
							min="0"
							max={line.quantity}
							class="input w-16 input-sm"
							aria-label="{line.name}: came{p > 0 ? ', in another condition' : ''}"
							bind:value={part.quantity}
							onkeydown={({ key }) => key === 'Escape' && close()}
							{@attach i === 0 && p === 0 ? focus : () => undefined}
						/>
						<select
							class="select w-32 select-sm"
							aria-label="{line.name}: condition{p > 0 ? ' of the others' : ''}"
							bind:value={part.condition}
						>
							<option value="">not said</option>
							{#each CONDITIONS as condition (condition)}<option value={condition}
									>{condition}</option
								>{/each}
						</select>
					</span>
				{/each}
				{#if line.quantity > 1 && row?.came.length === 1}
					<button
						type="button"
						class="btn btn-ghost btn-xs"
						title="Some of them came in another condition"
						onclick={() => row.came.push({ quantity: 0, condition: '' })}>and others</button
					>
				{/if}
				{#if claim && row}
					<label class="flex items-center gap-2 text-sm"
						><span class="text-accent"
							>{claim.short > 0 ? `${claim.short} short` : 'worse'}, ask back</span
						>
						<input
							class="input w-24 input-sm"
							inputmode="decimal"
							placeholder={formatMinor(claim.askedMinor, order.currency)}
							bind:value={row.asked}
						/></label
					>
				{/if}
			</li>
		{/each}
	</ul>
	<ProblemAlert problems={[...misread, ...wrong]} class="my-2" />
	<div class="mt-2 flex flex-wrap items-center gap-3">
		<button class="btn btn-primary btn-sm">Check in {countOf(here, 'card')}</button>
		<button type="button" class="btn btn-ghost btn-sm" onclick={close}>Not now</button>
		{#if checked.ok}
			<span class="text-sm"
				>They cost {money(checked.value.costMinor)}{checked.value.openMinor > 0
					? `; ${money(checked.value.openMinor)} is asked back`
					: ''}.</span
			>
		{/if}
	</div>
</form>

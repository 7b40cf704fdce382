<script lang="ts">
	import type { Problem } from '$lib/core/problem';
	import { parseAmount } from '$lib/core/money/amount';
	import type { NamedBid } from '$lib/server/buying/orders/bids';
	import { formatDay, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import type { OrderBook } from './order-book.svelte';

	interface Props {
		bid: NamedBid;
		/** ISO 8601 day */
		today: string;
		book: OrderBook;
	}
	/** An open bid, and how it ended. */
	let { bid, today, book }: Props = $props();
	let won = $state('');
	let misread = $state.raw<readonly Problem[]>([]);
	function win(event: SubmitEvent) {
		event.preventDefault();
		const read = won.trim() === '' ? null : parseAmount(won, bid.currency);
		misread = read && !read.ok ? read.problems : [];
		if (read && !read.ok) return;
		void book.endBid(bid.id, read ? read.value.minor : bid.mostMinor);
	}
</script>

<li
	class="flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-base-300 py-2"
	data-testid="bid"
>
	<span class="min-w-0 flex-1 basis-60"
		><strong class="font-serif font-medium">{bid.name}</strong>, {bid.release}
		<span class="block text-sm quiet"
			>{[bid.condition, `at ${bid.from}`, bid.note].filter(Boolean).join(' · ')}</span
		></span
	>
	<span
		>{formatMoney(bid.mostMinor, bid.currency)}{bid.postageMinor > 0
			? ` and ${formatMoney(bid.postageMinor, bid.currency)} postage`
			: ''}
		<span class={['block text-sm', bid.endsOn < today ? 'text-error' : 'quiet']}
			>{bid.endsOn < today ? 'ended' : 'ends'} {formatDay(bid.endsOn)}</span
		></span
	>
	<form class="flex items-center gap-2" onsubmit={win}>
		<input
			class="input w-24 input-sm"
			inputmode="decimal"
			aria-label="{bid.name}: won for"
			placeholder="won for"
			bind:value={won}
		/>
		<button class="btn btn-sm">Won</button>
		<button
			type="button"
			class="btn btn-ghost btn-sm"
			onclick={() => void book.endBid(bid.id, null)}>Lost</button
		>
	</form>
	<ProblemAlert problems={[...misread, ...book.problemsOf(`bid ${bid.id}`)]} class="w-full" />
</li>

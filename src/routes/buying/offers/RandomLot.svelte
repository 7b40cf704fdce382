<script lang="ts">
	import { lotCoverage } from '$lib/core/buying/lots/lot-coverage';
	import { parseAmount } from '$lib/core/money/amount';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	interface Props {
		/** Different cards of the release that may be in a lot, and how many of them are wanted. */
		kinds: number;
		wanted: number;
		currency: string;
	}
	let { kinds, wanted, currency }: Props = $props();
	let cards = $state<number | null>(100);
	let price = $state('');
	let isAllDifferent = $state(false);
	const MOST = 20_000;
	const amount = $derived(price.trim() === '' ? null : parseAmount(price, currency));
	const wrong = $derived(
		cards === null || !Number.isInteger(cards) || cards < 1 || cards > MOST
			? `How many cards is it? From 1 to ${MOST}.`
			: isAllDifferent && cards > kinds
				? `There are only ${kinds} different cards.`
				: ''
	);
	const coverage = $derived(
		wrong ? null : lotCoverage({ cards: cards ?? 0, kinds, wanted, isAllDifferent })
	);
	/** The number that is reached with a chance of 19 in 20, and that of 1 in 20. */
	const range = $derived.by(() => {
		if (!coverage) return [0, 0];
		let [sum, low, high] = [0, 0, 0];
		for (const [count, chance] of coverage.chances.entries()) {
			if (sum < 0.05) low = count;
			if (sum < 0.95) high = count;
			sum += chance;
		}
		return [low, high];
	});
</script>

<div class="mt-2 flex flex-wrap items-end gap-3">
	<Field label="Cards in it"
		><input type="number" min="1" class="input w-24 input-sm" bind:value={cards} /></Field
	>
	<Field label="For"
		><input class="input w-24 input-sm" inputmode="decimal" bind:value={price} /></Field
	>
	<label class="flex items-center gap-2 text-sm"
		><input type="checkbox" class="checkbox checkbox-sm" bind:checked={isAllDifferent} /> all different</label
	>
</div>
<p class="mt-2" role="status" data-testid="lot">
	{#if wrong}<span class="text-error">{wrong}</span>{:else if coverage}
		Of {countOf(wanted, 'wanted card')} among {kinds}, such a lot brings
		<strong>{coverage.expected.toFixed(1)}</strong>, usually {range[0]} to {range[1]}{#if amount?.ok && coverage.expected > 0}:
			<strong
				>{formatMoney(Math.round(amount.value.minor / coverage.expected), currency)} a wanted card</strong
			>{/if}.
		{#if amount && !amount.ok}<span class="text-error">{amount.problems[0]?.message}</span>{/if}
	{/if}
</p>

<script lang="ts">
	import type { BuildOutcome } from '$lib/core/selling/building/build-to-sell';
	import { formatMoney } from '$lib/ui/numerals';

	interface Props {
		outcomes: readonly BuildOutcome[];
		bestSets: number | null;
		bestPerHourSets: number | null;
		breakEvenSets: number | null;
		currency: string;
	}
	/** What 1, 2 … sets cost, bring and take. */
	let { outcomes, bestSets, bestPerHourSets, breakEvenSets, currency }: Props = $props();
	/** Rows that are shown: the first, and those where something changes its meaning. */
	const MOST = 20;
	const shown = $derived(
		outcomes.filter(
			({ sets }, i) =>
				i < MOST || [bestSets, bestPerHourSets, breakEvenSets, outcomes.length].includes(sets)
		)
	);
	const money = (minor: number) => formatMoney(minor, currency);
	const marks = (sets: number) =>
		[
			sets === breakEvenSets && 'nothing is lost',
			sets === bestSets && 'most is won',
			sets === bestPerHourSets && sets !== bestSets && 'most is won an hour'
		].filter(Boolean);
</script>

<div class="mb-4 overflow-x-auto">
	<table class="table w-auto table-sm">
		<thead
			><tr
				><th class="text-right">Sets</th><th class="text-right">Cards</th><th class="text-right"
					>Supplies</th
				><th class="text-right">Packing</th><th class="text-right">Fees</th><th class="text-right"
					>They bring</th
				><th class="text-right">Left over</th><th class="text-right">A set costs</th><th
					class="text-right">Hours a set</th
				><th class="text-right">An hour brings</th><th></th></tr
			></thead
		>
		<tbody>
			{#each shown as outcome (outcome.sets)}
				<tr data-testid="outcome">
					<td class="text-right"><strong>{outcome.sets}</strong></td>
					<td class="text-right">{money(outcome.cardsMinor)}</td>
					<td class="text-right">{money(outcome.suppliesMinor)}</td>
					<td class="text-right">{money(outcome.packingMinor)}</td>
					<td class="text-right">{money(outcome.feesMinor)}</td>
					<td class="text-right">{money(outcome.revenueMinor)}</td>
					<td class={['text-right text-lg', outcome.profitMinor < 0 && 'text-error']}
						>{money(outcome.profitMinor)}</td
					>
					<td class="text-right">{money(outcome.costPerSetMinor)}</td>
					<td class="text-right">{outcome.hoursPerSet.toFixed(1)}</td>
					<td class="text-right"
						>{outcome.profitPerHourMinor === null ? '' : money(outcome.profitPerHourMinor)}</td
					>
					<td class="text-sm">{marks(outcome.sets).join(', ')}</td>
				</tr>
			{/each}
		</tbody>
	</table>
</div>

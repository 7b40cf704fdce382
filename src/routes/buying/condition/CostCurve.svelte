<script lang="ts">
	import { amountOf } from '$lib/core/money/minor-units';
	import LineChart from '$lib/ui/LineChart.svelte';
	import { formatMoney } from '$lib/ui/numerals';

	interface Props {
		/** Cost by average, rising. */
		curve: readonly { readonly average: number; readonly minor: number }[];
		currency: string;
		/** Averages of the plans that are looked at. */
		marks: readonly { readonly average: number; readonly minor: number }[];
	}
	/** What each step in condition costs. */
	let { curve, currency, marks }: Props = $props();
	const pointOf = ({ average, minor }: Props['curve'][number]) => ({
		x: average,
		y: amountOf(minor, currency)
	});
	/** A few of its points in numbers. */
	const rows = $derived(
		curve.filter(
			(_, i) => i % Math.max(1, Math.floor(curve.length / 6)) === 0 || i === curve.length - 1
		)
	);
</script>

<LineChart
	lines={[{ name: 'cost', points: curve.map(pointOf) }]}
	marks={marks.map(pointOf)}
	x="average condition, 1 to 10"
	y="cost, {currency}"
/>
<ul class="mt-1 flex flex-wrap gap-x-5 text-sm" aria-label="Cost by average condition">
	{#each rows as { average, minor } (average)}
		<li><span class="quiet">{average.toFixed(1)}</span> {formatMoney(minor, currency)}</li>
	{/each}
</ul>

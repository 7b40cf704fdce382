<script lang="ts">
	import { amountOf } from '$lib/core/money/minor-units';
	import type { OpeningView } from '$lib/server/packs/openings/openings-view';
	import LineChart from '$lib/ui/LineChart.svelte';
	import { formatMoney } from '$lib/ui/numerals';

	/** What a new card cost as packs were opened; without a price, how many came. */
	let { data }: { data: OpeningView } = $props();
	const isPriced = $derived(data.packMinor !== null);
	const line = $derived(
		data.points.flatMap(({ packs, freshAPack, costPerNewMinor }) => {
			const y = isPriced ? costPerNewMinor && amountOf(costPerNewMinor, data.currency) : freshAPack;
			return y === null ? [] : [{ x: packs, y }];
		})
	);
	const few = $derived.by(() => {
		const step = Math.max(1, Math.floor(data.points.length / 6));
		return data.points.filter((_, i) => i === data.points.length - 1 || i % step === 0);
	});
</script>

<section aria-labelledby="new-cards">
	<h2 id="new-cards" class="mb-1 font-serif text-xl">
		{isPriced ? 'What a new card cost' : 'New cards a pack'}
	</h2>
	<LineChart
		lines={[{ name: 'over the last dozen packs', points: line }]}
		x="packs opened"
		y={isPriced ? `a new card, ${data.currency}` : 'new cards a pack'}
		class="h-44"
	/>
	<ul class="mt-1 flex flex-wrap gap-x-5 text-sm" aria-label="New cards by packs opened">
		{#each few as { packs, fresh, costPerNewMinor } (packs)}
			<li>
				<span class="quiet">{packs}</span>
				{fresh} new{costPerNewMinor === null
					? ''
					: `, ${formatMoney(Math.round(costPerNewMinor), data.currency)}`}
			</li>
		{/each}
	</ul>
	<p class="text-sm quiet">
		Each point looks back over the last dozen packs, or a larger last pile.
	</p>
</section>

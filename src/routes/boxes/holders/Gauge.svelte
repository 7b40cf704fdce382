<script lang="ts">
	import { chooseHolder } from '$lib/core/storage/holders/choose-holder';
	import { HOLDER_KINDS, type HolderKind } from '$lib/core/storage/kinds/holder-kind';
	import { gaugePt } from '$lib/core/storage/room/stack-height';
	import { THICKNESS_UNITS, UM_A_PT, type ThicknessUnit } from '$lib/core/measuring/stock';
	import Field from '$lib/ui/Field.svelte';

	/** Kinds of one's own. */
	let { holders }: { holders: readonly HolderKind[] } = $props();
	let value = $state(1.8);
	let unit = $state<ThicknessUnit>('mm');
	let count = $state(4);
	const isMeasure = $derived(value > 0 && Number.isInteger(count) && count >= 1);
	const stockPt = $derived(isMeasure ? gaugePt(value, unit, count) : null);
	const holderFor = (sort: 'top-loader' | 'magnetic') => {
		if (stockPt === null) return '';
		const tiers = [{ name: sort, fromMinor: 0, holder: sort }];
		const { holder, oddity } = chooseHolder({ format: { stockPt } }, tiers, holders);
		return [...holders, ...HOLDER_KINDS].find(({ key }) => key === holder)?.name ?? oddity ?? '';
	};
	const inMm = $derived(stockPt === null ? '' : ((stockPt * UM_A_PT) / 1000).toFixed(2));
</script>

<div class="flex flex-wrap items-end gap-3">
	<Field label="Height of the stack">
		<input class="input w-24 input-sm" type="number" min="0" step="any" bind:value />
	</Field>
	<Field label="in">
		<select class="select w-20 select-sm" bind:value={unit}>
			{#each THICKNESS_UNITS as known (known)}<option value={known}>{known}</option>{/each}
		</select>
	</Field>
	<Field label="Equal cards in it">
		<input class="input w-24 input-sm" type="number" min="1" step="1" bind:value={count} />
	</Field>
</div>
<p class="mt-2 text-lg" role="status">
	{#if stockPt === null}Measure one card, or several equal ones on each other.{:else}
		<strong class="text-2xl font-semibold">{stockPt.toFixed(1)} pt</strong> a card ({inMm} mm): {holderFor(
			'top-loader'
		)}; {holderFor('magnetic')}.{/if}
</p>
<p class="text-sm quiet">
	1 pt is a thousandth of an inch, 0.0254 mm. A stack of ten is measured more surely than one card.
</p>

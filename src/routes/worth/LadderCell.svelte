<script lang="ts">
	import type { LadderView } from '$lib/server/worth/ladder-view';
	import { formatMoney, formatMonth } from '$lib/ui/numerals';

	interface Props {
		cell: LadderView['rows'][number]['cells'][number];
		currency: string;
		isRanked: boolean;
	}
	/** A card at one grade: its price, or why there is none, each drawn in its own way. */
	let { cell, currency, isRanked }: Props = $props();
	const last = $derived(cell.lastSale);
	const lastMinor = $derived(last ? Math.round((last.lowMinor + last.highMinor) / 2) : 0);
	const told = $derived(
		[
			last ? `last sold ${last.on}` : '',
			last?.house ?? '',
			last?.source ?? '',
			cell.sales > 0 ? `${cell.sales} sales` : '',
			cell.isMixed ? 'of several houses' : '',
			cell.askingMinor === null ? '' : `asked ${formatMoney(cell.askingMinor, currency)}`
		]
			.filter(Boolean)
			.join(', ')
	);
	const graded = $derived(cell.graded === null ? '' : `${cell.graded} graded`);
</script>

<td class={['text-right align-top tabular-nums', isRanked && 'bg-base-200']} title={told}>
	{#if cell.empty === null && cell.priceMinor !== null}
		<span class={cell.isLone ? 'estimate' : 'font-semibold'}
			>{formatMoney(cell.priceMinor, currency)}</span
		>
		<span class="block text-xs whitespace-nowrap quiet">
			{last ? formatMonth(last.on) : ''}{cell.isLone ? ', lone' : ''}
		</span>
		{#if graded}<span class="block text-xs whitespace-nowrap quiet">{graded}</span>{/if}
	{:else if cell.empty === 'sold long ago'}
		<span class="old-sale">{formatMoney(lastMinor, currency)}</span>
		<span class="block text-xs whitespace-nowrap quiet">{last ? formatMonth(last.on) : ''}</span>
		{#if graded}<span class="block text-xs whitespace-nowrap quiet">{graded}</span>{/if}
	{:else if cell.empty === 'never sold'}
		<span class="never-sold text-xs" aria-label="{graded}, never sold">{graded}</span>
	{:else if cell.empty === 'none graded'}
		<span class="none-graded" role="img" aria-label="none graded"></span>
	{:else}
		<span class="quiet" aria-label="not known">·</span>
	{/if}
</td>

<style>
	.old-sale {
		font-style: italic;
		text-decoration: line-through;
		text-decoration-thickness: 1px;
		opacity: 0.8;
	}
	.never-sold {
		display: inline-block;
		padding: 0.1rem 0.4rem;
		border: 1px dashed currentColor;
		border-radius: 0.25rem;
		white-space: nowrap;
	}
	.none-graded {
		display: inline-block;
		width: 3rem;
		height: 1.25rem;
		background: repeating-linear-gradient(
			135deg,
			transparent 0 4px,
			color-mix(in oklab, currentColor 35%, transparent) 4px 5px
		);
	}
</style>

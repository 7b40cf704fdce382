<script lang="ts">
	import { labelPlace, type LabelGrid } from '$lib/core/print/label-grid';
	import { PAPERS } from '$lib/core/print/paper';

	interface Props {
		grid: LabelGrid;
		/** The first place that is free, from 1. */
		start: number;
		choose: (place: number) => void;
	}
	let { grid, start, choose }: Props = $props();
	const paper = $derived(PAPERS.find(({ key }) => key === grid.paper));
	const places = $derived(
		Array.from({ length: grid.columns * grid.rows }, (_, i) => ({
			place: i + 1,
			...labelPlace(grid, i)
		}))
	);
	const PX_A_MM = 1.1;
</script>

{#if paper}
	<div>
		<p class="mb-1 text-sm quiet">The first free label: {start}</p>
		<div
			class="relative border border-base-content/40 bg-base-200"
			style:width="{paper.widthMm * PX_A_MM}px"
			style:height="{paper.heightMm * PX_A_MM}px"
			role="group"
			aria-label="Places on the sheet"
		>
			{#each places as { place, xMm, yMm } (place)}
				<button
					class={[
						'absolute rounded-sm border text-xs',
						place < start
							? 'border-base-300 bg-transparent quiet'
							: 'border-primary/60 bg-base-100 hover:bg-primary/20'
					]}
					style:left="{xMm * PX_A_MM}px"
					style:top="{yMm * PX_A_MM}px"
					style:width="{grid.widthMm * PX_A_MM}px"
					style:height="{grid.heightMm * PX_A_MM}px"
					aria-label="Start at label {place}"
					aria-pressed={place === start}
					onclick={() => choose(place)}>{place}</button
				>
			{/each}
		</div>
	</div>
{/if}

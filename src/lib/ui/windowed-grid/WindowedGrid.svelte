<script lang="ts" generics="Item">
	import type { Snippet } from 'svelte';
	import { WindowVirtualizer } from 'virtua/svelte';

	interface Props {
		items: readonly Item[];
		keyOf: (item: Item) => string;
		/** How many stand side by side in a width, in px. */
		columns: (width: number) => number;
		rowHeight: number;
		/** Of the box around the cells: a flex or grid row that breaks where it is full. */
		rowClass: string;
		cell: Snippet<[item: Item, index: number]>;
	}
	let { items, keyOf, columns, rowHeight, rowClass, cell }: Props = $props();

	/** So many are drawn at once: finding in the page and printing see all of them. */
	const MOST_DRAWN = 600;
	/** Before the browser has said how wide it is. */
	const USUAL_WIDTH = 900;

	let width = $state(0);
	let virtualizer = $state<{ scrollToIndex: (index: number, options: object) => void }>();
	const perRow = $derived(Math.max(1, columns(width || USUAL_WIDTH)));
	const isWindowed = $derived(items.length > MOST_DRAWN);
	const starts = $derived(
		isWindowed
			? Array.from({ length: Math.ceil(items.length / perRow) }, (_, row) => row * perRow)
			: []
	);

	/** The item so many rows below or above, as they lie on the screen now. */
	export function below(index: number, rows: 1 | -1): number {
		const wanted = index + rows * perRow;
		if (wanted < 0) return index;
		// Under the last full row there may be a shorter one.
		const lastRow = Math.floor((items.length - 1) / perRow);
		return Math.floor(index / perRow) === lastRow && rows > 0
			? index
			: Math.min(wanted, items.length - 1);
	}

	/** Sees to it that an item is drawn, and in view. */
	export function reveal(index: number): void {
		if (isWindowed) virtualizer?.scrollToIndex(Math.floor(index / perRow), { align: 'nearest' });
	}
</script>

<div bind:clientWidth={width}>
	{#if isWindowed}
		<WindowVirtualizer
			bind:this={virtualizer}
			data={starts}
			getKey={(start) => start}
			itemSize={rowHeight}
			ssrCount={24}
		>
			{#snippet children(start)}
				<div class={rowClass} style:min-height="{rowHeight}px">
					{#each items.slice(start, start + perRow) as item, i (keyOf(item))}
						{@render cell(item, start + i)}
					{/each}
				</div>
			{/snippet}
		</WindowVirtualizer>
	{:else}
		<div class={rowClass}>
			{#each items as item, index (keyOf(item))}{@render cell(item, index)}{/each}
		</div>
	{/if}
</div>

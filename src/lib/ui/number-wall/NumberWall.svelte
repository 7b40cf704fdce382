<script lang="ts">
	import { tick } from 'svelte';
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { fillTiles, stepTiles, type Wanted, type WallTile } from '$lib/core/goal/wall';
	import WindowedGrid from '$lib/ui/windowed-grid/WindowedGrid.svelte';
	import { createWallHand } from './wall-hand.svelte';
	import Tile from './WallTile.svelte';

	interface Props {
		name: string;
		/** Subsets that live in this numbering, by name. */
		subsets?: readonly string[];
		tiles: readonly WallTile[];
		/** Whose cards these are. */
		releaseKey: string;
		change: (wanted: readonly Wanted[]) => void;
		/** Version key → copies after the entry line that is being typed. */
		pending?: ReadonlyMap<string, number>;
	}
	let { name, subsets = [], tiles, releaseKey, change, pending }: Props = $props();
	let wall: HTMLElement;

	const wide = $derived(tiles.length > 0 && tiles.every(({ number }) => number === null));
	const have = $derived(tiles.filter(({ owned, isNeeded }) => owned > 0 && isNeeded).length);
	const need = $derived(tiles.filter(({ isNeeded }) => isNeeded).length);

	const hand = createWallHand({
		tiles: () => tiles,
		fill: (chosen, fill) => report(fillTiles(chosen, fill)),
		step: (chosen, step) => report(stepTiles(chosen, step)),
		moved: (index) => void focusTile(index)
	});
	let grid: WindowedGrid<WallTile>;
	/** A tile with the gap beside it, in px. */
	const pitch = $derived(wide ? 182 : 50);

	function report(wanted: readonly Wanted[]) {
		if (wanted.length > 0) change(wanted);
	}

	async function focusTile(index: number) {
		grid.reveal(index);
		await tick();
		// A tile that was out of sight is drawn, and can take focus, some frames after the page scrolled.
		for (let frame = 0; frame < 60; frame++) {
			const tile = wall.querySelector<HTMLElement>(`[data-index="${index}"]`);
			tile?.focus();
			if (tile && document.activeElement === tile) return;
			await new Promise(requestAnimationFrame);
		}
	}

	function indexAt(target: EventTarget | null): number {
		const button = target instanceof Element ? target.closest<HTMLElement>('[data-index]') : null;
		return Number(button?.dataset.index ?? -1);
	}

	function onpointerdown(event: PointerEvent) {
		const index = indexAt(event.target);
		if (index < 0 || event.button !== 0) return;
		if (event.target instanceof Element) event.target.releasePointerCapture?.(event.pointerId);
		hand.press(index, event.shiftKey);
	}

	function onpointermove(event: PointerEvent) {
		const index = indexAt(event.target);
		if (index >= 0) hand.over(index);
	}

	/** A click without a pointer: assistive technology pressed the tile. */
	function onclick(event: MouseEvent) {
		const index = indexAt(event.target);
		if (index < 0 || event.detail !== 0) return;
		hand.press(index, false);
		hand.release();
	}

	function onfocusin(event: FocusEvent) {
		const index = indexAt(event.target);
		if (index >= 0) hand.focusOn(index);
	}

	function onkeydown(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const tile = event.key === 'o' ? tiles[indexAt(event.target)] : undefined;
		if (tile) {
			event.preventDefault();
			const card = tile.cardKey;
			void goto(resolve('/releases/[release]/cards/[card]', { release: releaseKey, card }));
		} else if (hand.key(event, grid.below)) event.preventDefault();
	}
</script>

<svelte:window onpointerup={() => hand.release()} onpointercancel={() => hand.cancel()} />

<section class="mb-8" aria-label={name}>
	<header class="mb-2 flex flex-wrap items-baseline gap-x-3">
		<h2>{name}</h2>
		<p class="text-lg">
			<strong class="font-semibold" data-testid="wall-have">{have}</strong>
			<span class="quiet">of {need}</span>
		</p>
		{#if subsets.length > 0}<p class="text-sm quiet">with {subsets.join(', ')}</p>{/if}
	</header>
	<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
	<div
		role="group"
		aria-label="{name}, number wall"
		bind:this={wall}
		{onpointerdown}
		{onpointermove}
		{onkeydown}
		{onfocusin}
		{onclick}
	>
		<WindowedGrid
			bind:this={grid}
			items={tiles}
			keyOf={({ cardKey }) => cardKey}
			columns={(width) => Math.floor((width + 6) / pitch)}
			rowHeight={50}
			rowClass="flex flex-wrap content-start gap-1.5"
		>
			{#snippet cell(tile: WallTile, index: number)}
				<Tile
					{tile}
					{wide}
					{index}
					chosen={hand.isChosen(index)}
					pending={tile.version === null ? undefined : pending?.get(tile.version)}
					tabindex={index === hand.focus ? 0 : -1}
				/>
			{/snippet}
		</WindowedGrid>
	</div>
</section>

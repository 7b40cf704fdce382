<script lang="ts">
	import { fillTiles, stepTiles, type Wanted, type WallTile } from '$lib/core/goal/wall';
	import { createWallHand } from './wall-hand.svelte';
	import Tile from './WallTile.svelte';

	interface Props {
		name: string;
		/** Subsets that live in this numbering, by name. */
		subsets?: readonly string[];
		tiles: readonly WallTile[];
		change: (wanted: readonly Wanted[]) => void;
		/** Version key → copies after the entry line that is being typed. */
		pending?: ReadonlyMap<string, number>;
	}
	let { name, subsets = [], tiles, change, pending }: Props = $props();
	let wall: HTMLElement;

	const wide = $derived(tiles.length > 0 && tiles.every(({ number }) => number === null));
	const have = $derived(
		tiles.filter(({ owned, state }) => owned > 0 && state !== 'not-needed').length
	);
	const need = $derived(tiles.filter(({ state }) => state !== 'not-needed').length);

	const hand = createWallHand({
		tiles: () => tiles,
		fill: (chosen, fill) => report(fillTiles(chosen, fill)),
		step: (chosen, step) => report(stepTiles(chosen, step)),
		moved: (index) => buttonAt(index)?.focus()
	});

	function report(wanted: readonly Wanted[]) {
		if (wanted.length > 0) change(wanted);
	}

	function buttonAt(index: number): HTMLElement | null {
		return wall.querySelector<HTMLElement>(`[data-index="${index}"]`);
	}

	function indexAt(target: EventTarget | null): number {
		const button = target instanceof Element ? target.closest<HTMLElement>('[data-index]') : null;
		return Number(button?.dataset.index ?? -1);
	}

	/** The tile nearest below or above, as the tiles lie on the screen now. */
	function below(from: number, rows: 1 | -1): number {
		const buttons = [...wall.querySelectorAll<HTMLElement>('[data-index]')];
		const here = buttons[from];
		if (!here) return from;
		const tops = [...new Set(buttons.map((button) => button.offsetTop))];
		const top = tops[tops.indexOf(here.offsetTop) + rows];
		const row = buttons.filter((button) => button.offsetTop === top);
		const distance = (button: HTMLElement) => Math.abs(button.offsetLeft - here.offsetLeft);
		const nearest = row.sort((a, b) => distance(a) - distance(b))[0];
		return nearest ? Number(nearest.dataset.index) : from;
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

	function onkeydown(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (hand.key(event, below)) event.preventDefault();
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
		class="flex flex-wrap gap-1.5"
		bind:this={wall}
		{onpointerdown}
		{onpointermove}
		{onkeydown}
		{onclick}
	>
		{#each tiles as tile, index (tile.cardKey)}
			<Tile
				{tile}
				{wide}
				{index}
				chosen={hand.isChosen(index)}
				pending={tile.version === null ? undefined : pending?.get(tile.version)}
				tabindex={index === hand.focus ? 0 : -1}
			/>
		{/each}
	</div>
</section>

<script lang="ts">
	import { onMount } from 'svelte';
	import { numberingsOf, type NumberedCard } from '$lib/core/checklist/numbering';
	import type { Release } from '$lib/core/checklist/release';
	import WindowedGrid from '$lib/ui/windowed-grid/WindowedGrid.svelte';
	import CardLine from './CardLine.svelte';

	/** The checklist as it is filed, with a filter on number and title. */
	let { release }: { release: Release } = $props();
	/** In px: a line of the checklist is at least so wide (17rem), with so much between two. */
	const COLUMN = 272;
	const GAP = 32;
	let filter = $state('');
	let grids = $state<Record<string, WindowedGrid<NumberedCard>>>({});
	const wanted = $derived(filter.trim().toLowerCase());
	const numberings = $derived(
		numberingsOf(release).map((numbering) => ({
			...numbering,
			cards: numbering.cards.filter(
				({ card, section }) =>
					wanted === '' ||
					card.number?.toLowerCase() === wanted ||
					[card.title, card.group ?? '', section.name].some((text) =>
						text.toLowerCase().includes(wanted)
					)
			)
		}))
	);
	const found = $derived(numberings.reduce((sum, { cards }) => sum + cards.length, 0));

	/** A link to a card that is not drawn yet: "#card-base-27". */
	async function showCard() {
		const wanted = decodeURIComponent(location.hash).replace(/^#card-/, '');
		for (const { key, cards } of numberings) {
			const index = cards.findIndex(({ card }) => card.key === wanted);
			if (index < 0) continue;
			grids[key]?.reveal(index);
			await new Promise(requestAnimationFrame);
			document.getElementById(`card-${wanted}`)?.scrollIntoView({ block: 'center' });
		}
	}
	onMount(() => void (location.hash && showCard()));
</script>

<svelte:window onhashchange={showCard} />

<div class="mt-10 mb-3 flex flex-wrap items-end justify-between gap-3">
	<h2>Checklist</h2>
	<label class="flex items-center gap-2"
		><span class="text-sm quiet">Find number, title, group</span><input
			class="input w-56 input-sm"
			type="search"
			bind:value={filter}
		/></label
	>
</div>
{#if found === 0}<p class="quiet">No card matches “{filter}”.</p>{/if}
{#each numberings as { key, name, owner, cards } (key)}
	{#if cards.length > 0}
		<h3 class="mt-5 mb-1 font-semibold quiet">{name}</h3>
		<WindowedGrid
			items={cards}
			keyOf={({ card }) => card.key}
			columns={(width) => Math.floor((width + GAP) / (COLUMN + GAP))}
			rowHeight={57}
			rowClass="grid grid-cols-[repeat(auto-fill,minmax(min(17rem,100%),1fr))] gap-x-8"
			bind:this={grids[key]}
		>
			{#snippet cell({ card, section }: NumberedCard)}
				<CardLine {release} {owner} {card} {section} />
			{/snippet}
		</WindowedGrid>
	{/if}
{/each}

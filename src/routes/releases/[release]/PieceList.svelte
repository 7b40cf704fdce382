<script lang="ts">
	import { pieceSets } from '$lib/core/checklist/versions/pieces';
	import { cardsOf, type Release } from '$lib/core/checklist/release';
	import { countOf } from '$lib/ui/numerals';

	/** The tiles of every card, and the prize that a full set of them earns. */
	let { release, owned }: { release: Release; owned: ReadonlyMap<string, number> } = $props();
	const sets = $derived(pieceSets(release, owned));
	const cards = $derived(new Map(cardsOf(release).map(({ card }) => [card.key, card])));
	const names = $derived(new Map(release.variants.map(({ key, name }) => [key, name])));
	const earned = $derived(sets.reduce((sum, { fullSets }) => sum + fullSets, 0));
	const begun = $derived(sets.filter(({ pieces }) => pieces.some((piece) => piece.owned > 0)));
	const nameOf = (key: string) => cards.get(key)?.number || cards.get(key)?.title || key;
</script>

{#if sets.length > 0}
	<section class="mt-8" aria-labelledby="pieces">
		<h2 id="pieces" class="mb-2">Pieces</h2>
		<p class="mb-2">
			{countOf(sets.length, 'card')} hide tiles;
			<strong>{countOf(earned, 'full set')}</strong> owned{#if sets[0]?.prize}, each earns {nameOf(
					sets[0].prize
				)}{/if}.
		</p>
		<ul class="grid gap-x-8 sm:grid-cols-2">
			{#each begun as { cardKey, pieces, fullSets } (cardKey)}
				<li class="flex flex-wrap items-baseline gap-x-3 border-b border-base-300 py-1.5">
					<strong>{nameOf(cardKey)}</strong>
					{#each pieces as { variantKey, owned: count } (variantKey)}
						<span class={['text-sm', count === 0 && 'quiet line-through decoration-dotted']}
							>{names.get(variantKey)}{count > 1 ? ` × ${count}` : ''}</span
						>
					{/each}
					{#if fullSets > 0}<span class="ml-auto text-primary">{countOf(fullSets, 'full set')}</span
						>{/if}
				</li>
			{/each}
		</ul>
	</section>
{/if}

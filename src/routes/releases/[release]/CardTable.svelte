<script lang="ts">
	import { resolve } from '$app/paths';
	import { numberingsOf, seriesOf } from '$lib/core/checklist/numbering';
	import type { Release } from '$lib/core/checklist/release';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';

	/** The checklist as it is filed, with a filter on number and title. */
	let { release }: { release: Release } = $props();
	let filter = $state('');
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
</script>

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
		<ul class="grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
			{#each cards as { card, section } (card.key)}
				<li class="flex items-center gap-3 border-b border-base-300 py-1.5" id="card-{card.key}">
					<span class="w-8 shrink-0"
						><CardPicture
							seed="{release.key}/{card.key}"
							title={card.title}
							group={card.group ?? ''}
						/></span
					>
					<span class="w-9 shrink-0 text-right text-lg font-semibold">{card.number ?? ''}</span>
					<span class="min-w-0">
						{#if card.subjects[0]}
							<a
								class="block truncate underline decoration-transparent underline-offset-3 hover:decoration-current"
								title="{card.title}: all cards of {card.subjects[0]}"
								href={resolve('/releases/subjects/[subject]', { subject: card.subjects[0] })}
								>{card.title}</a
							>
						{:else}<span class="block truncate" title={card.title}>{card.title}</span>{/if}
						<span class="block truncate text-sm quiet">
							{[
								section.key === owner.key ? '' : section.name,
								card.rarity,
								card.group,
								seriesOf(owner, card.number)?.name,
								...card.marks
							]
								.filter(Boolean)
								.join(' · ')}
						</span>
					</span>
				</li>
			{/each}
		</ul>
	{/if}
{/each}

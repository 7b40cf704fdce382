<script lang="ts">
	import { resolve } from '$app/paths';
	import type { Card } from '$lib/core/checklist/card';
	import { seriesOf } from '$lib/core/checklist/numbering';
	import type { Release } from '$lib/core/checklist/release';
	import type { Section } from '$lib/core/checklist/section';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';

	interface Props {
		release: Release;
		/** The section whose numbering the card is filed in. */
		owner: Section;
		section: Section;
		card: Card;
	}
	let { release, owner, section, card }: Props = $props();
</script>

<div class="flex items-center gap-3 border-b border-base-300 py-1.5" id="card-{card.key}">
	<span class="w-8 shrink-0"
		><CardPicture
			seed="{release.key}/{card.key}"
			title={card.title}
			group={card.group ?? ''}
		/></span
	>
	<span class="w-9 shrink-0 text-right text-lg font-semibold">{card.number ?? ''}</span>
	<span class="min-w-0">
		<a
			class="block truncate underline decoration-transparent underline-offset-3 hover:decoration-current"
			title="{card.title}: its versions and copies"
			href={resolve('/releases/[release]/cards/[card]', { release: release.key, card: card.key })}
			>{card.title || 'no title yet'}</a
		>
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
</div>

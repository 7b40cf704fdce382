<script lang="ts">
	import { resolve } from '$app/paths';
	import type { Card } from '$lib/core/checklist/card';
	import { formatOdds } from '$lib/core/checklist/odds';
	import type { PackType } from '$lib/core/checklist/release';
	import Sureness from '../../Sureness.svelte';

	/** What is known of a card beside its line of the checklist. */
	interface Props {
		card: Card;
		packTypes: readonly PackType[];
		/** How the cards of its section are told. */
		howToTell: string | undefined;
		/** The letters to expect along its edge; null: none. */
		lettering: string | null | undefined;
		/** Names of cards, by "release/card"; of those that are not in the collection nothing. */
		names: Readonly<Record<string, string>>;
	}
	let { card, packTypes, howToTell, lettering, names }: Props = $props();
	const packOf = (key: string) => packTypes.find((known) => known.key === key)?.name ?? key;
	const facts = $derived(
		[
			['To know it', howToTell ?? ''],
			[
				'Letters',
				lettering === undefined
					? ''
					: `${lettering === null ? 'none' : `“${lettering}”`} along the edge, at place ${card.place ?? '?'} of its strip`
			],
			[
				'Came from',
				[card.origin?.kind, card.origin?.name, card.origin?.date].filter(Boolean).join(', ')
			],
			['Also in', (card.fixedProducts ?? []).join(', ')],
			['Only in', (card.onlyIn ?? []).map(packOf).join(', ')],
			[
				'Odds',
				(card.odds ?? []).map((odds) => `${packOf(odds.packType)} ${formatOdds(odds)}`).join(', ')
			],
			[
				'By experience',
				[card.difficulty?.level, card.difficulty?.source].filter(Boolean).join(', ')
			],
			[
				'Tags',
				Object.entries(card.tags ?? {})
					.map(([family, words]) => `${family}: ${words.join(', ')}`)
					.join('; ')
			],
			['Filed as', card.sortAs ?? '']
		].filter(([, text]) => text !== '')
	);
	const others = $derived(
		[
			{ name: 'Not told from', cards: card.sameAs ?? [] },
			{ name: 'Same picture as', cards: card.samePictureAs ?? [] }
		].filter(({ cards }) => cards.length > 0)
	);
	const placeOf = (text: string) => {
		const [release = '', other = ''] = text.split('/');
		return { release, card: other };
	};
</script>

{#if card.note}<p class="mt-2 max-w-2xl">{card.note}</p>{/if}
{#if facts.length + others.length > 0}
	<dl class="mt-2 grid max-w-3xl gap-x-5 gap-y-1 sm:grid-cols-[8rem_1fr]">
		{#each facts as [name, text] (name)}
			<dt class="text-sm quiet">{name}</dt>
			<dd class="wrap-break-word">{text}</dd>
		{/each}
		{#each others as { name, cards } (name)}
			<dt class="text-sm quiet">{name}</dt>
			<dd>
				{#each cards as text, i (i)}{i > 0 ? ', ' : ''}{#if names[text]}<a
							class="prose-link"
							href={resolve('/releases/[release]/cards/[card]', placeOf(text))}>{names[text]}</a
						>{:else}{text}, which is not here{/if}{/each}
			</dd>
		{/each}
	</dl>
{/if}
<Sureness {...card} />

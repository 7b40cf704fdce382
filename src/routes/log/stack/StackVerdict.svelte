<script lang="ts">
	import type { Release } from '$lib/core/checklist/release';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import type { StackCard } from './stack-book.svelte';
	import { tellVerdict, VERDICT_LOOK } from './verdict-look';

	/** The last card, large enough to read at arm's length. */
	let { card, release }: { card: StackCard; release: Release } = $props();
	const look = $derived(VERDICT_LOOK[card.verdict.kind]);
</script>

<div class={['flex max-w-2xl items-center gap-5 rounded-box p-4', look.face]} data-testid="verdict">
	<span class="w-16 shrink-0"
		><CardPicture seed="{release.key}/{card.cardKey}" title={card.title} group={card.group} /></span
	>
	<div class="min-w-0">
		<p class="font-serif text-3xl">
			<span aria-hidden="true">{look.mark}</span>
			{look.word}<span class="ml-3 font-semibold">{card.number}</span>
		</p>
		<p class="truncate">{[card.title, card.finish].filter(Boolean).join(', ')}</p>
		<p>{tellVerdict(card.verdict)}</p>
	</div>
</div>
{#each card.alerts as { key, kind, name, howToTell } (key)}
	<p class="mt-2 max-w-2xl border-l-3 border-accent pl-4">
		<strong>{kind}</strong>{name === kind ? '' : `: ${name}`}{howToTell
			? `. Look for: ${howToTell}`
			: ''}
	</p>
{/each}

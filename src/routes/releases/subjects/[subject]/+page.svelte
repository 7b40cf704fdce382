<script lang="ts">
	import { resolve } from '$app/paths';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import { countOf } from '$lib/ui/numerals';

	let { data } = $props();
	const releases = $derived(new Set(data.cards.map(({ releaseKey }) => releaseKey)).size);
</script>

<svelte:head><title>{data.subject} · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-1">{data.subject}</h1>
<p class="mb-6 quiet">
	{countOf(data.cards.length, 'card')} in {countOf(releases, 'release')}
</p>
<ul class="grid grid-cols-2 gap-6 sm:grid-cols-4 lg:grid-cols-6">
	{#each data.cards as card (card.releaseKey + card.cardKey)}
		<li>
			<a
				class="block"
				href={resolve(`/releases/[release]#card-${card.cardKey}`, { release: card.releaseKey })}
			>
				<CardPicture
					seed="{card.releaseKey}/{card.cardKey}"
					title={card.title}
					group={card.group ?? ''}
					number={card.number}
					plate
				/>
				<span class="mt-1 block font-semibold">{card.releaseName}</span>
				<span class="block text-sm quiet"
					>{[card.section, card.number, card.group].filter(Boolean).join(' · ')}</span
				>
			</a>
		</li>
	{/each}
</ul>

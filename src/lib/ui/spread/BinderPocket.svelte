<script lang="ts">
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import type { PocketCard } from './pocket';

	let { card }: { card: PocketCard | null } = $props();
	const name = $derived(
		card
			? [card.number, card.title, card.place, card.filled ? 'here' : 'missing']
					.filter(Boolean)
					.join(', ')
			: 'empty pocket'
	);
</script>

<div
	role="img"
	aria-label={name}
	title={card ? name : undefined}
	data-testid="pocket"
	data-filled={card?.filled ?? false}
	class="flex h-full min-w-0 items-center justify-center overflow-hidden border border-base-300 bg-base-100 p-[3%]"
>
	{#if card?.filled}
		<div class="w-full max-w-full">
			<CardPicture {...card} plate />
		</div>
	{:else if card}
		<div
			class="flex h-full w-full flex-col items-center justify-center gap-1 rounded-md border border-dashed border-base-content/35 px-1 text-center"
		>
			{#if card.number}<span class="font-serif text-2xl leading-none">{card.number}</span>{/if}
			<span class="line-clamp-2 text-xs leading-tight wrap-anywhere">{card.title}</span>
			<span class="line-clamp-2 text-[11px] leading-tight quiet"
				>{card.place}{card.printRun ? ` /${card.printRun}` : ''}</span
			>
			<span class="text-[11px] leading-tight text-error">missing</span>
		</div>
	{/if}
</div>

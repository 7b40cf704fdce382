<script lang="ts">
	import { resolve } from '$app/paths';
	import type { ListingsView } from '$lib/server/selling/listings/listings-view';
	import { countOf, formatDay, formatMoney } from '$lib/ui/numerals';
	import ListingEdit from './ListingEdit.svelte';
	import ListingSteps from './ListingSteps.svelte';

	interface Props {
		listing: ListingsView['done'][number];
		channels: readonly string[];
	}
	/** A listing: what is in it, what is asked or was paid, and what is done next. */
	let { listing, channels }: Props = $props();
	const money = (minor: number) => formatMoney(minor, listing.currency);
	const days = $derived(
		[
			{ word: 'listed', on: listing.listedOn },
			{ word: 'sold', on: listing.soldOn },
			{ word: 'paid', on: listing.paidOn },
			{ word: 'sent', on: listing.sentOn },
			{ word: 'came back', on: listing.returnedOn }
		].filter(({ on }) => on !== null)
	);
	const isSold = $derived(listing.soldOn !== null);
	const rest = $derived(
		listing.count - listing.cards.reduce((sum, { quantity }) => sum + quantity, 0)
	);
</script>

<article class="max-w-5xl border-t border-base-300 py-3" data-testid="listing">
	<div class="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-1">
		<h3 class="font-serif text-lg">{listing.title}</h3>
		<p>
			<strong class="text-xl">{money(listing.soldMinor ?? listing.askingMinor)}</strong>
			<span class="text-sm quiet"
				>{isSold
					? `of ${money(listing.askingMinor)} asked`
					: `asked, not under ${money(listing.floorMinor)}`}, {listing.channel}{listing.buyer
					? `, to ${listing.buyer}`
					: ''}</span
			>
		</p>
	</div>
	{#if isSold && listing.soldMinor !== null && listing.soldMinor < listing.floorMinor && listing.state !== 'returned'}
		<p class="text-sm text-accent">Sold under its floor of {money(listing.floorMinor)}.</p>
	{/if}
	<p class="text-sm quiet">
		{countOf(listing.count, 'card')}{listing.photos.length > 0
			? `, ${countOf(listing.photos.length, 'photo')}`
			: ''}{days.map(({ word, on }) => `; ${word} ${formatDay(on ?? '')}`).join('')}
	</p>
	{#if listing.sentOn !== null}
		<p class="text-sm" data-testid="profit">
			<strong>{money(listing.netMinor)}</strong> after fee, postage and supplies; {listing.profitMinor ===
			null
				? 'what the cards cost is not known of all'
				: `${listing.profitMinor < 0 ? 'loss' : 'profit'} ${money(Math.abs(listing.profitMinor))}`}
		</p>
	{/if}
	<details class="mt-1">
		<summary class="cursor-pointer text-sm">Cards and text</summary>
		<ul class="mt-1 text-sm">
			{#each listing.cards as card (card.id)}
				<li>
					<a
						class="prose-link"
						href={resolve('/releases/[release]/cards/[card]', {
							release: card.releaseKey,
							card: card.cardKey
						})}>{card.name}</a
					>{card.quantity > 1 ? ` × ${card.quantity}` : ''}<span class="quiet"
						>{card.places.length > 0 ? `; ${card.places.join('; ')}` : ''}</span
					>
				</li>
			{/each}
			{#if rest > 0}<li class="quiet">and {countOf(rest, 'card')} more</li>{/if}
		</ul>
		{#if listing.photos.length > 0}
			<p class="mt-2 flex flex-wrap gap-2">
				{#each listing.photos.slice(0, 6) as hash (hash)}
					<img
						src="{resolve('/api/media/[hash]', { hash })}?size=thumbnail"
						alt="Of a card in it"
						class="h-24"
					/>
				{/each}
			</p>
		{/if}
		<p class="mt-2 max-w-2xl text-sm whitespace-pre-line">{listing.text}</p>
		{#if !isSold}<ListingEdit {listing} {channels} />{/if}
	</details>
	<ListingSteps {listing} />
</article>

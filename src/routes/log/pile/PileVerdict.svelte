<script lang="ts">
	import { resolve } from '$app/paths';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import type { TakenCard } from './pile-book.svelte';
	import { formatMoney } from '$lib/ui/numerals';
	import { tellVerdict, VERDICT_LOOK } from './verdict-look';

	/** The last card, large enough to read at arm's length, with the pile on which it goes. */
	let { card, another }: { card: TakenCard; another: () => void } = $props();
	const { choice } = $derived(card);
	const found = $derived(choice.match.entry.found.card);
	const release = $derived(choice.match.entry.of.release);
	const look = $derived(VERDICT_LOOK[choice.verdict.kind]);
	const finish = $derived(
		release.parallels.find(({ key }) => key === choice.match.version.parallelKey)?.name
	);
	const variant = $derived(
		release.variants.find(({ key }) => key === choice.match.version.variantKey)?.name
	);
</script>

<div
	class={[
		'flex max-w-2xl items-center gap-x-5 gap-y-2 rounded-box p-4 max-sm:flex-wrap',
		look.face
	]}
	data-testid="verdict"
>
	<span class="w-16 shrink-0"
		><CardPicture
			seed="{release.key}/{found.key}"
			title={found.title}
			group={found.group ?? ''}
		/></span
	>
	<div class="min-w-0 flex-1">
		<p class="font-serif text-3xl">
			<span aria-hidden="true">{look.mark}</span>
			{look.word}<span class="ml-3 font-semibold">{found.number ?? ''}</span>
		</p>
		<p class="truncate">
			{[found.title, finish, variant, release.name].filter(Boolean).join(', ')}
		</p>
		<p>{tellVerdict(choice.verdict)}</p>
		{#if choice.wantedBy}<p>wanted by {choice.wantedBy.join(', ')}</p>{/if}
		{#if choice.worth}
			<p>
				<span aria-hidden="true">◆</span> valuable: a copy is valued at {formatMoney(
					choice.worth.valueMinor,
					choice.worth.currency
				)}
			</p>
		{/if}
	</div>
	<p class="max-w-40 shrink-0 text-right max-sm:max-w-none max-sm:basis-full max-sm:text-left">
		<span class="text-sm sm:block">goes to</span>
		<strong class="font-serif text-xl wrap-break-word sm:block">{choice.pile.name}</strong>
		<span class="block text-sm max-sm:hidden">{choice.pile.why}</span>
	</p>
</div>
{#each choice.watch as { text } (text)}
	<p class="mt-2 max-w-2xl border-l-3 border-accent pl-4">{text}</p>
{/each}
<p class="mt-2 flex max-w-2xl flex-wrap items-center gap-3">
	{#if card.choices.length > 1}
		<button type="button" class="btn btn-sm" onclick={another}
			>It was another one <kbd class="kbd kbd-sm max-sm:hidden">↓</kbd></button
		>
	{/if}
	<a
		class="quiet prose-link"
		href={resolve('/releases/[release]/cards/[card]', { release: release.key, card: found.key })}
		>Page of the card</a
	>
</p>

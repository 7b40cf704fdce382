<script lang="ts">
	import { countOf } from '$lib/ui/numerals';
	import type { PileBook } from './pile-book.svelte';
	import { tellVerdict, VERDICT_LOOK } from './verdict-look';

	/** What was taken off the pile, by the pile on which it lies and one by one. */
	interface Props {
		book: PileBook;
		pile: { readonly name: string; readonly cards: number } | null;
		isLoud: boolean;
	}
	let { book, pile, isLoud = $bindable() }: Props = $props();
	const nameOf = (card: PileBook['taken'][number]) => {
		const { entry, version } = card.choice.match;
		const finish = entry.of.release.parallels.find(({ key }) => key === version.parallelKey);
		return [entry.found.card.title, finish?.name, entry.of.release.name].filter(Boolean).join(', ');
	};
</script>

{#if book.piles.length > 0}
	<dl class="mt-5 grid grid-cols-2 gap-x-6 gap-y-2 sm:max-w-3xl sm:grid-cols-4">
		{#each book.piles as { name, kind, count } (`${kind} ${name}`)}
			<div class="border-t-4 border-base-300 pt-1" data-testid="pile-{kind.replace(' ', '-')}">
				<dt class="truncate text-sm quiet" title={name}>{name}</dt>
				<dd class="font-serif text-3xl">{count}</dd>
			</div>
		{/each}
	</dl>
{/if}
<div class="mt-4 flex flex-wrap items-center gap-4">
	<label class="flex items-center gap-2"
		><input type="checkbox" class="toggle toggle-sm" bind:checked={isLoud} />Tones</label
	>
	<button class="btn btn-sm" disabled={book.taken.length === 0} onclick={() => book.undo()}
		>Take the last one back</button
	>
	{#if pile}<span class="quiet"
			>{countOf(Math.max(0, pile.cards - book.taken.length), 'card')} left in {pile.name}</span
		>{/if}
</div>
<ol class="mt-4 divide-y divide-base-300" aria-label="Taken off the pile">
	{#each book.taken.slice(0, 30) as card (card.id)}
		<li class="flex items-baseline gap-3 py-1">
			<span class="w-5 text-center" aria-hidden="true"
				>{VERDICT_LOOK[card.choice.verdict.kind].mark}</span
			>
			<strong class="w-12 shrink-0 text-right"
				>{card.choice.match.entry.found.card.number ?? ''}</strong
			>
			<span class="min-w-0 flex-1 truncate">{nameOf(card)}</span>
			<span class="shrink-0 text-sm quiet max-sm:hidden">{tellVerdict(card.choice.verdict)}</span>
			{#if card.state === 'failed'}<span class="text-error">not logged</span>{/if}
		</li>
	{/each}
</ol>

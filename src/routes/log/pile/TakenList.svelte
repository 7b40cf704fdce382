<script lang="ts">
	import { VERDICT_LOOK, tellVerdict } from './verdict-look';
	import type { PileBook } from './pile-book.svelte';

	/** What was taken off the pile, one by one. */
	interface Props {
		book: PileBook;
		isLoud: boolean;
	}
	let { book, isLoud = $bindable() }: Props = $props();
	const nameOf = (card: PileBook['taken'][number]) => {
		const { entry, version } = card.choice.match;
		const { parallels, variants, name } = entry.of.release;
		const finish = parallels.find(({ key }) => key === version.parallelKey);
		const variant = variants.find(({ key }) => key === version.variantKey);
		// Two issues of one release may bear the same number and title.
		const section = entry.found.section.name;
		return [
			entry.found.card.title,
			finish?.name,
			variant?.name,
			section === 'Base' ? '' : section,
			name
		]
			.filter(Boolean)
			.join(', ');
	};
</script>

<div class="mt-4 flex flex-wrap items-center gap-4">
	<label class="flex items-center gap-2"
		><input type="checkbox" class="toggle toggle-sm" bind:checked={isLoud} />Tones</label
	>
	<button class="btn btn-sm" disabled={book.taken.length === 0} onclick={() => book.undo()}
		>Take the last one back</button
	>
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
			{#if card.state === 'kept'}<span class="shrink-0 text-sm text-accent">to be sent</span>{/if}
			{#if card.state === 'failed'}<span class="text-error">not logged</span>{/if}
		</li>
	{/each}
</ol>

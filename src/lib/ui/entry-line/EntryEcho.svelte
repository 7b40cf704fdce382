<script lang="ts">
	import type { EntryReading } from '$lib/core/shorthand/read-shorthand';
	import { countOf } from '../numerals';
	import MarkedLine from './MarkedLine.svelte';

	/** The line once more, with every word that is not understood marked in its place. */
	let { line, reading }: { line: string; reading: EntryReading } = $props();
	const cut = ({ start, end }: { readonly start: number; readonly end: number }) =>
		line.slice(start, end);
</script>

<MarkedLine {line} problems={reading.problems} notes={reading.notes} />
<ul class="mt-1 space-y-0.5" data-testid="entry-problems">
	{#each reading.problems as { start = 0, end = 0, message, remedy }, i (i)}
		<li>
			<strong class="text-error">“{line.slice(start, end)}”</strong>
			<span class="quiet"
				>({end - start === 1
					? `character ${start + 1}`
					: `characters ${start + 1} to ${end}`})</span
			>: {message}. {remedy}
		</li>
	{/each}
	{#each reading.reaches as { words, items, cards }, i (i)}
		<li class="quiet">
			“{words.map(cut).join(' ')}” is said of {items.map(cut).join(' ')} ({countOf(cards, 'card')}).
		</li>
	{/each}
	{#each reading.notes as { start = 0, end = 0, message }, i (i)}
		<li class="quiet">“{line.slice(start, end)}”: {message}.</li>
	{/each}
</ul>

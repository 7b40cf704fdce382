<script lang="ts">
	import { resolve } from '$app/paths';
	import {
		countable,
		countBySection,
		rollCalls,
		type CountedBy
	} from '$lib/core/checklist/count-by';
	import { wholeSections } from '$lib/core/checklist/edition';
	import type { Release } from '$lib/core/checklist/release';
	import CountCells from '$lib/ui/CountCells.svelte';
	import { formatCount } from '$lib/ui/numerals';

	/** Cards by group, subject or tag and section, and the roll-call of each section. */
	let { release }: { release: Release } = $props();
	const SHOWN = 60;
	const ways = $derived(countable([release]));
	let chosen = $state(0);
	let isOpen = $state(false);
	const by = $derived(ways[chosen] ?? ways[0]);
	const table = $derived(isOpen && by ? countBySection(release, by) : null);
	const calls = $derived(table && by?.kind !== 'subject' ? rollCalls(table) : []);
	const names = $derived(new Map(wholeSections(release).map(({ key, name }) => [key, name])));
	const columns = $derived(
		(table?.columns ?? []).flatMap((key, i) =>
			table?.rows.some(({ counts }) => (counts[i] ?? 0) > 0) ? [{ key, i }] : []
		)
	);
	const nameOf = (way: CountedBy) => (way.kind === 'tag' ? way.family : way.kind);
	const year = $derived(release.year.slice(0, 4));
</script>

{#if ways.length > 0}
	<details class="mt-8" bind:open={isOpen}>
		<summary class="cursor-pointer font-serif text-xl">Who and what is in it</summary>
		<div class="mt-3 mb-3 flex flex-wrap items-center gap-x-5 gap-y-2">
			<div role="group" aria-label="Count by" class="flex flex-wrap gap-1">
				{#each ways as way, i (i)}
					<button
						class={['btn btn-sm', by === way ? 'btn-primary' : 'btn-ghost']}
						aria-pressed={by === way}
						onclick={() => (chosen = i)}>By {nameOf(way)}</button
					>
				{/each}
			</div>
			<a class="prose-link" href={resolve(`/releases/year/${year}`)}>Over all releases of {year}</a>
		</div>
		{#if table}
			<div class="overflow-x-auto">
				<table class="table w-auto table-sm">
					<thead>
						<tr>
							<th class="first-letter:uppercase">{by ? nameOf(by) : ''}</th>
							{#each columns as { key } (key)}<th class="text-right">{names.get(key)}</th>{/each}
							<th class="text-right">In all</th>
						</tr>
					</thead>
					<tbody>
						{#each table.rows.slice(0, SHOWN) as { word, counts, total } (word)}
							<tr>
								<th scope="row">{word}</th>
								<CountCells counts={columns.map(({ i }) => counts[i] ?? 0)} {total} none="–" />
							</tr>
						{/each}
					</tbody>
				</table>
			</div>
			{#if table.rows.length > SHOWN}
				<p class="mt-1 quiet">and {formatCount(table.rows.length - SHOWN)} more</p>
			{/if}
			{#if calls.length > 0}
				<h3 class="mt-4 mb-1 font-semibold">Roll-call: each once?</h3>
				<ul class="max-w-3xl">
					{#each calls as { section, once, repeated, absent } (section)}
						<li class="border-t border-base-300/60 py-1">
							{names.get(section)}:
							{#if repeated.length === 0 && absent.length === 0}
								each of {once.length} once.
							{:else}
								<span class="quiet"
									>{[
										once.length > 0 ? `${formatCount(once.length)} once` : '',
										repeated.length > 0
											? repeated
													.slice(0, 5)
													.map(({ word, cards }) => `${word} ${cards} times`)
													.join(', ')
											: '',
										absent.length > 0
											? `absent: ${absent.slice(0, 8).join(', ')}${absent.length > 8 ? ` and ${absent.length - 8} more` : ''}`
											: ''
									]
										.filter(Boolean)
										.join('; ')}</span
								>
							{/if}
						</li>
					{/each}
				</ul>
			{/if}
		{/if}
	</details>
{/if}

<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { CONDITIONS, type Condition } from '$lib/core/goal/condition';
	import type { Release } from '$lib/core/checklist/release';
	import ProblemList from '$lib/ui/ProblemList.svelte';
	import EntryLine from '$lib/ui/entry-line/EntryLine.svelte';
	import ReleaseWalls from '$lib/ui/number-wall/ReleaseWalls.svelte';
	import { createLogBook } from './log-book.svelte';

	interface Props {
		release: Release;
		releases: readonly { readonly key: string; readonly name: string }[];
		owned: readonly (readonly [string, number])[];
	}
	let { release, releases, owned }: Props = $props();

	let numberingKey = $state('');
	let parallelKey = $state('');
	let condition = $state<Condition | ''>('');

	const book = createLogBook({
		release: () => release,
		owned: () => owned,
		numberingKey: () => numberingKey || null,
		parallelKey: () => parallelKey || null,
		condition: () => condition || undefined
	});
	const owners = $derived(release.sections.filter(({ numberedIn }) => numberedIn === undefined));
</script>

<h1 class="mt-4 mb-5">Log</h1>

<div class="mb-5 grid grid-cols-2 gap-3 md:grid-cols-4">
	<label class="block">
		<span class="block text-sm quiet">Release</span>
		<select
			class="select w-full"
			value={release.key}
			onchange={(event) =>
				goto(resolve(`/log?release=${encodeURIComponent(event.currentTarget.value)}`))}
		>
			{#each releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</label>
	<label class="block">
		<span class="block text-sm quiet">Section</span>
		<select class="select w-full" bind:value={numberingKey}>
			<option value="">All sections</option>
			{#each owners as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</label>
	<label class="block">
		<span class="block text-sm quiet">Finish</span>
		<select class="select w-full" bind:value={parallelKey}>
			<option value="">Base finish</option>
			{#each release.parallels as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</label>
	<label class="block">
		<span class="block text-sm quiet">Condition of what is added</span>
		<select class="select w-full" bind:value={condition}>
			<option value="">Not looked at</option>
			{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
		</select>
	</label>
</div>

<EntryLine
	bind:line={book.line}
	reading={book.reading}
	busy={book.busy}
	apply={() => book.applyLine()}
/>
{#if book.problems.length > 0}
	<div class="mb-6" role="alert"><ProblemList problems={book.problems} /></div>
{/if}

<ReleaseWalls
	{release}
	holdings={{ owned: book.owned }}
	numberingKey={numberingKey || null}
	parallelKey={parallelKey || null}
	pending={book.pending}
	change={(wanted) => book.setOwned(wanted)}
/>

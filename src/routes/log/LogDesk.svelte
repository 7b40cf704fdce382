<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { CONDITIONS, type Condition } from '$lib/core/copies/condition';
	import type { Release } from '$lib/core/checklist/release';
	import EntryLine from '$lib/ui/entry-line/EntryLine.svelte';
	import ReleaseWalls from '$lib/ui/number-wall/ReleaseWalls.svelte';
	import Synonyms from './Synonyms.svelte';
	import Trays from './Trays.svelte';
	import type { ComponentProps } from 'svelte';
	import type { Problem } from '$lib/core/problem';
	import { createLogBook } from '$lib/ui/entry-line/log-book.svelte';
	import Field from '$lib/ui/Field.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		release: Release;
		owned: readonly (readonly [string, number])[];
		incoming: readonly (readonly [string, number])[];
		synonyms: readonly { readonly id: number; readonly word: string; readonly means: string }[];
		trays: ComponentProps<typeof Trays>['piles'];
		shelves: ComponentProps<typeof Trays>['shelves'];
		/** What is wrong with a pile that was to be put in a tray. */
		problems: readonly Problem[];
	}
	let { release, owned, incoming, synonyms, trays, shelves, problems }: Props = $props();

	let numberingKey = $state('');
	let parallelKey = $state('');
	let condition = $state<Condition | ''>('');

	const book = createLogBook({
		release: () => release,
		owned: () => owned,
		numberingKey: () => numberingKey || null,
		parallelKey: () => parallelKey || null,
		condition: () => condition || undefined,
		synonyms: () => new Map(synonyms.map(({ word, means }) => [word, means]))
	});
	const owners = $derived(release.sections.filter(({ numberedIn }) => numberedIn === undefined));
</script>

<header class="mt-4 mb-5 flex flex-wrap items-center justify-between gap-3">
	<h1>Log</h1>
	<div class="flex flex-wrap gap-2">
		<a class="btn" href={resolve(`/log/pile?release=${encodeURIComponent(release.key)}`)}
			>Go through a pile</a
		>
		<a class="btn" href={resolve(`/log/many?release=${encodeURIComponent(release.key)}`)}
			>Change many</a
		>
		<a class="btn" href={resolve('/log/holdings')}>Import holdings</a>
	</div>
</header>

<div class="mb-5 grid grid-cols-2 gap-3 md:grid-cols-4">
	<Field label="Release">
		<ReleaseSelect
			chosen={release}
			choose={(key) => goto(resolve(`/log?release=${encodeURIComponent(key)}`))}
		/>
	</Field>
	<Field label="Section">
		<select class="select w-full" bind:value={numberingKey}>
			<option value="">All sections</option>
			{#each owners as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
	<Field label="Finish">
		<select class="select w-full" bind:value={parallelKey}>
			<option value="">Base finish</option>
			{#each release.parallels as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
	<Field label="Condition of what is added">
		<select class="select w-full" bind:value={condition}>
			<option value="">Not looked at</option>
			{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
		</select>
	</Field>
</div>

<EntryLine
	bind:line={book.line}
	reading={book.reading}
	apply={() => book.applyLine()}
	completions={book.completions}
/>
<ProblemAlert problems={book.problems} class="mb-6" />

<div class="mb-8 grid gap-x-10 gap-y-4 lg:grid-cols-[2fr_1fr]">
	<Trays piles={trays} {shelves} {problems} />
	<Synonyms {synonyms} />
</div>

<ReleaseWalls
	{release}
	holdings={{ owned: book.owned, incoming: new Map(incoming) }}
	numberingKey={numberingKey || null}
	parallelKey={parallelKey || null}
	pending={book.pending}
	change={(wanted) => book.setOwned(wanted)}
/>

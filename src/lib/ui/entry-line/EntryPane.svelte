<script module lang="ts">
	import type { Release } from '$lib/core/checklist/release';

	/** What an entry line stands on. */
	export interface EntryGround {
		readonly release: Release;
		readonly owned: readonly (readonly [string, number])[];
		readonly synonyms: readonly (readonly [string, string])[];
	}
</script>

<script lang="ts">
	import { onMount } from 'svelte';
	import EntryLine from './EntryLine.svelte';
	import { createLogBook } from './log-book.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { ground, change }: { ground: EntryGround; change: (releaseKey: string) => void } = $props();
	let numberingKey = $state('');
	/** What was logged here since it was opened; the page behind it reads it from the server. */
	let more = $state.raw<readonly (readonly [string, number])[]>([]);
	const book = createLogBook({
		release: () => ground.release,
		owned: () => [...ground.owned, ...more],
		numberingKey: () => numberingKey || null,
		parallelKey: () => null,
		condition: () => undefined,
		synonyms: () => new Map(ground.synonyms)
	});
	const owners = $derived(
		ground.release.sections.filter(({ numberedIn }) => numberedIn === undefined)
	);

	async function apply() {
		const { changes } = book.reading;
		await book.applyLine();
		if (book.problems.length === 0) {
			more = [...more, ...changes.map(({ version, after }) => [version, after] as const)];
		}
	}

	onMount(() => document.getElementById('entry-line')?.focus());
</script>

<div class="mb-2 flex flex-wrap gap-3">
	<ReleaseSelect chosen={ground.release} label="Release" class="w-auto select-sm" choose={change} />
	<select class="select select-sm" aria-label="Section" bind:value={numberingKey}>
		<option value="">All sections</option>
		{#each owners as { key, name } (key)}<option value={key}>{name}</option>{/each}
	</select>
</div>
<EntryLine bind:line={book.line} reading={book.reading} {apply} completions={book.completions} />
<ProblemAlert problems={book.problems} />

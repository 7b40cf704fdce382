<script lang="ts">
	import type { Release } from '$lib/core/checklist/release';
	import { nameVersion } from '$lib/core/copies/name-version';
	import type { Problem } from '$lib/core/problem';
	import { indexCards } from '$lib/core/shorthand/card-index';
	import { readShorthand } from '$lib/core/shorthand/read-shorthand';
	import { vocabularyOf } from '$lib/core/shorthand/vocabulary';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { ask } from '$lib/ui/send';

	/** Picks versions by an entry line: "1-5 brass", "27 home town" is the error and not the regular card. */
	interface Props {
		release: string;
		picked: readonly string[];
		change: (picked: readonly string[]) => void;
	}
	let { release, picked, change }: Props = $props();
	const SHOWN = 24;
	let text = $state('');
	let problems = $state.raw<readonly Problem[]>([]);
	let checklist = $state.raw<Release | null>(null);

	async function pick() {
		if (text.trim() === '') return;
		if (checklist?.key !== release) {
			const outcome = await ask<{ release: Release }>(
				'GET',
				`/api/releases/${encodeURIComponent(release)}/entry`
			);
			problems = outcome.ok ? [] : outcome.problems;
			if (!outcome.ok) return;
			checklist = outcome.value.release;
		}
		const reading = readShorthand(text, {
			release: checklist,
			index: indexCards(checklist),
			vocabulary: vocabularyOf(checklist),
			numberingKey: null,
			parallelKey: null,
			owned: new Map()
		});
		problems = reading.problems;
		if (problems.length > 0) return;
		change([...new Set([...picked, ...reading.additions.map(({ version }) => version)])]);
		text = '';
	}
	const nameOf = (key: string) =>
		checklist && key.startsWith(`${checklist.key}/`)
			? nameVersion(checklist, key)
			: key.replace(/^[^/]*\//, '');
</script>

<div class="mt-2 ml-9">
	<div class="flex gap-2">
		<input
			class="input max-w-80 input-sm"
			aria-label="Versions, by an entry line"
			placeholder="1-5 brass, 27 home town"
			bind:value={text}
			onkeydown={(event) => {
				if (event.key !== 'Enter') return;
				event.preventDefault();
				void pick();
			}}
		/>
		<button type="button" class="btn btn-sm" onclick={() => void pick()}>Add by a line</button>
	</div>
	<p class="mt-0.5 text-sm quiet">Just these versions: an error, say, and not the regular card.</p>
	<ProblemAlert {problems} class="mt-2" />
	<ul class="mt-1 flex flex-wrap gap-x-4 gap-y-1">
		{#each picked.slice(0, SHOWN) as key (key)}
			<li>
				{nameOf(key)}
				<button
					type="button"
					class="quiet hover:text-error"
					aria-label="Leave {nameOf(key)} out"
					onclick={() => change(picked.filter((other) => other !== key))}>✕</button
				>
			</li>
		{/each}
		{#if picked.length > SHOWN}
			<li class="quiet">
				and {picked.length - SHOWN} more
				<button type="button" class="prose-link" onclick={() => change([])}>take all out</button>
			</li>
		{/if}
	</ul>
</div>

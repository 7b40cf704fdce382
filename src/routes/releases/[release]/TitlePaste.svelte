<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { fillTitles, readTitles } from '$lib/core/checklist/fill-titles';
	import type { Release } from '$lib/core/checklist/release';
	import type { Problem } from '$lib/core/problem';
	import { countOf } from '$lib/ui/numerals';
	import ProblemList from '$lib/ui/ProblemList.svelte';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { release, problems }: { release: Release; problems: readonly Problem[] } = $props();
	const owners = $derived(release.sections.filter(({ numberedIn }) => numberedIn === undefined));
	const untitled = $derived(
		release.sections.flatMap(({ cards }) => cards.filter(({ title }) => title === '')).length
	);
	let text = $state('');
	let chosen = $state('');
	const numbering = $derived(chosen || (owners[0]?.key ?? ''));
	const reading = $derived(readTitles(text));
	const result = $derived(fillTitles(release, numbering, reading.lines));
	const found = $derived([...reading.problems, ...result.problems]);
	const forgiven = $derived([...new Set(reading.lines.flatMap((line) => line.forgiven))]);
</script>

<details class="mt-8" open={untitled > 0}>
	<summary class="cursor-pointer font-serif text-xl"
		>Fill in titles {#if untitled > 0}<span class="font-sans text-base quiet"
				>{countOf(untitled, 'card')} without one</span
			>{/if}</summary
	>
	<form
		method="POST"
		action="?/titles"
		class="mt-3 grid gap-4 lg:grid-cols-2"
		use:enhance={() =>
			async ({ result: answer, update }) => {
				await update({ reset: false });
				if (answer.type === 'success') text = '';
			}}
	>
		<div>
			<Field label="Section" class="mb-3">
				<select
					class="select w-full"
					name="numbering"
					value={numbering}
					onchange={(event) => (chosen = event.currentTarget.value)}
				>
					{#each owners as { key, name } (key)}<option value={key}>{name}</option>{/each}
				</select>
			</Field>
			<Field label="List with number, title and group">
				<textarea
					class="textarea w-full font-mono text-sm"
					name="text"
					rows="8"
					bind:value={text}
					spellcheck="false"
					placeholder="12 Gannet Point – Lighthouses&#10;13 Ada Hale – Keepers"></textarea>
			</Field>
			<button class="btn mt-3" disabled={result.filled === 0 || found.length > 0}
				>Fill in {countOf(result.filled, 'title')}</button
			>
		</div>
		<div aria-live="polite">
			<ProblemAlert {problems} class="mb-3" />
			{#if text.trim() !== ''}
				{#if found.length > 0}<ProblemList problems={found} most={12} />{/if}
				{#if forgiven.length > 0}<p class="my-2 quiet">Forgiven: {forgiven.join(', ')}.</p>{/if}
				<ul class="mt-2">
					{#each reading.lines.slice(0, 12) as { line, number, title, group } (line)}
						<li class="truncate">
							<strong class="mr-2">{number}</strong>{title}
							{#if group}<span class="quiet">· {group}</span>{/if}
						</li>
					{/each}
					{#if reading.lines.length > 12}<li class="quiet">
							and {reading.lines.length - 12} more
						</li>{/if}
				</ul>
			{:else}
				<p class="quiet">
					Tabs, commas or plain lines, in any order of columns. What will change is shown here
					first.
				</p>
			{/if}
		</div>
	</form>
</details>

<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { Doubt } from '$lib/core/checklist/chapters/chapter';
	import type { Release } from '$lib/core/checklist/release';
	import { formatDay } from '$lib/ui/numerals';
	import type { Problem } from '$lib/core/problem';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import Field from '$lib/ui/Field.svelte';
	import HuntForm from './HuntForm.svelte';
	import Sureness from './Sureness.svelte';

	/** What is not certain, and what is still looked for. */
	interface Props {
		release: Release;
		doubts: readonly Doubt[];
		/** What was wrong with what was said of a hunt. */
		problems: readonly Problem[];
	}
	let { release, doubts, problems }: Props = $props();
	const hunts = $derived(release.hunts ?? []);
	/** It stays open while hunt after hunt is added. */
	let isAdding = $state(false);
	const nameOf = (key: string | undefined) =>
		release.sections.find((section) => section.key === key)?.name;
</script>

{#if doubts.length > 0}
	<section class="mt-8 max-w-4xl" aria-labelledby="doubts">
		<h2 id="doubts" class="mb-2">Not certain</h2>
		<ul>
			{#each doubts as { what, ...evidence }, i (i)}
				<li class="border-t border-base-300/60 py-1">{what}<Sureness {...evidence} /></li>
			{/each}
		</ul>
	</section>
{/if}
{#if hunts.length > 0}
	<section class="mt-8 max-w-4xl" aria-labelledby="hunts">
		<h2 id="hunts" class="mb-2">Still looked for</h2>
		<ul>
			{#each hunts as { key, name, section, note, source, lastLooked, lookedWhere } (key)}
				<li class="border-t border-base-300/60 py-1">
					{name}{#if section}<span class="quiet">, {nameOf(section)}</span>{/if}
					<span class="block text-sm quiet"
						>{[
							note,
							source,
							lastLooked && `last looked for on ${formatDay(lastLooked)}`,
							lookedWhere
						]
							.filter(Boolean)
							.join(', ')}</span
					>
					<HuntForm hunt={key} section={release.sections.find((other) => other.key === section)} />
				</li>
			{/each}
		</ul>
	</section>
{/if}
<ProblemAlert {problems} class="mt-3 max-w-4xl" />
<details class="mt-3 max-w-4xl" bind:open={isAdding}>
	<summary class="cursor-pointer prose-link">Look for something suspected to exist</summary>
	<form method="POST" action="?/hunt" class="mt-2 flex flex-wrap items-end gap-3" use:enhance>
		<Field label="What is looked for" class="min-w-0 flex-1 basis-64">
			<input class="input w-full input-sm" name="name" maxlength="200" required />
		</Field>
		<Field label="Of the section" class="w-44">
			<select class="select w-full select-sm" name="section">
				<option value="">not known</option>
				{#each release.sections as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</Field>
		<Field label="Who says so" class="w-44">
			<input class="input w-full input-sm" name="source" maxlength="300" />
		</Field>
		<Field label="Note" class="min-w-0 flex-1 basis-48">
			<input class="input w-full input-sm" name="note" maxlength="1000" />
		</Field>
		<button class="btn btn-sm">Put it on the list</button>
	</form>
</details>

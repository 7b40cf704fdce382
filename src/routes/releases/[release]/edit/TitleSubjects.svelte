<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import {
		subjectsOfTitles,
		TITLE_SEPARATORS,
		type TitleSeparator
	} from '$lib/core/checklist/subjects-of-titles';
	import type { Release } from '$lib/core/checklist/release';
	import type { Problem } from '$lib/core/problem';
	import { countOf } from '$lib/ui/numerals';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		release: Release;
		problems: readonly Problem[];
		/** Changes in the sheets that are not saved yet. */
		unsaved: number;
	}
	let { release, problems, unsaved }: Props = $props();
	const SHOWN = 12;
	let separators = $state<TitleSeparator[]>(['vs', '/', '&']);
	let section = $state('');
	let overwrite = $state(false);
	const found = $derived(
		subjectsOfTitles(release, separators, {
			overwrite,
			...(section ? { sections: [section] } : {})
		})
	);
	/** Titles that name several come first: these are the ones to look at. */
	const shown = $derived(
		[...found].sort((a, b) => b.subjects.length - a.subjects.length).slice(0, SHOWN)
	);
</script>

<form
	method="POST"
	action="?/subjects"
	class="mt-3 grid gap-4 lg:grid-cols-2"
	use:enhance={() =>
		({ update }) =>
			update({ reset: false })}
>
	<div>
		<fieldset class="mb-3">
			<legend class="mb-1 font-semibold">A title is split at</legend>
			<div class="flex flex-wrap gap-x-5 gap-y-2">
				{#each TITLE_SEPARATORS as separator (separator)}
					<label class="flex items-center gap-2"
						><input
							type="checkbox"
							class="checkbox checkbox-sm"
							name="separator"
							value={separator}
							bind:group={separators}
						/><code>{separator}</code></label
					>
				{/each}
			</div>
		</fieldset>
		<Field label="Section" class="mb-3">
			<select class="select w-full" name="section" bind:value={section}>
				<option value="">All of them</option>
				{#each release.sections as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</Field>
		<label class="mb-3 flex items-center gap-2"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				name="overwrite"
				value="on"
				bind:checked={overwrite}
			/>Also where a card has subjects already</label
		>
		<button class="btn" disabled={found.length === 0 || unsaved > 0}
			>Give {countOf(found.length, 'card')} their subjects</button
		>
	</div>
	<div aria-live="polite">
		<ProblemAlert {problems} class="mb-3" />
		<ul class="space-y-1">
			{#each shown as { card, number, title, subjects } (card)}
				<li>
					<span class="quiet">{number ?? ''} {title}</span> →
					{subjects.map((subject) => `“${subject}”`).join(', ')}
				</li>
			{:else}
				<li class="quiet">No title says a subject that its card lacks.</li>
			{/each}
			{#if found.length > SHOWN}<li class="quiet">and {found.length - SHOWN} more</li>{/if}
		</ul>
	</div>
</form>

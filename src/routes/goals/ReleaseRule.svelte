<script lang="ts">
	import { spansAll } from '$lib/core/goal/goal-rules';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import type { GoalOptions } from '$lib/server/goals/goal-options';
	import RuleRow from './RuleRow.svelte';
	import type { RulesBook } from './rules-book.svelte';

	/** Which releases a goal goes over. */
	interface Props {
		book: RulesBook;
		options: GoalOptions;
		goOver: (releases: readonly string[]) => Promise<void>;
	}
	let { book, options, goOver }: Props = $props();
	const rules = $derived(book.rules);
	const home = $derived(options.release);
	/** A subject or a group is looked for everywhere, unless releases are named. */
	const isTheme = $derived(rules.subject !== undefined || rules.group !== undefined);
	const isEverywhere = $derived(spansAll(rules));
	const further = $derived(rules.releases.filter((key) => key !== home.key));
	const nameOf = (key: string) => options.further.find((other) => other.key === key)?.name ?? key;
	/** Of a theme the first release is named as well, or else it would be looked for everywhere. */
	const named = (keys: readonly string[]) => (isTheme ? [home.key, ...keys] : keys);
</script>

<RuleRow
	name="Releases"
	meaning={isEverywhere
		? 'Every release of the collection that has such cards.'
		: 'Cards of these releases, with their sections below.'}
>
	{#if isTheme}
		<label class="mb-1 flex items-center gap-2"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				checked={isEverywhere}
				onchange={(event) => void goOver(event.currentTarget.checked ? [] : [home.key])}
			/>all of the collection</label
		>
	{/if}
	{#if !isEverywhere}
		<ul class="flex flex-wrap items-center gap-x-4 gap-y-1">
			<li>{home.name}</li>
			{#each further as key (key)}
				<li>
					{nameOf(key)}
					<button
						type="button"
						class="quiet hover:text-error"
						aria-label="Leave {nameOf(key)} out"
						onclick={() => void goOver(named(further.filter((other) => other !== key)))}>✕</button
					>
				</li>
			{/each}
			<li>
				{#key further.length}<ReleaseSelect
						label="Add a release"
						blank="add a release"
						class="w-56 select-sm"
						choose={(key) => {
							if (key && key !== home.key && !further.includes(key)) {
								void goOver(named([...further, key]));
							}
						}}
					/>{/key}
			</li>
		</ul>
	{/if}
</RuleRow>

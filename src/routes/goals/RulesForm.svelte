<script lang="ts">
	import type { GoalChoice } from '$lib/core/goal/goal-rules';
	import type { Problem } from '$lib/core/problem';
	import type { GoalOptions } from '$lib/server/goals/goal-options';
	import RuleList from './RuleList.svelte';
	import SchoolPick from './SchoolPick.svelte';
	import SlotTally from './SlotTally.svelte';
	import { createRulesBook } from './rules-book.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { ask } from '$lib/ui/send';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		options: GoalOptions;
		/** The goal that is decided anew; left out: a new one. */
		start?: { readonly name: string; readonly rules: GoalChoice };
		problems: readonly Problem[];
		save: (name: string, rules: GoalChoice) => Promise<void>;
		saveName: string;
	}
	let { options: begun, start, problems, save, saveName }: Props = $props();
	/** With the releases that were added here. */
	let grown = $state.raw<GoalOptions | null>(null);
	const options = $derived(grown ?? begun);
	// svelte-ignore state_referenced_locally
	const book = createRulesBook(() => options, start?.rules);
	// svelte-ignore state_referenced_locally
	let name = $state(start?.name ?? '');
	let busy = $state(false);

	/** Goes over further releases: what can be chosen follows. */
	async function goOver(releases: readonly string[]) {
		book.set({ releases });
		const query = new URLSearchParams({ release: begun.release.key });
		for (const key of releases) query.append('further', key);
		const outcome = await ask<GoalOptions>('GET', `/api/goals/options?${query}`);
		if (outcome.ok) grown = outcome.value;
	}

	async function onsubmit(event: SubmitEvent) {
		event.preventDefault();
		if (busy) return;
		busy = true;
		await save(name, book.choice);
		busy = false;
	}
</script>

<form {onsubmit} class="grid items-start gap-x-10 gap-y-6 lg:grid-cols-[1fr_17rem]">
	<div class="min-w-0">
		<SchoolPick {book} {options} />
		<RuleList {book} {options} {goOver} />
	</div>
	<aside
		class="max-lg:sticky max-lg:bottom-14 max-lg:z-10 max-lg:flex max-lg:flex-wrap max-lg:items-end max-lg:gap-x-4 max-lg:gap-y-2 max-lg:border-t max-lg:border-base-300 max-lg:bg-base-100 max-lg:py-2 lg:sticky lg:top-6 lg:flex lg:flex-col"
	>
		<!-- Below the button, which would else move away from a click while slots are counted. -->
		<div class="lg:order-last lg:mt-5">
			<SlotTally counted={book.counted} lacks={book.lacks} rules={book.rules} />
		</div>
		<Field label="Name, if you like" class="max-lg:min-w-0 max-lg:flex-1 lg:mb-3">
			<input class="input w-full" bind:value={name} maxlength="200" />
		</Field>
		<ProblemAlert {problems} class="mb-3" />
		<button
			class="btn btn-primary lg:w-full"
			disabled={busy || book.counted?.slots === 0 || book.lacks.length > 0}>{saveName}</button
		>
	</aside>
</form>

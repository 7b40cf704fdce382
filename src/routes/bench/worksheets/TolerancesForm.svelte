<script lang="ts">
	import type { FormAnswer } from '$lib/ui/form-answer';
	import { ASPECTS } from '$lib/core/condition/worksheet-levels';
	import { formatLevelLines, formatLimitLines } from '$lib/core/condition/worksheet-lines';
	import { CONDITIONS } from '$lib/core/copies/condition';
	import type { WorksheetsView } from '$lib/server/bench/worksheets-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import LinesField from '$lib/ui/LinesField.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		rules: WorksheetsView['rules'];
		answer: FormAnswer;
	}
	/** What a word is made by. */
	let { rules, answer }: Props = $props();
</script>

<details class="mt-6 max-w-5xl" open={answer.isAnswered}>
	<summary class="cursor-pointer font-serif text-lg">Tolerances and levels</summary>
	<p class="mt-1 text-sm quiet">
		What came with the program is common practice, no source; collectors, sellers and houses differ.
		The wider border as a part of both, in percent; the best word first.
	</p>
	<form
		method="POST"
		action="?/rules"
		class="mt-2"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<div class="grid gap-4 sm:grid-cols-2">
			<Field label="Centring: at most"
				><LinesField name="limits" rows={7} value={formatLimitLines(rules.limits)} /></Field
			>
			{#each ASPECTS as aspect (aspect)}
				<Field label="{aspect[0]?.toUpperCase()}{aspect.slice(1)}: level, word, what it looks like"
					><LinesField
						name={aspect}
						rows={7}
						value={formatLevelLines(rules.levels[aspect])}
					/></Field
				>
			{/each}
		</div>
		<div class="mt-2 flex flex-wrap items-end gap-3">
			<Field label="Weak is what allows no more than">
				<select name="weakFrom" class="select w-48 select-sm" value={rules.weakFrom}>
					{#each CONDITIONS as word (word)}<option>{word}</option>{/each}
				</select>
			</Field>
			<button class="btn btn-sm">Keep</button>
			<span class="text-sm text-primary" role="status">{answer.told}</span>
		</div>
		<ProblemAlert problems={answer.problems} class="mt-2" />
	</form>
</details>

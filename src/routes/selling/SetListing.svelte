<script lang="ts">
	import type { FormAnswer } from '$lib/ui/form-answer';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		goals: readonly { readonly id: number; readonly name: string }[];
		channels: readonly string[];
		answer: FormAnswer;
	}
	/** A whole set: the copies that fill a set of a goal, offered together. */
	let { goals, channels, answer }: Props = $props();
</script>

{#if goals.length > 0}
	<details class="mt-4 max-w-5xl" open={answer.isAnswered}>
		<summary class="cursor-pointer font-serif text-lg">Offer a whole set</summary>
		<form method="POST" action="?/set" class="mt-2 flex flex-wrap items-end gap-3" use:enhance>
			<Field label="The cards that fill">
				<select name="goal" class="select w-64 max-w-full select-sm">
					{#each goals as goal (goal.id)}<option value={goal.id}>{goal.name}</option>{/each}
				</select>
			</Field>
			<Field label="Set"
				><input name="set" type="number" min="1" value="1" class="input w-20 input-sm" /></Field
			>
			<Field label="Where">
				<select name="channel" class="select w-40 select-sm">
					{#each channels as channel (channel)}<option>{channel}</option>{/each}
				</select>
			</Field>
			<Field label="Asked"
				><input name="asking" class="input w-28 input-sm" inputmode="decimal" required /></Field
			>
			<Field label="Not under"
				><input name="floor" class="input w-28 input-sm" inputmode="decimal" /></Field
			>
			<button class="btn btn-sm">Make it</button>
		</form>
		<p class="mt-1 text-sm quiet">
			They are to be sold from then on, and fill the goal no more; undo brings them back.
		</p>
		<ProblemAlert problems={answer.problems} class="mt-2" />
	</details>
	<p role="status" class="text-sm text-primary">{answer.told}</p>
{/if}

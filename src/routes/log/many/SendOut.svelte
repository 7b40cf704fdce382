<script lang="ts">
	import { OUTING_KINDS } from '$lib/core/copies/outing';
	import Field from '$lib/ui/Field.svelte';
	import { countOf } from '$lib/ui/numerals';

	/** The chosen cards go out of the house; part of the form that chooses them. */
	let { cards, isOpen }: { cards: number; isOpen: boolean } = $props();
	const NAMES = { loan: 'on loan', look: 'to be looked at', grading: 'to be graded' } as const;
</script>

<details class="mb-4 max-w-3xl" open={isOpen}>
	<summary class="cursor-pointer">They go out</summary>
	<div class="mt-2 flex flex-wrap items-end gap-3">
		<Field label="Why">
			<select class="select w-40 select-sm" name="kind">
				{#each OUTING_KINDS as kind (kind)}<option value={kind}>{NAMES[kind]}</option>{/each}
			</select>
		</Field>
		<Field label="To whom">
			<input class="input w-48 input-sm" name="to" maxlength="200" />
		</Field>
		<Field label="Due back on">
			<input class="input w-40 input-sm" type="date" name="dueOn" />
		</Field>
		<button class="btn btn-sm" formaction="?/out" disabled={cards === 0}
			>{countOf(cards, 'card')} out</button
		>
	</div>
	<p class="mt-1 text-sm quiet">
		Cards that are out keep their place in box and binder; the Desk reminds you a week before they
		are due.
	</p>
</details>

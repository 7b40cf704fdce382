<script lang="ts">
	import { CONDITIONS, type Condition } from '$lib/core/copies/condition';
	import Field from '$lib/ui/Field.svelte';

	/** What is known of the whole pile, typed once. */
	interface Props {
		year: string;
		maker: string;
		/** Name of a finish; empty: base. */
		finish: string;
		condition: Condition | '';
		/** Names of the finishes there are. */
		finishes: readonly string[];
	}
	let {
		year = $bindable(),
		maker = $bindable(),
		finish = $bindable(),
		condition = $bindable(),
		finishes
	}: Props = $props();
</script>

<div class="mb-4 grid grid-cols-2 gap-3 sm:max-w-3xl sm:grid-cols-4">
	<Field label="Year, if all are of one">
		<input class="input w-full input-sm" inputmode="numeric" maxlength="9" bind:value={year} />
	</Field>
	<Field label="Maker">
		<input class="input w-full input-sm" maxlength="200" bind:value={maker} />
	</Field>
	<Field label="Finish">
		<select class="select w-full select-sm" bind:value={finish}>
			<option value="">Base</option>
			{#each finishes as name (name)}<option>{name}</option>{/each}
		</select>
	</Field>
	<Field label="Condition">
		<select class="select w-full select-sm" bind:value={condition}>
			<option value="">Not looked at</option>
			{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
		</select>
	</Field>
</div>

<script lang="ts">
	import Field from '$lib/ui/Field.svelte';

	interface Props {
		/** Houses that are kept; none: any name is taken. */
		houses: readonly string[];
		/** Whether it is asked how a price came to be known. */
		hasKind?: boolean;
	}
	/** Who said it, when, of what kind it is. */
	let { houses, hasKind = false }: Props = $props();
</script>

{#if hasKind}
	<Field label="It was">
		<select name="kind" class="select w-32 select-sm">
			<option value="sale">sold for</option>
			<option value="asking">asked</option>
			<option value="estimate">estimated</option>
		</select>
	</Field>
{/if}
<Field label="Graded by">
	{#if houses.length > 0}
		<select name="house" class="select w-52 select-sm">
			<option value="">not said</option>
			{#each houses as house (house)}<option>{house}</option>{/each}
		</select>
	{:else}
		<input name="house" class="input w-52 input-sm" placeholder="not said" />
	{/if}
</Field>
<Field label="Where"
	><input name="source" class="input w-44 input-sm" placeholder="not said" /></Field
>
<Field label="On"><input name="on" type="date" class="input w-40 input-sm" /></Field>

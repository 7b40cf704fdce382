<script lang="ts">
	import { resolve } from '$app/paths';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import GradedFile from '../GradedFile.svelte';
	import { answerOf } from '$lib/ui/form-answer';
	import Word from '$lib/ui/Word.svelte';
	import Houses from './Houses.svelte';
	import PopulationForm from './PopulationForm.svelte';
	import PopulationTable from './PopulationTable.svelte';

	let { data, form } = $props();
	/** Of a table that can be taken in. */
	const TABLE = 'card,10,9.5,9,authentic,total\n27,2,7,31,1,41';
	const said = (part: string) => answerOf(form, part);
	const chosen = $derived(data.releases.find(({ key }) => key === data.release) ?? null);
	const houses = $derived(data.houses.map(({ name }) => name));
</script>

<svelte:head><title>Populations · Jade Binder</title></svelte:head>

<h1 class="mb-2"><Word of="population">Populations</Word></h1>
<ProblemAlert problems={[...data.misread, ...(said('list').problems ?? [])]} class="mb-3" />
<AskForm path={resolve('/worth/populations')} class="mb-3">
	<Field label="Release"
		><ReleaseSelect {chosen} name="release" class="w-64 max-w-full select-sm" /></Field
	>
	{#if data.rows.length > 0}
		<Field label="Good from grade"
			><input
				name="least"
				class="input w-24 input-sm"
				type="number"
				min="1"
				max="10"
				step="0.5"
				value={data.least}
			/></Field
		>
		<Field label="Held against">
			<select name="against" class="select w-64 max-w-full select-sm" value={data.against?.version}>
				{#each data.rows as { version, name, title } (version)}<option value={version}
						>{name} {name.startsWith(title) ? '' : title}</option
					>{/each}
			</select>
		</Field>
	{/if}
</AskForm>
{#if data.rows.length === 0}
	<p class="max-w-2xl text-lg">
		No population of this release is known. Write below what a house says, or take a table in; then
		the ladder tells what none was graded of, and how many times scarcer a card is.
	</p>
{:else}
	{#each data.wrong as wrong, i (i)}
		<p class="mb-1" data-testid="wrong-sum">
			<span class="badge badge-sm badge-warning">does not add up</span>
			{wrong.name}
			{wrong.title}, {wrong.house}, {wrong.on}: it states {wrong.statedTotal}, its grades come to {wrong.sum}.
		</p>
	{/each}
	<PopulationTable {data} />
{/if}
{#if data.release !== null}
	<PopulationForm
		release={data.release}
		{houses}
		problems={said('keep').problems}
		told={said('keep').told}
	/>
	<details class="mt-3 max-w-5xl" open={said('file').isAnswered}>
		<summary class="cursor-pointer font-serif text-lg">Take a table in</summary>
		<GradedFile
			release={data.release}
			{houses}
			problems={said('file').problems}
			told={said('file').told}
			placeholder={TABLE}
		/>
	</details>
{/if}
<Houses houses={data.houses} problems={said('house').problems} told={said('house').told} />

<script lang="ts">
	import { resolve } from '$app/paths';
	import { page } from '$app/state';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import CardClose from './CardClose.svelte';
	import LadderKey from './LadderKey.svelte';
	import LadderTable from './LadderTable.svelte';

	let { data } = $props();
	const chosen = $derived(data.releases.find(({ key }) => key === data.release) ?? null);
	/** The address with another card looked at; null: none. */
	const addressOf = (card: string | null) => {
		const query = new URLSearchParams(page.url.searchParams);
		if (data.release) query.set('release', data.release);
		if (card === null) query.delete('card');
		else query.set('card', card);
		return `${resolve('/worth')}?${query.toString()}`;
	};
</script>

<svelte:head><title>Grade ladder · Jade Binder</title></svelte:head>

<h1 class="mb-2">The grade ladder</h1>
<ProblemAlert problems={[...data.misread, ...data.problems]} class="mb-3" />
<AskForm path={resolve('/worth')} class="mb-3">
	<Field label="Release"
		><ReleaseSelect {chosen} name="release" class="w-64 max-w-full select-sm" /></Field
	>
	{#if data.column !== null}
		<Field label="Ranked at">
			<select name="at" class="select w-36 select-sm" value={data.column}>
				{#each data.columns as { label } (label)}<option value={label}>{label}</option>{/each}
			</select>
		</Field>
		<Field label="Graded by">
			<select name="house" class="select w-44 select-sm" value={data.house ?? ''}>
				<option value="">all houses together</option>
				{#each data.houses as house (house)}<option>{house}</option>{/each}
			</select>
		</Field>
		<Field label="The top">
			<input name="top" class="input w-20 input-sm" inputmode="numeric" value={data.top} />
		</Field>
	{/if}
</AskForm>
{#if data.rows.length === 0}
	<p class="max-w-2xl text-lg">
		{#if data.release === null}
			There is no release yet. Add one under <a class="link" href={resolve('/releases')}>Releases</a
			>; its prices come after.
		{:else}
			No price and no population of this release is known. Write down what you heard under
			<a class="link" href={resolve('/worth/prices')}>Prices</a>, or take a table in; a population
			under <a class="link" href={resolve('/worth/populations')}>Populations</a>.
		{/if}
	</p>
{:else}
	<LadderTable {data} {addressOf} />
	<LadderKey oldMonths={data.kept.oldMonths} mostSales={data.kept.mostSales} />
	{#if data.close}
		{@const row = data.rows.find(({ version }) => version === data.close?.version)}
		{#if row}<CardClose close={data.close} {row} {data} closed={addressOf(null)} />{/if}
	{/if}
{/if}

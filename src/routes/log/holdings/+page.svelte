<script lang="ts">
	import { resolve } from '$app/paths';
	import { HOLDING_COLUMNS } from '$lib/formats/holdings-columns';
	import { countOf } from '$lib/ui/numerals';
	import ListImport from '$lib/ui/ListImport.svelte';
	import ProblemList from '$lib/ui/ProblemList.svelte';
	import UnmatchedList from './UnmatchedList.svelte';
	import Field from '$lib/ui/Field.svelte';

	let { data, form } = $props();
	const preview = $derived(form && 'preview' in form ? form.preview : undefined);
	const done = $derived(form && 'done' in form ? form.done : undefined);
	const made = $derived(form && 'made' in form ? form.made : undefined);
	const table = $derived(form && 'table' in form ? form.table : undefined);
	const source = $derived(form && 'source' in form ? form.source : '');
</script>

<svelte:head><title>Import holdings · Jade Binder</title></svelte:head>

<p class="mt-4 mb-1 quiet"><a class="prose-link" href={resolve('/log')}>Log</a></p>
<h1 class="mb-2">Import holdings</h1>
<p class="mb-5 max-w-2xl quiet">
	Your own list, XLSX or CSV, with a row a copy. What it names is looked for in your checklists;
	rows that fit none are kept to be settled, and nothing is dropped. The same list goes out as
	<a
		class="prose-link"
		href={resolve('/api/holdings.[form=holdingsform]', { form: 'csv' })}
		download>CSV</a
	>
	or
	<a
		class="prose-link"
		href={resolve('/api/holdings.[form=holdingsform]', { form: 'xlsx' })}
		download>XLSX</a
	>.
</p>

<ListImport
	columns={HOLDING_COLUMNS}
	{table}
	{preview}
	takeIn="Take in {countOf(preview?.matched ?? 0, 'row')}{(preview?.left ?? 0) > 0
		? `, keep ${preview?.left} to settle`
		: ''}"
	placeholder="year,set,number,subject,value&#10;1994,Harbour Lights,27,Nan Gannaway,2.50"
>
	<Field label="Currency of amounts" class="max-w-40"
		><input class="input w-full" name="currency" maxlength="3" placeholder="EUR" />
	</Field>
</ListImport>

<section class="mt-6" aria-live="polite">
	{#if done}
		<p class="text-lg text-primary">
			{countOf(done.copies, 'row')} of {source} taken in{done.unmatched > 0
				? `, ${done.unmatched} kept to settle`
				: ''}. Undo takes all of it back.
		</p>
	{/if}
	{#if made}
		<p class="text-lg text-primary">
			{countOf(made.copies, 'row')} taken in{made.releases > 0
				? `, ${countOf(made.releases, 'release')} made`
				: ''}. Undo takes it back.
		</p>
	{/if}
	{#if form?.problems?.length && !('settling' in form && form.settling)}
		<ProblemList problems={form.problems} />
	{/if}
	{#if preview}
		<h2 class="mb-1">{source}</h2>
		<p class="mb-3">
			{countOf(preview.rows, 'row')}: <strong data-testid="matched">{preview.matched}</strong> fit,
			<strong>{preview.left}</strong> do not yet.
		</p>
		{#if form && 'notes' in form && form.notes?.length}
			<ProblemList problems={form.notes} tone="note" most={8} />
		{/if}
		<ul class="mt-3 space-y-1">
			{#each preview.unmatched as { line, reason } (line)}
				<li><span class="quiet">line {line}:</span> {reason}</li>
			{/each}
		</ul>
	{/if}
</section>

<UnmatchedList
	rows={data.unmatched}
	waiting={data.waiting}
	settling={form && 'settling' in form ? (form.settling ?? null) : null}
	problems={form?.problems ?? []}
/>

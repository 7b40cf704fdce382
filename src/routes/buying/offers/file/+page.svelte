<script lang="ts">
	import { untrack } from 'svelte';
	import { resolve } from '$app/paths';
	import { OFFER_COLUMNS } from '$lib/formats/read-offers';
	import Field from '$lib/ui/Field.svelte';
	import ListImport from '$lib/ui/ListImport.svelte';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import WaitingRow from './WaitingRow.svelte';

	let { data, form } = $props();
	/** What is chosen stays while the list is read again. */
	let usual = $state(untrack(() => data.usual));
	const preview = $derived(form && 'preview' in form ? form.preview : undefined);
	const done = $derived(form && 'done' in form ? form.done : undefined);
	const table = $derived(form && 'table' in form ? form.table : undefined);
	const source = $derived(form && 'source' in form ? form.source : '');
	const settling = $derived(form && 'settling' in form ? (form.settling ?? null) : null);
</script>

<svelte:head><title>A list from {data.seller.name} · Jade Binder</title></svelte:head>

<p class="mb-1 quiet">
	<a class="prose-link" href={resolve(`/buying/offers?seller=${data.seller.id}`)}
		>{data.seller.name}</a
	>
</p>
<h1 class="mb-2">Take in a list</h1>
<p class="mb-4 max-w-2xl quiet">
	XLSX or CSV, a row an offer: number or subject, and price; besides, set, quantity, condition, and
	what several cost (5 for 1.50). Rows that fit no card are kept to be settled, and nothing is
	dropped. What was known of the same card is replaced.
</p>
<ListImport
	columns={OFFER_COLUMNS}
	{table}
	{preview}
	query="&seller={data.seller.id}"
	takeIn="Take in {countOf(preview?.offers ?? 0, 'offer')}{(preview?.left ?? 0) > 0
		? `, keep ${preview?.left} to settle`
		: ''}"
	placeholder="number,condition,price,quantity&#10;27,nm,0.40,3"
>
	<input type="hidden" name="seller" value={data.seller.id} />
	<Field label="Where a row names no set, it is of">
		<select name="usualSet" class="select w-72 max-w-full" bind:value={usual}>
			{#each data.releases as { key, name } (key)}<option value={name}>{name}</option>{/each}
		</select>
	</Field>
</ListImport>
<section class="mt-4" aria-live="polite">
	{#if done}
		<p class="text-lg text-primary">
			{countOf(done.offers, 'offer')} of {source} taken in{done.review > 0
				? `, ${done.review} kept to settle`
				: ''}. Undo takes all of it back.
		</p>
	{/if}
	{#if settling === null}<ProblemAlert problems={form?.problems} />{/if}
	{#if preview}
		<p class="mb-2">
			{countOf(preview.rows, 'row')} of {source}:
			<strong data-testid="offers-found">{preview.offers}</strong>
			fit, <strong>{preview.left}</strong> do not yet.
		</p>
		<ul>
			{#each preview.review as { line, reason } (line)}
				<li><span class="quiet">line {line}:</span> {reason}</li>
			{/each}
		</ul>
	{/if}
</section>
{#if data.waiting > 0}
	<section class="mt-6" aria-labelledby="waiting">
		<h2 id="waiting" class="mb-1 font-serif text-xl">
			To settle <span class="text-sm quiet">{countOf(data.waiting, 'row')}</span>
		</h2>
		<ul>
			{#each data.rows as row (row.id)}
				<WaitingRow
					{row}
					releases={data.releases}
					currency={data.seller.currency}
					seller={data.seller.id}
					problems={settling === row.id ? (form?.problems ?? []) : []}
				/>
			{/each}
		</ul>
	</section>
{/if}

<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { nameShelf } from '$lib/core/storage/shelves/shelf';
	import { countOf, formatCount, formatWeight } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import BoxForm from '$lib/ui/shelf/BoxForm.svelte';
	import BoxRow from '$lib/ui/shelf/BoxRow.svelte';
	import DividerPane from './DividerPane.svelte';
	import Respacing from './Respacing.svelte';
	import StockTake from './StockTake.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import Field from '$lib/ui/Field.svelte';

	let { data, form } = $props();
	const { box, dividers } = $derived(data);
	let chosen = $state<number | null>(null);
	let mode = $state<'look' | 'stock' | 'change'>('look');
	const open = $derived(dividers.find(({ id }) => id === chosen));
	const shelf = $derived(data.shelves.find(({ id }) => id === box.shelfId));
	const inSmall = $derived(box.inside.reduce((sum, { cards }) => sum + cards, 0));
	const host = $derived(data.hosts.find(({ id }) => id === box.insideId));
	const MODES = [
		{ key: 'look', name: 'Inside' },
		{ key: 'stock', name: 'Take stock' },
		{ key: 'change', name: 'Change' }
	] as const;
	const problems = $derived(form && 'problems' in form ? (form.problems ?? []) : []);
	const at = $derived(form && 'divider' in form ? (form.divider ?? null) : null);
	const checked = $derived(form && 'checked' in form ? (form.checked ?? null) : null);
</script>

<svelte:head><title>{box.name} · Jade Binder</title></svelte:head>

<header class="mb-4 flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
	<div class="min-w-0">
		<h1 class="text-2xl wrap-anywhere">{box.name}</h1>
		<p class="quiet">
			{box.kind.name}{shelf
				? ` on ${shelf.room}: ${nameShelf(shelf)}`
				: host
					? `, in ${host.name}, row ${box.insideRow}`
					: ', on no shelf'} ·
			<strong class="font-semibold text-base-content">{countOf(box.cards, 'card')}</strong
			>{inSmall > 0 ? `, ${formatCount(inSmall)} more in small boxes` : ''}, {formatWeight(
				box.grams
			)} · {Math.round(100 * box.fill)} % full
		</p>
	</div>
	<div class="flex flex-wrap gap-1" role="group" aria-label="What to do with this box">
		{#each MODES as { key, name } (key)}
			<button
				class={['btn btn-sm', mode === key ? 'btn-primary' : 'btn-ghost']}
				aria-pressed={mode === key}
				onclick={() => (mode = key)}>{name}</button
			>
		{/each}
		<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
		<a class="btn btn-ghost btn-sm" href={`${resolve('/boxes/labels')}?box=${box.id}`}>Label</a>
		<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
		<a class="btn btn-ghost btn-sm" href={`${resolve('/log/many')}?box=${box.id}`}
			>Change all in it</a
		>
	</div>
</header>
{#if box.caution}
	<p class="mb-4 max-w-2xl border-l-3 border-accent pl-4">
		{box.caution} Local rules and the shelf maker's rating take precedence.
	</p>
{/if}
{#if data.out.length > 0}
	<p class="mb-4 max-w-3xl">
		Out, with {data.out.length === 1 ? 'its place' : 'their places'} kept:
		{data.out.map(({ name, to }) => `${name} (${to})`).join('; ')}.
		<a class="prose-link" href={resolve('/boxes/out')}>All that is out</a>
	</p>
{/if}
<ProblemAlert problems={at === null ? problems : []} />

{#if mode === 'stock'}
	{#if dividers.length === 0}<p class="text-lg">There is no divider in it yet.</p>{/if}
	<StockTake {dividers} {checked} {problems} {at} />
{:else if mode === 'change'}
	<BoxForm
		{box}
		kinds={data.kinds}
		uses={data.uses}
		hosts={data.hosts}
		shelves={data.shelves}
		action="?/save"
	/>
	<div class="mt-4 flex flex-wrap gap-2">
		{#if box.shelfId !== null}
			<form method="POST" action="?/shift" use:enhance>
				<button class="btn btn-sm" name="by" value="left">One place to the left</button>
				<button class="btn btn-sm" name="by" value="right">One place to the right</button>
			</form>
		{/if}
		<form method="POST" action="?/remove" use:enhance>
			<button
				class="btn btn-ghost btn-sm"
				title="Its cards have no place then; undo brings it back.">Remove this box</button
			>
		</form>
	</div>
	<h2 class="mt-8 mb-2">A divider of your own</h2>
	<form method="POST" action="?/divider" use:enhance class="flex flex-wrap items-end gap-3">
		<Field label="Behind it">
			<ReleaseSelect name="release" blank="cards of several sets" class="w-64 select-sm" />
		</Field>
		<Field label="It says">
			<input
				class="input w-52 input-sm"
				name="label"
				maxlength="120"
				placeholder="the name of the set"
			/>
		</Field>
		<Field label="In row">
			<select class="select w-20 select-sm" name="row">
				{#each box.rows as { row } (row)}<option value={String(row)}>{row}</option>{/each}
			</select>
		</Field>
		<button class="btn btn-sm">Add divider</button>
	</form>
{:else}
	{#if data.respacing}<Respacing respacing={data.respacing} />{/if}
	<ol class="max-w-4xl space-y-1.5" aria-label="Rows">
		{#each box.rows as { row, usedUm } (row)}
			<BoxRow
				{row}
				{usedUm}
				rowUm={box.kind.rowMm * 1000}
				dividers={dividers.filter((divider) => divider.row === row)}
				inside={box.inside.filter((inner) => inner.row === row)}
				open={open?.id}
				choose={(id) => (chosen = chosen === id ? null : id)}
			/>
		{/each}
	</ol>
	{#if open}
		{#key open.id}<DividerPane divider={open} />{/key}
	{:else if dividers.length > 0}
		<p class="mt-3 quiet">Choose a divider to see what stands behind it.</p>
	{:else}
		<p class="mt-3 max-w-xl">
			It is empty. Cards come in with <a class="prose-link" href={resolve('/boxes/plan')}
				>the plan</a
			>, or with a divider of your own and a
			<a class="prose-link" href={resolve('/boxes/slips')}>put-away slip</a>.
		</p>
	{/if}
{/if}

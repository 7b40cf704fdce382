<script lang="ts">
	import { beforeNavigate } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { SHEET_NAMES, type SheetName } from '$lib/core/checklist/rule-sheet/rule-sheet';
	import { countOf } from '$lib/ui/numerals';
	import AddLines from './AddLines.svelte';
	import CardPane from './CardPane.svelte';
	import DoctorList from './DoctorList.svelte';
	import RulePane from './RulePane.svelte';
	import TitleSubjects from './TitleSubjects.svelte';
	import { createCardSheet } from './card-sheet.svelte';
	import { createRuleBook, SHEETS } from './rule-book.svelte';

	let { data, form } = $props();
	const sheet = createCardSheet(() => data.release);
	const book = createRuleBook(() => data.release);
	type Pane = 'cards' | SheetName | 'lines' | 'subjects';
	const PANES: readonly { readonly key: Pane; readonly name: string }[] = [
		{ key: 'cards', name: 'Cards' },
		...SHEET_NAMES.map((key) => ({ key, name: SHEETS[key].name })),
		{ key: 'lines', name: 'Add lines' },
		{ key: 'subjects', name: 'Subjects from titles' }
	];
	let pane = $state<Pane>('cards');
	let rows: HTMLElement;
	const unsaved = $derived(sheet.count + book.count);
	const busy = $derived(sheet.busy || book.busy);

	beforeNavigate(({ cancel, willUnload }) => {
		if (unsaved === 0 || busy) return;
		if (willUnload || !confirm(`Leave ${countOf(unsaved, 'change')} unsaved?`)) cancel();
	});

	/** Arrows and Enter go up and down in the same column. */
	function onkeydown(event: KeyboardEvent) {
		if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 's') {
			event.preventDefault();
			if (pane !== 'lines' && pane !== 'subjects') void (pane === 'cards' ? sheet : book).save();
			return;
		}
		const step = { ArrowDown: 1, ArrowUp: -1, Enter: event.shiftKey ? -1 : 1 }[event.key];
		const input = event.target instanceof HTMLInputElement ? event.target : undefined;
		if (!step || !input?.dataset.field || event.defaultPrevented) return;
		event.preventDefault();
		const column = [
			...rows.querySelectorAll<HTMLInputElement>(`[data-field="${input.dataset.field}"]`)
		];
		const next = column[column.indexOf(input) + step];
		next?.focus();
		next?.select();
	}
</script>

<svelte:head><title>Edit {data.release.name} · Jade Binder</title></svelte:head>
<svelte:window {onkeydown} />

<header class="mt-4 mb-4">
	<h1>Edit the checklist</h1>
	<p class="quiet">
		<a class="prose-link" href={resolve('/releases/[release]', { release: data.release.key })}
			>{data.release.name}</a
		>
		{#if pane !== 'lines' && pane !== 'subjects'}
			· ↑ ↓ and Enter move in a column, Ctrl S saves, {pane === 'cards'
				? 'Shift-click chooses a run'
				: 'Alt ↑ ↓ moves the row'}
		{/if}
	</p>
</header>

<DoctorList release={data.release.key} findings={data.findings} problems={form?.problems ?? []} />

<div role="group" aria-label="What to edit" class="mb-2 flex flex-wrap gap-1">
	{#each PANES as { key, name } (key)}
		<button
			class={['btn btn-sm', pane === key ? 'btn-primary' : 'btn-ghost']}
			aria-pressed={pane === key}
			onclick={() => (pane = key)}>{name}</button
		>
	{/each}
</div>

<div bind:this={rows}>
	{#if pane === 'cards'}
		<CardPane {sheet} sections={data.release.sections} rarities={data.release.rarities} />
	{:else if pane === 'lines'}
		<AddLines release={data.release} problems={form?.lineProblems ?? []} {unsaved} />
	{:else if pane === 'subjects'}
		<TitleSubjects release={data.release} problems={form?.subjectProblems ?? []} {unsaved} />
	{:else}
		<RulePane {book} name={pane} palette={data.palette} />
	{/if}
</div>

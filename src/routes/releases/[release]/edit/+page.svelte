<script lang="ts">
	import { beforeNavigate } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { countOf } from '$lib/ui/numerals';
	import ProblemList from '$lib/ui/ProblemList.svelte';
	import BulkBar from './BulkBar.svelte';
	import CardRow from './CardRow.svelte';
	import { createCardSheet } from './card-sheet.svelte';

	let { data } = $props();
	const sheet = createCardSheet(() => data.release);
	let list = $state<HTMLElement>();

	beforeNavigate(({ cancel, willUnload }) => {
		if (sheet.count === 0 || sheet.busy) return;
		if (willUnload || !confirm(`Leave ${countOf(sheet.count, 'change')} unsaved?`)) cancel();
	});

	/** Arrows and Enter go up and down in the same column. */
	function onkeydown(event: KeyboardEvent) {
		if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 's') {
			event.preventDefault();
			void sheet.save();
			return;
		}
		const step = { ArrowDown: 1, ArrowUp: -1, Enter: event.shiftKey ? -1 : 1 }[event.key];
		const field = event.target instanceof HTMLInputElement ? event.target.dataset.field : undefined;
		if (!step || !field || !list) return;
		event.preventDefault();
		const column = [...list.querySelectorAll<HTMLInputElement>(`[data-field="${field}"]`)];
		const next = column[column.indexOf(event.target as HTMLInputElement) + step];
		next?.focus();
		next?.select();
	}
</script>

<svelte:head><title>Edit {data.release.name} · Jade Binder</title></svelte:head>
<svelte:window {onkeydown} />

<header class="mt-4 mb-4 flex flex-wrap items-end justify-between gap-4">
	<div>
		<h1>Edit the checklist</h1>
		<p class="quiet">
			<a class="prose-link" href={resolve('/releases/[release]', { release: data.release.key })}
				>{data.release.name}</a
			>
			· ↑ ↓ and Enter move in a column, Ctrl S saves, Shift-click chooses a run
		</p>
	</div>
	<label class="block">
		<span class="block text-sm quiet">Section</span>
		<select class="select" bind:value={sheet.sectionKey}>
			{#each data.release.sections as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</label>
</header>

<div class="sticky top-0 z-10 mb-2 border-b border-base-300 bg-base-100 py-2">
	<div class="flex flex-wrap items-center gap-3">
		<button
			class="btn btn-primary btn-sm"
			disabled={sheet.count === 0 || sheet.busy}
			onclick={() => sheet.save()}>Save {countOf(sheet.count, 'change')}</button
		>
		<button class="btn btn-sm" disabled={sheet.count === 0} onclick={() => sheet.discard()}
			>Discard</button
		>
		<button class="btn btn-sm" onclick={() => sheet.addCard()}>Add a card</button>
		<BulkBar {sheet} rarities={data.release.rarities} />
	</div>
	{#if sheet.problems.length > 0}
		<div class="mt-2" role="alert"><ProblemList problems={sheet.problems} most={8} /></div>
	{/if}
</div>

<div
	class="hidden grid-cols-[2rem_5rem_1.4fr_1fr_1fr_7rem] gap-2 px-1 text-sm quiet sm:grid"
	aria-hidden="true"
>
	<span></span><span>Number</span><span>Title</span><span>Group</span><span>Subjects</span><span
		>Rarity</span
	>
</div>
<ul bind:this={list} aria-label="Cards">
	{#each sheet.rows as row (row.key)}
		<CardRow {row} {sheet} />
	{:else}
		<li class="py-4 quiet">
			This section has no cards of its own{sheet.isEdition ? '; it repeats those of others' : ''}.
		</li>
	{/each}
</ul>

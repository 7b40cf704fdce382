<script lang="ts">
	import { tick, untrack } from 'svelte';
	import type { SubmitFunction } from '@sveltejs/kit';
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { CSV_COLUMNS } from '$lib/formats/checklist-csv-columns';
	import { guessRelease } from '$lib/formats/guess-release';
	import ProblemList from '$lib/ui/ProblemList.svelte';
	import { countOf } from '$lib/ui/numerals';
	import ColumnChoice from '$lib/ui/ColumnChoice.svelte';
	import ImportPreview from './ImportPreview.svelte';
	import ListPreview from './ListPreview.svelte';

	let { data, form } = $props();
	// What it begins with; after that it is what was typed.
	const { begin } = untrack(() => data);
	let as = $state<'checklist' | 'list'>(begin.as);
	const KINDS = [
		{
			word: 'checklist',
			name: 'The checklist of a release',
			meaning: 'Where that is in the collection already, it takes its place.'
		},
		{
			word: 'list',
			name: 'A list of cards, of any releases',
			meaning: 'Cards are added to what is there; releases that are not there begin with them.'
		}
	] as const;
	const isPreviewed = $derived(Boolean(form?.preview ?? form?.listed));
	let formElement: HTMLFormElement;
	let fileInput: HTMLInputElement;
	let previewButton: HTMLButtonElement;
	let fileName = $state('');
	let text = $state('');
	let name = $state(begin.name);
	let maker = $state(begin.maker);
	let year = $state(begin.year);
	let isOver = $state(false);
	let busy = $state(false);
	let isStale = $state(false);
	/** Gives up what is being read. */
	let stop: (() => void) | undefined;

	/** Reads again with other columns or another sheet. */
	async function choose() {
		await tick();
		formElement.requestSubmit(previewButton);
	}

	async function chosen() {
		const [file] = fileInput.files ?? [];
		fileName = file?.name ?? '';
		const guess = guessRelease(fileName);
		name ||= guess.name;
		year ||= guess.year;
		if (file) await choose();
	}

	function drop(event: DragEvent) {
		event.preventDefault();
		isOver = false;
		if (!event.dataTransfer?.files.length) return;
		fileInput.files = event.dataTransfer.files;
		void chosen();
	}

	function removeFile() {
		fileInput.value = '';
		fileName = '';
		isStale = true;
	}

	const working: SubmitFunction = ({ controller }) => {
		busy = true;
		let isStopped = false;
		stop = () => {
			isStopped = true;
			busy = false;
			controller.abort();
		};
		return async ({ update }) => {
			if (isStopped) return;
			await update({ reset: false });
			busy = false;
			isStale = false;
		};
	};
</script>

<svelte:head><title>Import a checklist · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-2">Import a checklist</h1>
<p class="mb-6 max-w-2xl quiet">
	JSON in our open format, or CSV or XLSX with one row a card. Nothing is created before you have
	seen the preview, and then all of it or nothing.
</p>

<form
	method="POST"
	action="?/preview"
	enctype="multipart/form-data"
	use:enhance={working}
	bind:this={formElement}
	oninput={() => (isStale = true)}
	class="grid gap-6 lg:grid-cols-2"
>
	<div
		role="group"
		aria-label="File"
		ondragover={(event) => {
			event.preventDefault();
			isOver = true;
		}}
		ondragleave={() => (isOver = false)}
		ondrop={drop}
		class={[
			'flex min-h-48 flex-col items-start justify-center gap-3 rounded-box border-2 border-dashed p-6',
			isOver ? 'border-primary bg-base-200' : 'border-base-300'
		]}
	>
		<label class="text-lg" for="file">Drag a file in here, or choose one</label>
		<input
			id="file"
			type="file"
			name="file"
			class="file-input w-full max-w-sm"
			accept=".json,.csv,.tsv,.txt,.xlsx,application/json,text/csv"
			bind:this={fileInput}
			onchange={chosen}
		/>
		{#if fileName}
			<button type="button" class="btn btn-ghost btn-sm" onclick={removeFile}
				>Take {fileName} out again</button
			>
		{/if}
	</div>
	<label class="block">
		<span class="mb-1 block text-lg">Or paste it</span>
		<textarea
			name="text"
			bind:value={text}
			rows="7"
			class="textarea w-full font-mono text-sm"
			placeholder="section,number,title&#10;Base,1,Gannet Point&#10;Base,2,Petrel Stack"
			spellcheck="false"></textarea>
	</label>
	<fieldset class="lg:col-span-2">
		<legend class="mb-2 text-lg">What it is</legend>
		<div class="flex flex-wrap gap-x-8 gap-y-2">
			{#each KINDS as { word, name: kind, meaning } (word)}
				<label class="flex max-w-md items-start gap-3">
					<input type="radio" class="radio mt-0.5" name="as" value={word} bind:group={as} />
					<span>{kind}<span class="block text-sm quiet">{meaning}</span></span>
				</label>
			{/each}
		</div>
	</fieldset>
	<fieldset class="grid grid-cols-1 gap-4 sm:grid-cols-3 lg:col-span-2">
		<legend class="mb-2 text-sm quiet">For a CSV without the columns release, maker and year</legend
		>
		<label class="block"
			><span class="block text-sm">Release</span><input
				name="name"
				bind:value={name}
				class="input w-full"
			/></label
		>
		<label class="block"
			><span class="block text-sm">Maker</span><input
				name="maker"
				bind:value={maker}
				class="input w-full"
			/></label
		>
		<label class="block"
			><span class="block text-sm">Year or season</span><input
				name="year"
				bind:value={year}
				class="input w-full"
				placeholder="1994 or 1994-95"
			/></label
		>
	</fieldset>
	{#if form?.table}
		<ColumnChoice table={form.table} columns={CSV_COLUMNS} changed={() => void choose()} />
	{/if}
	<div class="flex flex-wrap items-center gap-3 lg:col-span-2">
		<button
			class={['btn', !isPreviewed || isStale ? 'btn-primary' : '']}
			bind:this={previewButton}
			disabled={busy}>Preview</button
		>
		{#if form && isPreviewed}
			{#if form.preview}<input
					type="hidden"
					name="seen"
					value={form.same?.seen ?? 'not there'}
				/>{/if}
			<button
				class="btn btn-primary"
				formaction="?/create"
				disabled={busy || isStale || form.problems.length > 0}
				>{form.preview
					? `${form.same ? 'Replace the checklist of' : 'Create'} ${form.preview.name}`
					: 'Add these cards'}</button
			>
		{/if}
		<span role="status" class="flex items-center gap-3">
			{#if busy}
				<progress class="progress w-32 progress-primary" aria-label="Reading the checklist"
				></progress>
				Reading {fileName || 'the text'}
				<button type="button" class="btn btn-sm" onclick={() => stop?.()}>Cancel</button>
			{/if}
		</span>
	</div>
</form>

<section class={['mt-8', isStale && 'opacity-50']} aria-live="polite">
	{#if form?.problems?.length}
		<h2 class="mb-3 text-error">
			{countOf(form.problems.length, 'problem')} in {form.source}; nothing was imported
		</h2>
		<ProblemList problems={form.problems} />
	{/if}
	{#if form?.notes?.length}
		<h2 class="mt-6 mb-3">Good to know</h2>
		<ProblemList problems={form.notes} tone="note" />
	{/if}
	{#if form?.preview}<ImportPreview preview={form.preview} same={form.same} />{/if}
	{#if form?.listed}<ListPreview listed={form.listed} />{/if}
</section>

<details class="mt-10 max-w-3xl">
	<summary class="cursor-pointer">What the files look like</summary>
	<p class="mt-3">
		The columns of a CSV, in any order; only <code>number</code> or <code>title</code> must be
		there:
		<code>{CSV_COLUMNS.join(', ')}</code>. Parallels are listed as
		<code>Brass; Verdigris /120</code>, odds as <code>hobby 1:6</code>.
	</p>
	<p class="mt-2">
		The JSON form has a
		<a class="prose-link" href={resolve('/api/schemas/checklist.json')}>published JSON Schema</a>.
	</p>
</details>

<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { BINDER_KINDS } from '$lib/core/binder/binder-kind';
	import { PAGE_KINDS } from '$lib/core/binder/page-kind';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { formatSize } from '$lib/ui/numerals';

	let { data, form } = $props();
	const tallest = Math.max(...PAGE_KINDS.map(({ rows, pocketHeightMm }) => rows * pocketHeightMm));
	const pageFields = [
		{ name: 'rows', label: 'Rows', value: '3' },
		{ name: 'columns', label: 'Columns', value: '3' },
		{ name: 'pocketWidthMm', label: 'Pocket width, mm', value: '67' },
		{ name: 'pocketHeightMm', label: 'Pocket height, mm', value: '92' },
		{ name: 'thickestPt', label: 'Thickest card, pt', value: '75' }
	];
	const binderFields = [
		{ name: 'mostLeaves', label: 'Closes over, leaves', value: '40' },
		{ name: 'spineDepthMm', label: 'Depth inside, mm', value: '50' }
	];
</script>

<svelte:head><title>Own pages and binders · Jade Binder</title></svelte:head>

<p class="mt-4"><a class="prose-link" href={resolve('/binders')}>Binders</a></p>
<h1 class="mb-6">Pages and binders</h1>

{#snippet problems(sort: string)}
	{#if form?.problems && form.sort === sort}
		<ProblemAlert problems={form.problems} />
	{/if}
{/snippet}

{#snippet ask(sort: string, fields: readonly { name: string; label: string; value: string }[])}
	<input type="hidden" name="sort" value={sort} />
	<Field label="Name of a {sort} of your own">
		<input class="input w-52 input-sm" name="name" maxlength="60" required />
	</Field>
	{#each fields as { name, label, value } (name)}
		<Field {label}>
			<input class="input w-32 input-sm" {name} inputmode="decimal" {value} required />
		</Field>
	{/each}
{/snippet}

{#snippet remove(sort: string, key: string, name: string)}
	<form method="POST" action="?/remove" use:enhance>
		<input type="hidden" name="sort" value={sort} /><input type="hidden" name="key" value={key} />
		<button class="btn btn-ghost btn-xs" aria-label="Take away {name}">Take away</button>
	</form>
{/snippet}

<section class="mb-10" aria-labelledby="pages">
	<h2 id="pages" class="mb-3">Pages</h2>
	{@render problems('page')}
	<ul class="mb-5 flex flex-wrap items-end gap-x-8 gap-y-5">
		{#each [...PAGE_KINDS, ...data.pageKinds] as kind, i (kind.key)}
			{@const pockets = Array.from({ length: kind.rows * kind.columns }, (_, p) => p)}
			<li>
				<span
					class="mb-1 grid gap-px border border-base-300 bg-base-300"
					style:height="{(110 * kind.rows * kind.pocketHeightMm) / tallest}px"
					style:aspect-ratio={(kind.columns * kind.pocketWidthMm) /
						(kind.rows * kind.pocketHeightMm)}
					style:grid-template-columns="repeat({kind.columns}, 1fr)"
					aria-hidden="true"
				>
					{#each pockets as pocket (pocket)}<span class="bg-base-100"></span>{/each}
				</span>
				<span class="block font-semibold">{kind.name}</span>
				<span class="block text-sm quiet"
					>{formatSize(kind.pocketWidthMm, kind.pocketHeightMm)}<br />{kind.loading}-loading, to {kind.thickestPt}
					pt</span
				>
				{#if i >= PAGE_KINDS.length}{@render remove('page', kind.key, kind.name)}{/if}
			</li>
		{/each}
	</ul>
	<form method="POST" action="?/add" use:enhance class="flex flex-wrap items-end gap-3">
		{@render ask('page', pageFields)}
		<Field label="Opens at the">
			<select class="select w-24 select-sm" name="loading"
				><option value="top">top</option><option value="side">side</option></select
			>
		</Field>
		<button class="btn btn-primary btn-sm">Add page</button>
	</form>
</section>

<section aria-labelledby="covers">
	<h2 id="covers" class="mb-3">Binders</h2>
	{@render problems('binder')}
	<ul class="mb-5 flex flex-wrap items-end gap-x-8 gap-y-5">
		{#each [...BINDER_KINDS, ...data.binderKinds] as kind, i (kind.key)}
			<li>
				<span
					class="mb-1 block h-24 rounded-t-sm bg-primary"
					style:width="{Math.min(200, kind.spineDepthMm)}px"
					aria-hidden="true"
				></span>
				<span class="block font-semibold">{kind.name}</span>
				<span class="block text-sm quiet"
					>{kind.mostLeaves} leaves<br />{formatSize(kind.spineDepthMm)} deep</span
				>
				{#if i >= BINDER_KINDS.length}{@render remove('binder', kind.key, kind.name)}{/if}
			</li>
		{/each}
	</ul>
	<form method="POST" action="?/add" use:enhance class="flex flex-wrap items-end gap-3">
		{@render ask('binder', binderFields)}
		<button class="btn btn-primary btn-sm">Add binder</button>
	</form>
	<p class="mt-4 max-w-2xl text-sm quiet">
		The figures of the kinds that come with the program are rules of thumb; the maker's own go
		before.
	</p>
</section>

<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { chaptersOf } from '$lib/core/checklist/chapters/chapters-of';
	import { haveBySection } from '$lib/core/checklist/chapters/have-by-section';
	import { cardsOf } from '$lib/core/checklist/release';
	import { countOf } from '$lib/ui/numerals';
	import ReleaseWalls from '$lib/ui/number-wall/ReleaseWalls.svelte';
	import { createOwnedBook } from '$lib/ui/owned-book.svelte';
	import BesidePart from './BesidePart.svelte';
	import CardTable from './CardTable.svelte';
	import RunMatrix from '../RunMatrix.svelte';
	import ChapterPart from './ChapterPart.svelte';
	import CountPart from './CountPart.svelte';
	import DoubtList from './DoubtList.svelte';
	import PackList from './PackList.svelte';
	import PieceList from './PieceList.svelte';
	import ProductionTable from './ProductionTable.svelte';
	import RarityPart from './RarityPart.svelte';
	import SharedSections from './SharedSections.svelte';
	import PassOn from './PassOn.svelte';
	import TitlePaste from './TitlePaste.svelte';
	import VariantLine from './VariantLine.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	const release = $derived(data.release);
	let finish = $state('');
	const book = createOwnedBook({
		owned: () => data.owned
	});
	const story = $derived(chaptersOf(release));
	const haves = $derived(
		haveBySection(
			release,
			[...book.owned].flatMap(([key, count]) => (count > 0 ? key : []))
		)
	);
	const query = $derived(encodeURIComponent(release.key));
</script>

<svelte:head><title>{release.name} · Jade Binder</title></svelte:head>

<header class="mt-4 mb-6 flex flex-wrap items-start justify-between gap-4">
	<div class="max-w-2xl">
		<h1>{release.name}</h1>
		<p class="mt-1">
			{release.maker}, {release.year} · {countOf(cardsOf(release).length, 'card')} · {countOf(
				data.versions,
				'version'
			)}
		</p>
		{#if release.note}<p class="mt-2 quiet">{release.note}</p>{/if}
		{#if data.mistaken.length > 0}
			<p class="mt-2">
				Easily mistaken:
				{#each data.mistaken as { id, name, keys }, i (id)}
					{i > 0
						? ' · '
						: ''}<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it --><a
						class="prose-link"
						href="{resolve('/tell-apart')}?{new URLSearchParams(keys.map((key) => ['of', key]))}"
						>{name}</a
					>
				{/each}
			</p>
		{/if}
	</div>
	<div class="flex flex-wrap gap-2">
		<a class="btn" href={resolve(`/releases/compare?side=${query}`)}>Side by side</a>
		<a class="btn" href={resolve('/releases/[release]/edit', { release: release.key })}>Edit</a>
		<a class="btn" href={resolve(`/releases/outline?like=${query}`)}>Another like it</a>
		<a
			class="btn"
			href={resolve('/api/releases/[release]/printed.pdf', { release: release.key })}
			download>Print, ticked</a
		>
		<a class="btn btn-primary" href={resolve(`/log?release=${query}`)}>Log copies</a>
		<a class="btn" href={resolve(`/goals/new?release=${query}`)}>Make a goal</a>
	</div>
</header>

{#if data.findings.length > 0}
	<p class="mb-4 max-w-3xl border-l-3 border-accent pl-4">
		The doctor finds {countOf(data.findings.length, 'thing')} to look at:
		<a
			class="prose-link"
			href="{resolve('/releases/[release]/edit', { release: release.key })}#doctor"
			>{data.findings[0]?.message}{data.findings.length > 1 ? ' …' : ''}</a
		>
	</p>
{/if}
<PackList {release} />

<section aria-labelledby="parts">
	<h2 id="parts" class="mb-3">Part by part</h2>
	{#each story.parts as chapter (chapter.key)}
		<ChapterPart {chapter} have={haves.get(chapter.key) ?? 0} releaseKey={release.key} />
	{/each}
</section>
{#if story.omitted.length > 0}
	<p class="max-w-3xl quiet">The printed list omits {story.omitted.join(', ')}.</p>
{/if}
{#if story.editions.length > 0}
	<section class="mt-8" aria-labelledby="editions">
		<h2 id="editions" class="mb-3">Editions, as differences</h2>
		{#each story.editions as chapter (chapter.key)}
			<ChapterPart {chapter} have={haves.get(chapter.key) ?? 0} releaseKey={release.key} />
		{/each}
	</section>
{/if}
<RarityPart {release} />
<CountPart {release} />
<VariantLine problems={form?.variantProblems ?? []} />
<DoubtList {release} doubts={story.doubts} problems={form?.huntProblems ?? []} />
<BesidePart
	{release}
	owned={book.owned}
	change={(wanted) => book.setOwned(wanted)}
	problems={form?.besideProblems ?? []}
/>
{#if release.parallels.length > 0}
	<details class="mt-8">
		<summary class="cursor-pointer font-serif text-xl">Sections and finishes at a glance</summary>
		<RunMatrix {release} />
	</details>
{/if}
<PieceList {release} owned={book.owned} />
<SharedSections {release} shared={data.shared} />
<ProductionTable {release} />

{#if data.goals.length > 0}
	<h2 class="mt-8 mb-2">Goals</h2>
	<ul>
		{#each data.goals as { id, name, have, need } (id)}
			<li class="py-1">
				<a class="prose-link" href={resolve('/goals/[goal=id]', { goal: String(id) })}>{name}</a>
				<span class="ml-2 quiet">{have} of {need}</span>
			</li>
		{/each}
	</ul>
{/if}

<section class="mt-10">
	<div class="mb-4 flex flex-wrap items-center justify-between gap-3">
		<h2>Number wall</h2>
		{#if release.parallels.length > 0}
			<label class="flex items-center gap-2"
				><span class="text-sm quiet">Finish</span>
				<select class="select select-sm" bind:value={finish}>
					<option value="">Base finish</option>
					{#each release.parallels as { key, name } (key)}<option value={key}>{name}</option>{/each}
				</select></label
			>
		{/if}
	</div>
	<ProblemAlert problems={book.problems} />
	<ReleaseWalls
		{release}
		holdings={{ owned: book.owned }}
		parallelKey={finish || null}
		change={(wanted) => book.setOwned(wanted)}
	/>
</section>

<CardTable {release} />
<TitlePaste {release} problems={form?.titleProblems ?? []} />

<footer class="mt-10 flex flex-wrap items-center gap-3 border-t border-base-300 pt-5">
	<span class="quiet">Checklist as</span>
	{#each ['json', 'csv', 'xlsx'] as const as form (form)}
		<a
			class="btn btn-sm"
			href={resolve('/api/releases/[release]/checklist.[form=checklistform]', {
				release: release.key,
				form
			})}
			download>{form.toUpperCase()}</a
		>
	{/each}
	<PassOn {release} />
	<form method="POST" action="?/remove" class="ml-auto" use:enhance>
		<button
			class="btn btn-ghost text-error btn-sm"
			title="Takes the release out with its copies, goals and binders. Undo brings all of it back."
			>Remove release and its copies</button
		>
	</form>
</footer>

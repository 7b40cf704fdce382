<script lang="ts">
	import { onMount } from 'svelte';
	import { afterNavigate } from '$app/navigation';
	import { canKeep, orderPages, readKept } from '$lib/ui/offline/kept-pages';
	import { link } from '$lib/ui/offline/link.svelte';
	import { outbox } from '$lib/ui/offline/outbox.svelte';
	import { countOf, formatAgo } from '$lib/ui/numerals';

	let { data } = $props();
	let mayKeep = $state<boolean | null>(null);
	let kept = $state.raw<ReadonlyMap<string, number>>(new Map());
	/** The page that was asked for without a network. */
	let missing = $state('');
	afterNavigate(({ to }) => {
		missing = decodeURIComponent(to?.url.hash.slice(1) ?? '');
	});
	let progress = $state.raw<{ readonly done: number; readonly total: number } | null>(null);
	let problem = $state('');
	let now = $state(Date.now());
	onMount(async () => {
		mayKeep = canKeep();
		await look();
	});
	async function look() {
		now = Date.now();
		kept = await readKept();
	}
	async function order(what: 'keep' | 'forget') {
		[progress, problem] = [{ done: 0, total: 0 }, ''];
		const pages = data.pages.map(({ path }) => path);
		const failed = await orderPages(
			what === 'keep' ? { do: 'keep', pages } : { do: what },
			(told) => {
				progress = told;
			}
		);
		progress = null;
		if (failed !== null) problem = `Not all could be kept: ${failed}. Try again with a network.`;
		await look();
	}
</script>

<svelte:head><title>Take along · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-2">Take along</h1>
{#if missing}
	<p class="mb-3 border-l-3 border-accent pl-4" role="alert">
		There is no network, and {missing} was not taken along. These pages were:
	</p>
{/if}
<p class="mb-4 max-w-2xl quiet">
	For a fair, or a cellar without a network: this browser keeps the pages below, and what you tick,
	mark or log on them. It is sent when the network is back; what does not fit any more by then is
	told, one by one.
</p>
{#if mayKeep === false}
	<p class="mb-4 max-w-2xl border-l-3 border-accent pl-4">
		At this address the browser keeps no pages: it wants one that begins with https, or the machine
		itself (localhost). What you tick on a page that is open is kept all the same until the network
		is back; only do not close or leave the page.
	</p>
{:else if mayKeep}
	<div class="mb-4 flex flex-wrap items-center gap-3">
		<button
			class="btn btn-primary"
			disabled={progress !== null || link.isDown}
			onclick={() => void order('keep')}
			>{kept.size > 0 ? 'Take along as it is now' : 'Take along'}</button
		>
		{#if kept.size > 0}
			<button
				class="btn btn-ghost"
				disabled={progress !== null}
				onclick={() => void order('forget')}>Keep nothing on this device</button
			>
		{/if}
		{#if progress}
			<progress
				class="progress w-40 progress-primary"
				value={progress.done}
				max={Math.max(1, progress.total)}
				aria-label="Kept so far"
			></progress>
		{/if}
	</div>
{/if}
<p role="alert">{problem}</p>
<ul class="max-w-2xl">
	{#each data.pages.slice(1) as { path, name } (path)}
		<li class="flex flex-wrap justify-between gap-x-4 border-t border-base-300 py-2">
			<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- a path of the server's list -->
			<a class="prose-link" href={path}>{name}</a>
			<span class="quiet" data-testid="kept">
				{#if kept.has(path)}kept {formatAgo(kept.get(path) ?? 0, now)}{:else}not kept{/if}
			</span>
		</li>
	{/each}
</ul>
{#if outbox.waiting.length > 0}
	<section class="mt-6 max-w-2xl" aria-labelledby="waiting">
		<h2 id="waiting" class="mb-1 text-base">
			{countOf(outbox.waiting.length, 'change')} to be sent
		</h2>
		<ul>
			{#each outbox.waiting as { id, what, at } (id)}
				<li
					class="flex flex-wrap items-center justify-between gap-x-4 border-t border-base-300 py-1"
				>
					<span>{what} <span class="quiet">{formatAgo(at, now)}</span></span>
					<button
						class="btn btn-ghost btn-sm"
						aria-label="Take back: {what}"
						onclick={() => outbox.drop(id)}>Take back</button
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
<p class="mt-6 max-w-2xl text-sm quiet">
	Whoever holds the device sees what it keeps. Signing out keeps nothing of it.
</p>

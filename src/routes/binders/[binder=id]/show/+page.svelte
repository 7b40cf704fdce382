<script lang="ts">
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import Maximize from '@lucide/svelte/icons/maximize';
	import Pencil from '@lucide/svelte/icons/pencil';
	import X from '@lucide/svelte/icons/x';
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import type { PocketFace } from '$lib/core/binder/pocket-face';
	import ShownCard from './ShownCard.svelte';
	import TellerNote from './TellerNote.svelte';
	import BinderPage from '$lib/ui/spread/BinderPage.svelte';

	let { data } = $props();
	const pages = $derived(data.plan.pages.filter(({ use }) => use === 'cards'));
	const faces = $derived(new Map(data.faces.map((face) => [face.slot, face])));
	let at = $state(0);
	let stage: HTMLElement;
	const page = $derived(pages[Math.min(at, pages.length - 1)]);
	const kind = $derived(data.pageKinds.find(({ key }) => key === page?.kind));
	const back = $derived({ binder: String(data.binder.id) });
	/** What a section is and how much of it is there, where it begins. */
	const caption = $derived.by(() => {
		const name = page?.blocks[0] ?? '';
		const slots = pages
			.filter(({ blocks }) => blocks.includes(name))
			.flatMap(({ pockets }) => pockets.flatMap((slot) => faces.get(slot ?? '') ?? []));
		const have = slots.filter(({ state }) => state !== 'missing').length;
		return { name: page?.blocks.join(' · ') ?? '', have, all: slots.length };
	});

	/** A block by the key that outlives its name. */
	const keyOf = (name: string) =>
		data.plan.blocks.find((block) => block.name === name)?.key ?? name;
	const noteOf = (name: string) => data.notes.get(keyOf(name)) ?? '';
	/** What is told of the blocks of this page, the teller's own notes first; `t` hides it. */
	const told = $derived(
		(page?.blocks ?? []).flatMap((name) => [
			...lines(noteOf(name)).map((line) => ({ name, line, isOwn: true })),
			...(data.telling.get(name) ?? []).map((line) => ({
				name,
				line,
				isOwn: false
			}))
		])
	);
	const lines = (text: string) => text.split('\n').filter((line) => line.trim() !== '');
	/** The block whose note is being written. */
	let writing = $state<string | null>(null);
	/** The card that is shown by itself. */
	let shown = $state<PocketFace | null>(null);
	const alike = $derived((shown && data.alike.get(`${shown.releaseKey}/${shown.cardKey}`)) ?? []);
	/** The place among the shown pages of a card's first pocket; null: it has none. */
	function pageOf(release: string, card: string): number | null {
		const slots = new Set(
			data.faces
				.filter(({ releaseKey, cardKey }) => releaseKey === release && cardKey === card)
				.map(({ slot }) => slot)
		);
		const found = pages.findIndex(({ pockets }) => pockets.some((slot) => slots.has(slot ?? '')));
		return found < 0 ? null : found;
	}
	let isTold = $state(true);
	/** Height that the page leaves to what stands above and below it. */
	const spare = $derived(isTold && told.length > 0 ? '7rem - 18dvh' : '7rem');

	const go = (to: number) => (at = Math.max(0, Math.min(pages.length - 1, to)));

	function onkeydown(event: KeyboardEvent) {
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (shown) {
			if (event.key === 'Escape') shown = null;
			return;
		}
		const to = {
			ArrowLeft: at - 1,
			PageUp: at - 1,
			ArrowRight: at + 1,
			PageDown: at + 1,
			' ': at + 1,
			Home: 0,
			End: pages.length - 1
		}[event.key];
		if (to !== undefined && !(event.target instanceof HTMLButtonElement && event.key === ' ')) {
			event.preventDefault();
			go(to);
		} else if (event.key === 't') isTold = !isTold;
		else if (event.key === 'n') {
			event.preventDefault();
			writing = page?.blocks[0] ?? null;
		} else if (event.key === 'f') void stage.requestFullscreen();
		else if (event.key === 'Escape' && !document.fullscreenElement)
			void goto(resolve('/binders/[binder=id]', back));
	}
</script>

<svelte:window {onkeydown} />

<div bind:this={stage} class="fixed inset-0 z-40 flex flex-col bg-base-100 p-3" data-testid="show">
	<h1 class="sr-only">{data.binder.name}, page by page</h1>
	<header class="flex items-center gap-4 pb-2">
		<p
			class="line-clamp-2 min-w-0 flex-1 font-serif text-lg leading-tight sm:text-2xl"
			role="status"
		>
			{caption.name || data.binder.name}
			<span class="text-lg quiet">{caption.have} of {caption.all}</span>
		</p>
		<p class="shrink-0 quiet">
			{pages.length === 0 ? 0 : at + 1} of {pages.length}
		</p>
		<button
			class="btn btn-square btn-ghost btn-sm"
			aria-label="A note of your own"
			title="A note of your own (n)"
			onclick={() => (writing = page?.blocks[0] ?? null)}
			><Pencil class="size-4" aria-hidden="true" /></button
		>
		<button
			class="btn btn-square btn-ghost btn-sm"
			aria-label="Full screen"
			title="Full screen (f)"
			onclick={() => void stage.requestFullscreen()}
			><Maximize class="size-4" aria-hidden="true" /></button
		>
		<a
			class="btn btn-square btn-ghost btn-sm"
			href={resolve('/binders/[binder=id]', back)}
			aria-label="Leave the show"><X class="size-4" aria-hidden="true" /></a
		>
	</header>
	{#if writing !== null}
		{#key writing}
			<TellerNote
				block={keyOf(writing)}
				name={writing}
				note={noteOf(writing)}
				close={() => (writing = null)}
			/>
		{/key}
	{/if}
	{#if isTold && told.length > 0}
		<ul class="pb-2 text-sm quiet sm:columns-2 sm:gap-x-8" aria-label="What there is to tell">
			{#each told as { name, line, isOwn }, i (i)}
				<li
					class={[
						'line-clamp-2 max-sm:nth-[n+4]:hidden',
						isOwn && 'font-semibold text-base-content'
					]}
					title={line}
				>
					{#if (page?.blocks.length ?? 0) > 1}<span class="font-semibold">{name}: </span>{/if}{line}
				</li>
			{/each}
		</ul>
	{/if}
	{#if page && kind}
		<div class="flex min-h-0 flex-1 items-center justify-center gap-2">
			<button
				class="btn h-full btn-ghost max-sm:hidden"
				onclick={() => go(at - 1)}
				disabled={at === 0}
				><ChevronLeft class="size-8" aria-hidden="true" /><span class="sr-only">Page before</span
				></button
			>
			<div
				class="w-full"
				style:max-width="calc((100dvh - {spare}) * {(kind.columns * kind.pocketWidthMm) /
					(kind.rows * kind.pocketHeightMm)})"
			>
				<BinderPage
					{page}
					{kind}
					side="right"
					{faces}
					look={(face) => (shown = face)}
					hasVolumes={data.plan.volumes.length > 1}
				/>
			</div>
			<button
				class="btn h-full btn-ghost max-sm:hidden"
				onclick={() => go(at + 1)}
				disabled={at >= pages.length - 1}
				><ChevronRight class="size-8" aria-hidden="true" /><span class="sr-only">Next page</span
				></button
			>
		</div>
		<div class="flex justify-center gap-3 pt-2 sm:hidden">
			<button class="btn flex-1" onclick={() => go(at - 1)} disabled={at === 0}>Page before</button>
			<button
				class="btn flex-1 btn-primary"
				onclick={() => go(at + 1)}
				disabled={at >= pages.length - 1}>Next page</button
			>
		</div>
	{:else}
		<p class="text-lg">Nothing is laid in this binder yet.</p>
	{/if}
	{#if shown}
		<ShownCard
			face={shown}
			{alike}
			{pageOf}
			go={(to) => {
				shown = null;
				go(to);
			}}
			close={() => (shown = null)}
		/>
	{/if}
</div>

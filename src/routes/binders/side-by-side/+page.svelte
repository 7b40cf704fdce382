<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import type { PocketFace } from '$lib/core/binder/pocket-face';
	import { spreadsOf } from '$lib/core/binder/spread';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import BinderSpread from '$lib/ui/spread/BinderSpread.svelte';

	const RELEASE = 'release-';
	const AS_NUMBERED = ', as numbered';
	let { data } = $props();
	let isTogether = $state(true);
	let left = $state(0);
	let right = $state(0);
	const sides = $derived([data.left, data.right] as const);
	const count = (side: typeof data.left.side) => spreadsOf(side?.pages ?? []).length;

	function choose(which: 'left' | 'right', key: string) {
		const keys = { left: data.left.key, right: data.right.key, [which]: key };
		const query = new URLSearchParams(keys).toString();
		// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it
		void goto(`${resolve('/binders/side-by-side')}?${query}`, { keepFocus: true });
	}
	function open({ releaseKey, cardKey }: PocketFace) {
		void goto(resolve('/releases/[release]/cards/[card]', { release: releaseKey, card: cardKey }));
	}
	/** Leafed together, both go to the same spread, as far as each has one. */
	function onkeydown(event: KeyboardEvent) {
		const { target } = event;
		if (target instanceof HTMLElement && target.matches('input, select, textarea')) return;
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const by = { ArrowLeft: -1, PageUp: -1, ArrowRight: 1, PageDown: 1 }[event.key];
		if (by === undefined) return;
		event.preventDefault();
		const most = Math.max(count(data.left.side), count(data.right.side)) - 1;
		left = Math.max(0, Math.min(most, left + by));
		right = isTogether ? left : Math.max(0, Math.min(most, right + by));
	}
	$effect(() => {
		if (isTogether) right = left;
	});
</script>

<svelte:window {onkeydown} />
<svelte:head><title>Side by side · Jade Binder</title></svelte:head>

<div class="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2">
	<h1 class="text-2xl">Side by side</h1>
	<label class="flex items-center gap-2"
		><input type="checkbox" class="checkbox checkbox-sm" bind:checked={isTogether} />Leaf both
		together</label
	>
</div>
{#if data.isEmpty}
	<p class="max-w-xl text-lg">There is no release yet to lay beside another.</p>
{/if}
<div class="grid gap-x-8 gap-y-6 xl:grid-cols-2">
	{#each sides as { key, side }, i (i)}
		{@const which = i === 0 ? 'left' : 'right'}
		<section aria-label={i === 0 ? 'First' : 'Second'} class="min-w-0">
			<ReleaseSelect
				chosen={{ key, name: `${side?.name ?? ''}${key.startsWith(RELEASE) ? AS_NUMBERED : ''}` }}
				label={i === 0 ? 'First' : 'Second'}
				others={data.binders}
				prefix={RELEASE}
				suffix={AS_NUMBERED}
				class="mb-2 w-full max-w-md"
				choose={(chosen) => choose(which, chosen)}
			/>
			{#if !side}
				<p>There is no such binder or release.</p>
			{:else if i === 0}
				<BinderSpread {...side} {open} bind:index={left} hasKeys={false} chromeRem={17} />
			{:else}
				<BinderSpread {...side} {open} bind:index={right} hasKeys={false} chromeRem={17} />
			{/if}
		</section>
	{/each}
</div>

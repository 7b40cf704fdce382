<script lang="ts">
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import type { BinderPage } from '$lib/core/binder/binder-page';
	import type { PocketFace } from '$lib/core/binder/pocket-face';
	import { findNumber, type Spread } from '$lib/core/binder/spread';

	interface Props {
		pages: readonly BinderPage[];
		spread: Spread;
		faces: readonly PocketFace[];
		index: number;
		count: number;
		go: (index: number) => void;
		jumpTo: (page: number, pocket?: number) => void;
	}
	let { pages, spread, faces, index, count, go, jumpTo }: Props = $props();

	const shown = $derived(
		[spread.left, spread.right].flatMap((page) => pages[(page ?? 0) - 1] ?? [])
	);
	const volumes = $derived(pages.at(-1)?.volume ?? 1);
	const pagesHere = $derived(pages.filter(({ volume }) => volume === shown[0]?.volume).length);
	/** Where each block begins, to jump to. */
	const blocks = $derived(
		pages.flatMap(({ page, pageInVolume, volume, blocks }, i) =>
			blocks
				.filter((name) => !pages[i - 1]?.blocks.includes(name))
				.map((name) => ({
					page,
					text: `${name}, ${volumes > 1 ? `vol. ${volume}, ` : ''}page ${pageInVolume}`
				}))
		)
	);
	let number = $state('');
	let unknown = $state('');

	const numbers = $derived(new Map(faces.map((face) => [face.slot, face.number])));

	function goToNumber(event: SubmitEvent) {
		event.preventDefault();
		const open = Math.max(spread.left ?? 0, spread.right ?? 0);
		const found = findNumber(pages, number, (slot) => numbers.get(slot) ?? null, open);
		unknown = found || !number.trim() ? '' : `No ${number.trim()} here`;
		if (found) jumpTo(found.page, found.pocket);
	}
</script>

<div class="mb-2 flex flex-wrap items-center gap-2">
	<button
		class="btn btn-square btn-sm"
		aria-label="Leaf back"
		disabled={index === 0}
		onclick={() => go(index - 1)}><ChevronLeft class="size-4" aria-hidden="true" /></button
	>
	<button
		class="btn btn-square btn-sm"
		aria-label="Leaf on"
		disabled={index === count - 1}
		onclick={() => go(index + 1)}><ChevronRight class="size-4" aria-hidden="true" /></button
	>
	<p role="status" class="min-w-36 text-lg">
		{#if volumes > 1 && shown[0]}<span class="quiet">Volume {shown[0].volume}:</span>{/if}
		{shown.length === 2 ? 'Pages' : 'Page'}
		{shown.map(({ pageInVolume }) => pageInVolume).join(' and ')}
		<span class="quiet">of {pagesHere}</span>
	</p>
	<form class="ml-auto flex items-center gap-2" onsubmit={goToNumber}>
		{#if unknown}<span role="alert" class="text-sm text-error">{unknown}</span>{/if}
		<label class="flex items-center gap-2"
			><span class="text-sm quiet">Number</span>
			<input class="input w-20 input-sm" bind:value={number} maxlength="24" /></label
		>
	</form>
	<label class="flex items-center gap-2"
		><span class="text-sm quiet">Go to</span>
		<select
			class="select w-52 select-sm"
			value=""
			onchange={(event) => {
				jumpTo(Number(event.currentTarget.value));
				event.currentTarget.value = '';
			}}
		>
			<option value="" disabled>a section</option>
			{#each blocks as { page, text }, i (i)}<option value={page}>{text}</option>{/each}
		</select></label
	>
</div>

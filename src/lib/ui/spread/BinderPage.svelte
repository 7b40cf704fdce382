<script lang="ts">
	import type { BinderPage } from '$lib/core/binder/binder-page';
	import type { PageKind } from '$lib/core/binder/page-kind';
	import type { PocketFace } from '$lib/core/binder/pocket-face';
	import BinderPocket from './BinderPocket.svelte';
	import type { PocketHand } from './pocket-hand.svelte';

	interface Props {
		page: BinderPage | null;
		/** Kind of its leaf; of a cover, that of the page beside it. */
		kind: PageKind;
		side: 'left' | 'right';
		faces: ReadonlyMap<string, PocketFace>;
		/** Left out: the page is only looked at. */
		hand?: PocketHand;
		/** Shows a card by itself, where the page is only looked at. */
		look?: (face: PocketFace) => void;
		hasVolumes?: boolean;
	}
	let { page, kind, side, faces, hand, look, hasVolumes = false }: Props = $props();
	const ratio = $derived((kind.columns * kind.pocketWidthMm) / (kind.rows * kind.pocketHeightMm));
	const marks = $derived(new Map((page?.marks ?? []).map((mark) => [mark.pocket, mark])));
	const BLANK = { backs: 'the backs of the page before', blank: 'left blank' } as const;
	const use = $derived(page?.use ?? 'blank');
	const name = $derived(
		page
			? `Page ${page.pageInVolume}${hasVolumes ? ` of volume ${page.volume}` : ''}, ${side}`
			: 'Inside of the cover'
	);
</script>

<section
	aria-label={name}
	class={[
		'min-w-0 flex-1',
		page
			? 'border border-base-300 bg-base-200'
			: 'flex items-center justify-center bg-primary/12 max-sm:hidden',
		side === 'left' ? 'rounded-l-sm' : 'rounded-r-sm'
	]}
	style:aspect-ratio={page ? undefined : ratio}
>
	{#if page}
		<div class="relative">
			<div
				class={['grid gap-[1%] p-[1%]', use !== 'cards' && 'opacity-45']}
				style:aspect-ratio={ratio}
				style:grid-template-columns="repeat({kind.columns}, minmax(0, 1fr))"
				style:grid-template-rows="repeat({kind.rows}, minmax(0, 1fr))"
				aria-hidden={use === 'cards' ? undefined : true}
			>
				{#each page.pockets as slot, pocket (pocket)}
					{@const at = { page: page.page, pocket }}
					{@const face = slot === null ? null : (faces.get(slot) ?? null)}
					<BinderPocket
						{face}
						look={look && face ? () => look(face) : undefined}
						mark={marks.get(pocket) ?? null}
						{kind}
						{...use === 'cards' && hand ? hand.of(at) : {}}
					/>
				{/each}
			</div>
			{#if use !== 'cards'}
				<p class="absolute inset-0 flex items-center justify-center quiet">{BLANK[use]}</p>
			{/if}
		</div>
		<p class="flex justify-between gap-2 px-3 py-1 text-sm quiet">
			<span class="truncate">{page.blocks.join(' · ')}</span><span class="shrink-0"
				>{hasVolumes ? `vol. ${page.volume}, ` : ''}page {page.pageInVolume}</span
			>
		</p>
	{:else}
		<span class="text-sm quiet">inside of the cover</span>
	{/if}
</section>

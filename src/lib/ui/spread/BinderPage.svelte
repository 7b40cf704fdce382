<script lang="ts">
	import type { BinderPage } from '$lib/core/binder/plan-binder';
	import type { PageKind } from '$lib/core/binder/page-kind';
	import BinderPocket from './BinderPocket.svelte';
	import type { PocketCard } from './pocket';

	interface Props {
		page: BinderPage | null;
		kind: PageKind;
		side: 'left' | 'right';
		pockets: ReadonlyMap<string, PocketCard>;
	}
	let { page, kind, side, pockets }: Props = $props();
	const ratio = $derived((kind.columns * kind.pocketWidthMm) / (kind.rows * kind.pocketHeightMm));
</script>

<section
	aria-label={page ? `Page ${page.page}, ${side}` : 'Inside of the cover'}
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
		<div
			class="grid gap-[1%] p-[1%]"
			style:aspect-ratio={ratio}
			style:grid-template-columns="repeat({kind.columns}, minmax(0, 1fr))"
			style:grid-template-rows="repeat({kind.rows}, minmax(0, 1fr))"
		>
			{#each page.pockets as slot, i (i)}
				<BinderPocket card={slot === null ? null : (pockets.get(slot) ?? null)} />
			{/each}
		</div>
		<p class="flex justify-between gap-2 px-3 py-1 text-sm quiet">
			<span class="truncate">{page.blocks.join(' · ')}</span><span class="shrink-0"
				>page {page.page}</span
			>
		</p>
	{:else}
		<span class="text-sm quiet">inside of the cover</span>
	{/if}
</section>

<script lang="ts">
	import type { BinderPage as Page } from '$lib/core/binder/binder-page';
	import type { PagePocket } from '$lib/core/binder/order-by-hand';
	import type { PageKind } from '$lib/core/binder/page-kind';
	import type { PocketFace } from '$lib/core/binder/pocket-face';
	import { spreadOfPage, spreadsOf } from '$lib/core/binder/spread';
	import { thumbnailOf } from '$lib/ui/card-picture/thumbnail';
	import BinderPage from './BinderPage.svelte';
	import { createPocketHand } from './pocket-hand.svelte';
	import SpreadBar from './SpreadBar.svelte';

	interface Props {
		pages: readonly Page[];
		kinds: readonly PageKind[];
		faces: readonly PocketFace[];
		/** Height of what stands above and below, so that a spread fits the screen. */
		chromeRem?: number;
		open: (face: PocketFace) => void;
		swap?: (first: PagePocket, second: PagePocket) => void;
		/** The spread that lies open; bound where two leaf together. */
		index?: number;
		/** Whether arrow keys leaf it wherever the focus is. */
		hasKeys?: boolean;
	}
	let {
		pages,
		kinds,
		faces,
		chromeRem = 15,
		open,
		swap,
		index = $bindable(0),
		hasKeys = true
	}: Props = $props();

	const spreads = $derived(spreadsOf(pages));
	const at = $derived(Math.max(0, Math.min(index, spreads.length - 1)));
	const spread = $derived(spreads[at] ?? { left: null, right: null });
	const bySlot = $derived(new Map(faces.map((face) => [face.slot, face])));
	const pageAt = (page: number | null) => (page === null ? undefined : pages[page - 1]);
	const kindOf = (page: number): PageKind =>
		kinds.find(({ key }) => key === pageAt(page)?.kind) ?? (kinds[0] as PageKind);
	const volumes = $derived(pages.at(-1)?.volume ?? 1);
	/** Height to width of the open spread: two pages of the kind that lies open. */
	const kind = $derived(kindOf(spread.right ?? spread.left ?? 1));
	const shape = $derived(
		(2 * kind.columns * kind.pocketWidthMm) / (kind.rows * kind.pocketHeightMm)
	);
	let said = $state('');

	const hand = createPocketHand({
		spread: () => spread,
		pageAt,
		kindOf,
		open: (slot) => {
			const face = bySlot.get(slot);
			if (face) open(face);
		},
		get swap() {
			return swap;
		},
		say: (words) => (said = words)
	});

	function go(to: number) {
		index = Math.max(0, Math.min(spreads.length - 1, to));
	}

	function jumpTo(page: number, pocket = 0) {
		go(spreadOfPage(spreads, page));
		void hand.focus({ page, pocket });
	}

	function onkeydown(event: KeyboardEvent) {
		const { target } = event;
		if (!hasKeys || (target instanceof HTMLElement && target.matches('input, select, textarea')))
			return;
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		if (event.key === 'Escape') {
			hand.letGo();
			said = '';
			return;
		}
		const to = {
			ArrowLeft: at - 1,
			ArrowRight: at + 1,
			PageUp: at - 1,
			PageDown: at + 1,
			Home: 0,
			End: spreads.length - 1
		}[event.key];
		if (to === undefined) return;
		event.preventDefault();
		go(to);
	}

	/** The photos of the next and the last spread are fetched before one leafs there. */
	$effect(() => {
		for (const near of [spreads[at + 1], spreads[at - 1]]) {
			for (const page of [near?.left ?? null, near?.right ?? null]) {
				for (const slot of pageAt(page)?.pockets ?? []) {
					const photo = bySlot.get(slot ?? '')?.photo;
					if (photo) new Image().src = thumbnailOf(photo);
				}
			}
		}
	});
</script>

<svelte:window {onkeydown} />

<SpreadBar {pages} {spread} {faces} index={at} count={spreads.length} {go} {jumpTo} />
<p class="sr-only" role="status">{said}</p>

<!-- As wide as two pages may be while a whole spread stays on the screen. -->
<div
	class="mx-auto flex min-w-64 flex-col gap-1 max-sm:max-w-none! sm:flex-row"
	style:max-width="calc((100dvh - {chromeRem}rem) * {shape})"
	data-testid="spread"
>
	<BinderPage
		page={pageAt(spread.left) ?? null}
		kind={kindOf(spread.left ?? spread.right ?? 1)}
		side="left"
		faces={bySlot}
		{hand}
		hasVolumes={volumes > 1}
	/>
	<BinderPage
		page={pageAt(spread.right) ?? null}
		kind={kindOf(spread.right ?? spread.left ?? 1)}
		side="right"
		faces={bySlot}
		{hand}
		hasVolumes={volumes > 1}
	/>
</div>
{#if hand.picked}
	<p class="mt-2 text-center text-sm quiet">{said}</p>
{/if}

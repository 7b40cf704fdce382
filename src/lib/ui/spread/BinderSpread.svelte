<script lang="ts">
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import type { BinderPlan } from '$lib/core/binder/plan-binder';
	import type { PageKind } from '$lib/core/binder/page-kind';
	import { spreadAt, spreadCount, spreadOfPage } from '$lib/core/binder/spread';
	import BinderPage from './BinderPage.svelte';
	import type { PocketCard } from './pocket';

	interface Props {
		plan: BinderPlan;
		kind: PageKind;
		pockets: ReadonlyMap<string, PocketCard>;
	}
	let { plan, kind, pockets }: Props = $props();

	let wanted = $state(0);
	const pages = $derived(plan.pages.length);
	const count = $derived(spreadCount(pages));
	const index = $derived(Math.min(wanted, count - 1));
	const spread = $derived(spreadAt(index, pages));
	const pageAt = (number: number | null) =>
		number === null ? null : (plan.pages[number - 1] ?? null);
	/** Where each block begins, to jump to. */
	const blocks = $derived(
		plan.pages.flatMap(({ page, blocks }, i) =>
			blocks
				.filter((name) => !plan.pages[i - 1]?.blocks.includes(name))
				.map((name) => ({ name, page }))
		)
	);

	function go(to: number) {
		wanted = Math.max(0, Math.min(count - 1, to));
	}

	function onkeydown(event: KeyboardEvent) {
		const { target } = event;
		if (target instanceof HTMLElement && target.matches('input, select, textarea')) return;
		if (event.ctrlKey || event.metaKey || event.altKey) return;
		const to = { ArrowLeft: index - 1, ArrowRight: index + 1, Home: 0, End: count - 1 }[event.key];
		if (to === undefined) return;
		event.preventDefault();
		go(to);
	}
</script>

<svelte:window {onkeydown} />

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
		{[spread.left, spread.right].filter((page) => page !== null).length === 2 ? 'Pages' : 'Page'}
		{[spread.left, spread.right].filter((page) => page !== null).join(' and ')}
		<span class="quiet">of {pages}</span>
	</p>
	<label class="ml-auto flex items-center gap-2"
		><span class="text-sm quiet">Go to</span>
		<select
			class="select w-56 select-sm"
			value=""
			onchange={(event) => {
				go(spreadOfPage(Number(event.currentTarget.value)));
				event.currentTarget.value = '';
			}}
		>
			<option value="" disabled>a section</option>
			{#each blocks as { name, page }, i (i)}<option value={page}>{name}, page {page}</option
				>{/each}
		</select></label
	>
</div>

<!-- As wide as two pages may be while a whole spread stays on the screen. -->
<div
	class="mx-auto flex max-w-[calc((100dvh-13.5rem)*1.42)] min-w-64 flex-col gap-1 max-sm:max-w-none sm:flex-row"
	data-testid="spread"
>
	<BinderPage page={pageAt(spread.left)} {kind} side="left" {pockets} />
	<BinderPage page={pageAt(spread.right)} {kind} side="right" {pockets} />
</div>

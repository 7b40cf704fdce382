<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import type { PagePocket } from '$lib/core/binder/order-by-hand';
	import { pagesAsTheyLie } from '$lib/core/binder/pages-as-they-lie';
	import { pocketName } from '$lib/core/binder/pocket-name';
	import type { PocketFace } from '$lib/core/binder/pocket-face';
	import { formatProblem, type Problem } from '$lib/core/problem';
	import { act, enhance } from '$lib/ui/form-actions';
	import { refreshCopies } from '$lib/ui/refresh';
	import BinderSpread from '$lib/ui/spread/BinderSpread.svelte';
	import LayoutForm from '$lib/ui/spread/LayoutForm.svelte';
	import BlockOrders from './BlockOrders.svelte';
	import HeldGoals from './HeldGoals.svelte';
	import PlanNotes from '$lib/ui/spread/PlanNotes.svelte';

	let { data, form } = $props();
	let shows = $state<'plan' | 'lies'>('plan');
	let problem = $state('');
	const hasLying = $derived(data.lying.length > 0);
	const asItLies = $derived(shows === 'lies' && hasLying);
	const pages = $derived(
		asItLies ? pagesAsTheyLie(data.plan.pages, data.lying, data.pageKinds) : data.plan.pages
	);

	function open({ releaseKey, cardKey }: PocketFace) {
		void goto(resolve('/releases/[release]/cards/[card]', { release: releaseKey, card: cardKey }));
	}

	async function swap(first: PagePocket, second: PagePocket) {
		const placeOf = (at: PagePocket) => {
			const page = pages[at.page - 1];
			const name = page ? pocketName({ ...page, pocket: at.pocket }) : '';
			return asItLies ? name : `${at.page}/${at.pocket}`;
		};
		const fields = { first: placeOf(first), second: placeOf(second) };
		const result = await act(asItLies ? '?/correct' : '?/swap', fields);
		const problems = result.type === 'failure' ? (result.data?.problems as Problem[]) : [];
		problem =
			result.type === 'error'
				? 'It was not kept: reload the page and try again.'
				: problems.map(formatProblem).join(' ');
		await refreshCopies();
	}
</script>

<LayoutForm
	layout={data.layout}
	name={data.binder.name}
	pageKinds={data.pageKinds}
	binderKinds={data.binderKinds}
	problems={form?.problems}
/>

{#if data.plan.pages.length === 0 && data.plan.odd.length === 0}
	<p class="max-w-xl text-lg">
		{data.need === 0
			? 'The goal asks for no card, so there is nothing to lay.'
			: 'Nothing is there yet, and gaps are closed up: choose "keep their pockets" to see the places of what is missing.'}
	</p>
{:else}
	{#if hasLying}
		<div role="group" aria-label="What to show" class="mb-2 flex flex-wrap items-center gap-1">
			{#each [['plan', 'As it should be'], ['lies', 'As it lies']] as const as [value, text] (value)}
				<button
					class={['btn btn-sm', shows === value ? 'btn-primary' : 'btn-ghost']}
					aria-pressed={shows === value}
					onclick={() => (shows = value)}>{text}</button
				>
			{/each}
			<span class="pl-2 text-sm quiet max-sm:hidden"
				>{asItLies
					? 'What is known to lie in the pockets. Drag a card to correct it.'
					: 'Drag a card to another pocket, and the order is your own.'}</span
			>
		</div>
	{/if}
	{#if problem}<p role="alert" class="mb-2 text-error">{problem}</p>{/if}
	<BinderSpread
		{pages}
		kinds={data.pageKinds}
		faces={data.faces}
		chromeRem={hasLying ? 20.5 : 18.5}
		{open}
		{swap}
	/>
	<PlanNotes plan={data.plan} faces={data.faces} kinds={data.pageKinds} />
{/if}

<div class="mt-6 flex flex-wrap gap-x-12 gap-y-4">
	<HeldGoals held={data.goals} goals={data.allGoals} problems={form?.goalProblems} />
	<BlockOrders
		blocks={data.plan.blocks}
		chosen={data.layout.blocks}
		problems={form?.blockProblems}
	/>
</div>

<div class="mt-6 flex items-center justify-between gap-4">
	<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
	<a class="prose-link" href={`${resolve('/binders/side-by-side')}?left=binder-${data.binder.id}`}
		>Side by side with another</a
	>
	<form method="POST" action="?/remove" use:enhance>
		<button
			class="btn btn-ghost text-error btn-sm"
			title="Takes the plan away; no copy is touched. Undo brings it back.">Remove binder</button
		>
	</form>
</div>

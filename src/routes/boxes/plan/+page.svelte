<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import { resolve } from '$app/paths';
	import { BOX_SCHOOLS } from '$lib/core/storage/plan/school';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import ChoiceTable from './ChoiceTable.svelte';
	import { refreshAll } from '$lib/ui/refresh';
	import { createPlanDesk, createStandDesk } from './plan-desk.svelte';
	import WorkProgress from '$lib/ui/WorkProgress.svelte';
	import PlannedBoxes from './PlannedBoxes.svelte';
	import Field from '$lib/ui/Field.svelte';
	import ClassLines from '$lib/ui/shelf/ClassLines.svelte';

	let { data, form } = $props();
	const desk = createPlanDesk();
	const standing = createStandDesk(() => void refreshAll());
	const view = $derived(desk.view);
	const fields = $derived([
		{ name: 'fill', label: 'An own box fills at least', value: data.choice.fill },
		{ name: 'have', label: 'and the set is there to', value: data.choice.have },
		{ name: 'growth', label: 'Room kept for missing cards', value: data.choice.growth }
	]);
	const query = $derived(page.url.search.replace(/^\?(\/\w+&?)?/, ''));
	/** Anew with every choice, and with every change to the collection. */
	let isMounted = $state(false);
	onMount(() => {
		isMounted = true;
	});
	$effect(() => {
		void data.choice;
		if (isMounted) void desk.run(query);
	});
	const cards = $derived(view?.plan.sets.reduce((sum, set) => sum + set.cards, 0) ?? 0);
	const toPutAway = $derived(view?.plan.toPutAway.reduce((sum, set) => sum + set.cards, 0) ?? 0);
	const isAny = $derived(
		(view?.plan.boxes.length ?? 0) +
			(view?.plan.added.length ?? 0) +
			(view?.plan.addedSmall.length ?? 0) >
			0
	);
	const nameOf = (id: number) => view?.standing.find((box) => box.id === id)?.name ?? '';
	const setNames = $derived(
		new Map(view?.plan.sets.map(({ key, name, part }) => [key, part ? `${name}, ${part}` : name]))
	);
</script>

<svelte:head><title>Box plan · Jade Binder</title></svelte:head>

{#if data.isEmpty}
	<EmptyCollection title="No card to house yet" />
{:else}
	<h1 class="mb-2">Where everything goes</h1>
	<form
		method="GET"
		class="mb-4 flex flex-wrap items-end gap-4"
		onchange={(event) => event.currentTarget.requestSubmit()}
	>
		<Field label="Ordered first by">
			<select class="select w-40 select-sm" name="school" value={data.choice.school}>
				{#each BOX_SCHOOLS as school (school)}<option value={school}>{school}</option>{/each}
			</select>
		</Field>
		<Field label="Tiny sets">
			<select class="select w-48 select-sm" name="small" value={data.choice.small ? 'yes' : 'no'}>
				<option value="no">behind a divider</option>
				<option value="yes">in small boxes of their own</option>
			</select>
		</Field>
		{#each fields as { name, label, value } (name)}
			<Field label="{label}, %">
				<input class="input w-24 input-sm" type="number" min="0" max="100" {name} {value} />
			</Field>
		{/each}
	</form>
	{#if desk.progress && desk.progress.total > 0}
		<WorkProgress
			label="Releases looked through"
			{...desk.progress}
			of="releases"
			onCancel={desk.cancel}
		/>
	{/if}
	{#if desk.problem}<p class="mb-4" role="alert">{desk.problem}</p>{/if}
	{#if standing.problem}<p class="mb-4" role="alert">{standing.problem}</p>{/if}
	{#if standing.stood}
		<p class="mb-4 max-w-2xl border-l-3 border-primary pl-4" role="status">
			Recorded: {countOf(standing.stood.cards, 'card')} in {standing.stood.boxes > 0
				? countOf(standing.stood.boxes, 'new box', 'new boxes')
				: 'boxes that stood already'}.
			<a class="prose-link" href={resolve('/boxes')}>See the room</a>; undo takes all of it back.
		</p>
	{/if}
	{#if view}
		{@const { plan } = view}
		{#if cards === 0}
			<p class="max-w-xl text-lg">
				Every card lies in a binder, stands in a box, or has a place in words.
			</p>
		{:else}
			<p class="mb-3 max-w-3xl text-lg">
				<strong class="text-2xl font-semibold">{formatCount(cards)}</strong> cards have no place.
				{#if toPutAway > 0}
					{countOf(toPutAway, 'card')} of them go behind dividers that stand:
					<a class="prose-link" href={resolve('/boxes/slips')}>put them away with a slip</a>.
				{/if}
			</p>
		{/if}
		{#if plan.added.length > 0}
			<section class="mb-5 max-w-3xl" aria-labelledby="added">
				<h2 id="added" class="mb-1">New dividers where there is room</h2>
				<ul>
					{#each plan.added as { label, boxId, row } (label)}
						<li class="border-t border-base-300 py-1.5">
							{label} <span class="quiet">in {nameOf(boxId)}, row {row}; nothing moves</span>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if plan.addedSmall.length > 0}
			<section class="mb-5 max-w-3xl" aria-labelledby="added-small">
				<h2 id="added-small" class="mb-1">Small boxes beside those that stand</h2>
				<ul>
					{#each plan.addedSmall as { label, boxId, row, set } (set)}
						<li class="border-t border-base-300 py-1.5">
							{label} <span class="quiet">in {nameOf(boxId)}, row {row}</span>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if plan.boxes.length > 0}
			<PlannedBoxes boxes={plan.boxes} weights={view.weights} kinds={view.kinds} />
		{/if}
		{#if isAny}
			<div class="my-5">
				{#if standing.progress}
					<WorkProgress
						label={standing.progress.of === 'cards' ? 'Cards stood' : 'Releases looked through'}
						{...standing.progress}
						onCancel={standing.cancel}
					/>
				{:else}
					<button class="btn btn-primary" onclick={() => void standing.run(query)}>
						Stand it like this
					</button>
					<span class="ml-2 quiet">Heavy boxes go on low shelves that bear them.</span>
				{/if}
			</div>
		{/if}
		{#if isAny && view.short.length > 0}
			<p class="mb-4 max-w-3xl border-l-3 border-accent pl-4">
				On hand is less than it takes: {view.short
					.map(({ name, count, enough }) => `${name}: ${count} of ${enough}`)
					.join('; ')}.
			</p>
		{/if}
		{#if plan.broken.length > 0}
			<p class="mt-4 max-w-3xl border-l-3 border-accent pl-4">
				Over a border of rows or boxes: {plan.broken.join(', ')}.
			</p>
		{/if}
		{#if plan.choices.length > 0}
			<ChoiceTable {view} names={setNames} isByTheme={data.choice.school === 'theme'} />
		{/if}
		<p class="mt-6 max-w-2xl text-sm quiet">
			Thickness is that of the stock (18 pt where none is stated) with holders, against the length
			of the rows.
		</p>
	{:else}
		<p class="quiet">Looking through the collection …</p>
	{/if}
	<ClassLines
		classes={data.classes}
		problems={form && 'of' in form && form.of === 'classes' ? form.problems : []}
	/>
{/if}

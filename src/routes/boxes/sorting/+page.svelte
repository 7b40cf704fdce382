<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { sortingWays, type SortingPlan } from '$lib/core/storage/sorting/plan-sorting';
	import { sortingSteps } from '$lib/core/storage/sorting/sorting-steps';
	import { countOf } from '$lib/ui/numerals';
	import { planMixedSorting } from '$lib/core/storage/sorting/plan-mixed-sorting';
	import MixedSorting from './MixedSorting.svelte';
	import SortingSteps from './SortingSteps.svelte';
	import { minutes, WAY_NAMES } from './way-names';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	// Times begin with a person's own, and may be tried otherwise.
	// svelte-ignore state_referenced_locally
	const pile = $state({
		cards: data.cards,
		mostPiles: 12,
		cardS: Math.round(data.times.cardS * 10) / 10,
		pileS: Math.round(data.times.pileS * 10) / 10
	});
	const fields = [
		{ name: 'cards', label: 'Cards in the pile', min: 1, max: 100_000, step: 1 },
		{ name: 'mostPiles', label: 'Room for piles', min: 1, max: 200, step: 1 },
		{ name: 'cardS', label: 'Seconds a card', min: 0, max: 600, step: 0.1 },
		{ name: 'pileS', label: 'Seconds a pile', min: 0, max: 600, step: 0.1 }
	] as const;
	const isWhole = (value: unknown, most: number) =>
		Number.isInteger(value) && Number(value) >= 1 && Number(value) <= most;
	const { numbers } = $derived(data.release);
	const canPlan = $derived(
		isWhole(pile.cards, 100_000) &&
			isWhole(pile.mostPiles, 200) &&
			pile.cardS >= 0 &&
			pile.pileS >= 0 &&
			numbers.length > 0
	);
	const ways = $derived(
		canPlan
			? sortingWays(pile.cards, numbers.length, pile.mostPiles, {
					...data.times,
					cardS: pile.cardS,
					pileS: pile.pileS
				})
			: []
	);
	/** What lies mixed is split first. */
	const mixed = $derived(
		data.mixed && isWhole(pile.mostPiles, 200) && pile.cardS >= 0 && pile.pileS >= 0
			? planMixedSorting(data.mixed.sets, pile.mostPiles, {
					...data.times,
					cardS: pile.cardS,
					pileS: pile.pileS
				})
			: null
	);
	const best = $derived(ways[0]);
	const longest = $derived(Math.max(...ways.map(({ seconds }) => seconds), 1));
	const slipOf = (plan: SortingPlan) =>
		JSON.stringify({
			release: data.release.key,
			cards: pile.cards,
			way: plan.way,
			steps: sortingSteps(plan).map((piles) => ({
				piles,
				seconds: 0,
				startedAt: null,
				isDone: false
			}))
		});

	function choose(key: string) {
		// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it
		void goto(`${resolve('/boxes/sorting')}?release=${encodeURIComponent(key)}`, {
			keepFocus: true
		});
	}
</script>

<svelte:head><title>Sort a pile · Jade Binder</title></svelte:head>

<h1 class="mb-4">Sort a pile</h1>
<ProblemAlert problems={form?.problems} />
{#if data.slip}<SortingSteps slip={data.slip} />{/if}
<div class="mb-2 flex flex-wrap items-end gap-4">
	<Field label="Cards of">
		<ReleaseSelect chosen={data.release} class="w-72 select-sm" {choose} />
	</Field>
	{#each fields as field (field.label)}
		<Field label={field.label}>
			<input
				class="input w-28 input-sm"
				type="number"
				min={field.min}
				max={field.max}
				step={field.step}
				bind:value={pile[field.name]}
			/>
		</Field>
	{/each}
</div>
<form method="POST" action="?/forget" use:enhance class="mb-6 text-sm quiet">
	{#if data.measured > 0}
		Your own times, from {countOf(data.measured, 'timed pass', 'timed passes')}: {data.times.cardS.toFixed(
			1
		)} s a card, {data.times.pileS.toFixed(1)} s a pile.
		<button class="cursor-pointer prose-link">Forget them</button>
	{:else}Usual times; those of passes you time take their place.{/if}
</form>
{#if mixed && data.mixed}
	<MixedSorting plan={mixed} name={data.mixed.name} pile={data.mixed.id} done={data.mixed.done} />
	<h2 class="mb-2">A pile of one release</h2>
{/if}
{#if numbers.length === 0}
	<p class="max-w-xl text-lg">Its cards bear no numbers: sort them by title, by letters.</p>
{:else if !best}
	<p role="alert" class="text-error">Say how many cards and piles: whole numbers from 1.</p>
{:else}
	<p class="mb-4 text-lg" role="status">
		<strong class="font-semibold">{WAY_NAMES[best.way]}</strong>: about
		<strong class="text-2xl font-semibold">{minutes(best.seconds)}</strong>{best.piles.length > 1
			? `, in ${best.piles.length} passes of ${best.piles.join(', then ')} piles`
			: best.piles.length === 1
				? `, on ${countOf(best.piles[0] ?? 0, 'pile')}`
				: ''}.
	</p>
	<ul class="mb-6 max-w-3xl space-y-2" aria-label="Ways to sort">
		{#each ways as plan, i (plan.way)}
			<li class="flex items-end gap-4">
				<div class="min-w-0 flex-1">
					<span class="flex justify-between gap-4"
						><span class={i === 0 ? 'font-semibold' : ''}
							>{WAY_NAMES[plan.way]}{plan.piles.length > 0 && plan.way !== 'merge'
								? ` (${plan.piles.join(' × ')})`
								: ''}</span
						><span>{minutes(plan.seconds)}</span></span
					>
					<span
						class={['block h-2 rounded-sm', i === 0 ? 'bg-primary' : 'bg-secondary/40']}
						style:width="{Math.min(100, (100 * plan.seconds) / longest)}%"
						aria-hidden="true"
					></span>
				</div>
				<form method="POST" action="?/save" use:enhance>
					<input type="hidden" name="slip" value={slipOf(plan)} />
					<button
						class={['btn btn-sm', i === 0 && 'btn-primary']}
						aria-label="Make a slip: {WAY_NAMES[plan.way]}">Make a slip</button
					>
				</form>
			</li>
		{/each}
	</ul>
{/if}

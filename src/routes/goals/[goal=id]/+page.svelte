<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { presetOf } from '$lib/core/goal/preset';
	import { HARD_RUN } from '$lib/core/goal/obtainable';
	import { percentDone } from '$lib/core/goal/progress';
	import { countOf, formatCount, formatDay } from '$lib/ui/numerals';
	import { createOwnedBook } from '$lib/ui/owned-book.svelte';
	import SectionStrip from '$lib/ui/SectionStrip.svelte';
	import GoalLimits from './GoalLimits.svelte';
	import GoalWalls from './GoalWalls.svelte';
	import MissingList from './MissingList.svelte';
	import NextRings from './NextRings.svelte';
	import ProgressParts from './ProgressParts.svelte';
	import ProgressChart from './ProgressChart.svelte';
	import SpareList from './SpareList.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	const releases = $derived(data.releases);
	const preset = $derived(presetOf(data.goal.rules.preset));
	const book = createOwnedBook({ owned: () => data.owned });
	const holdings = $derived({
		owned: book.owned,
		incoming: new Map(data.incoming),
		needed: new Set(data.needed),
		upgrades: new Set(data.upgrades)
	});
	const finishesOf = (releaseKey: string) => [
		...new Set(
			data.groups
				.filter((group) => group.releaseKey === releaseKey)
				.map(({ parallelKey }) => parallelKey)
		)
	];
	/** Those that the goal asks something of: one may only share a section that it does not want. */
	const walls = $derived(releases.filter(({ key }) => finishesOf(key).length > 0));
	const goalId = $derived(String(data.goal.id));
</script>

<svelte:head><title>{data.goal.name} · Jade Binder</title></svelte:head>

<header class="mt-4 mb-6">
	<div class="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
		<div class="min-w-0">
			<h1 class="wrap-break-word">{data.goal.name}</h1>
			<p class="mt-1 quiet">
				{#each walls.slice(0, 3) as { key, name }, i (key)}{i > 0 ? ', ' : ''}<a
						class="prose-link"
						href={resolve('/releases/[release]', { release: key })}>{name}</a
					>{/each}{walls.length > 3 ? ` and ${walls.length - 3} more` : ''}
				· {preset.name}: {preset.meaning}
				<a class="prose-link" href={resolve('/goals/[goal=id]/rules', { goal: goalId })}>Rules</a>
			</p>
		</div>
		<p class="whitespace-nowrap">
			<strong class="font-serif text-6xl font-medium" data-testid="goal-have"
				>{formatCount(data.have)}</strong
			>
			<span class="text-2xl quiet">of {formatCount(data.need)}</span>
			<span class="ml-3 text-2xl text-primary">{percentDone(data)} %</span>
		</p>
	</div>
	<div class="mt-4"><SectionStrip segments={data.groups} /></div>
	{#if data.whole.sets > 0}
		<p class="mt-3" data-testid="whole-sets">
			{countOf(data.whole.sets, 'whole set')}
			<span class="quiet"
				>{data.whole.sets === 1 ? 'is' : 'are'} there; the next one lacks {countOf(
					data.whole.lacking,
					'card'
				)}.</span
			>
		</p>
	{/if}
	{#if data.known}
		<p class="mt-3 border-l-3 border-secondary pl-4">
			{countOf(data.known.slots, 'slot')}
			{data.known.slots === 1 ? 'has' : 'have'} become newly known since {formatDay(
				data.known.since
			)}: more is asked for, and nothing was lost.
		</p>
	{/if}
	{#if data.obtainable.hard > 0}
		<p class="mt-3 quiet">
			Of what can be had, {percentDone(data.obtainable)} %: {countOf(
				data.obtainable.hard,
				'missing version'
			)} had a print run under {HARD_RUN}.
		</p>
	{/if}
	{#if data.skipped > 0}
		<p class="mt-3 quiet">{countOf(data.skipped, 'slot')} left out by the least print run.</p>
	{/if}
	{#if releases[0]}<GoalLimits release={releases[0]} limits={data.limits} />{/if}
</header>

<NextRings rings={data.rings} problems={form?.problems ?? []} />
<MissingList title="{data.goal.name}: missing" groups={data.groups} goalId={data.goal.id} />
<ProgressParts divisions={data.divisions} />
<ProgressChart history={data.history} />

<ProblemAlert problems={book.problems} class="mt-6" />
{#each walls as release (release.key)}
	<section class="mt-10">
		<GoalWalls
			{release}
			finishes={finishesOf(release.key)}
			isNamed={walls.length > 1}
			{holdings}
			onlyNeeded={['card', 'cards', 'subject', 'group'].includes(preset.asks)}
			change={(wanted) => book.setOwned(wanted)}
		/>
	</section>
{/each}

<SpareList title="To spare" {releases} spares={data.spares} />
<SpareList title="Not good enough to count" {releases} spares={data.unfit} />

<footer class="mt-8 flex flex-wrap items-center gap-3 border-t border-base-300 pt-5">
	{#each data.binders as { id, name } (id)}
		<a class="btn btn-sm" href={resolve('/binders/[binder=id]', { binder: String(id) })}
			>Open {name}</a
		>
	{/each}
	<form method="POST" action="?/binder" use:enhance>
		<button class="btn btn-sm">Plan a binder for it</button>
	</form>
	<form method="POST" action="?/remove" class="ml-auto" use:enhance>
		<button
			class="btn btn-ghost text-error btn-sm"
			title="Takes the goal away, and binders that hold nothing else; no copy is touched. Undo brings them back."
			>Remove goal</button
		>
	</form>
</footer>

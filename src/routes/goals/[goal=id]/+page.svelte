<script lang="ts">
	import { enhance } from '$app/forms';
	import { resolve } from '$app/paths';
	import { presetOf } from '$lib/core/goal/preset';
	import { percentDone } from '$lib/core/goal/progress';
	import { formatCount } from '$lib/ui/numerals';
	import ReleaseWalls from '$lib/ui/number-wall/ReleaseWalls.svelte';
	import { createOwnedBook } from '$lib/ui/owned-book.svelte';
	import ProblemList from '$lib/ui/ProblemList.svelte';
	import SectionStrip from '$lib/ui/SectionStrip.svelte';
	import GoalLimits from './GoalLimits.svelte';
	import MissingList from './MissingList.svelte';
	import SpareList from './SpareList.svelte';

	let { data } = $props();
	const release = $derived(data.release);
	const preset = $derived(presetOf(data.goal.rules.preset));
	const needed = $derived(new Set(data.needed));
	const finishes = $derived([...new Set(data.groups.map(({ parallelKey }) => parallelKey))]);
	let chosenFinish = $state<string | null | undefined>(undefined);
	const finish = $derived(chosenFinish === undefined ? (finishes[0] ?? null) : chosenFinish);
	const book = createOwnedBook({
		releaseKey: () => data.release.key,
		owned: () => data.owned
	});
	const finishName = (key: string | null) =>
		key === null ? 'Base finish' : (release.parallels.find((p) => p.key === key)?.name ?? key);
</script>

<svelte:head><title>{data.goal.name} · Jade Binder</title></svelte:head>

<header class="mt-4 mb-6">
	<div class="flex flex-wrap items-end justify-between gap-x-8 gap-y-3">
		<div class="min-w-0">
			<h1 class="wrap-break-word">{data.goal.name}</h1>
			<p class="mt-1 quiet">
				<a class="prose-link" href={resolve('/releases/[release]', { release: release.key })}
					>{release.name}</a
				>
				· {preset.name}: {preset.meaning}
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
	<GoalLimits {release} limits={data.limits} />
</header>

<MissingList title="{data.goal.name}: missing" groups={data.groups} goalId={data.goal.id} />

<section class="mt-10">
	<div class="mb-4 flex flex-wrap items-center justify-between gap-3">
		<h2>Number wall</h2>
		{#if finishes.length > 1}
			<label class="flex items-center gap-2"
				><span class="text-sm quiet">Finish</span>
				<select
					class="select select-sm"
					value={finish ?? ''}
					onchange={(event) => (chosenFinish = event.currentTarget.value || null)}
				>
					{#each finishes as key (key)}<option value={key ?? ''}>{finishName(key)}</option>{/each}
				</select></label
			>
		{:else}<span class="quiet">{finishName(finish)}</span>{/if}
	</div>
	{#if book.problems.length > 0}
		<div class="mb-4" role="alert"><ProblemList problems={book.problems} /></div>
	{/if}
	<ReleaseWalls
		{release}
		owned={book.owned}
		parallelKey={finish}
		{needed}
		change={(wanted) => book.setOwned(wanted)}
	/>
</section>

<SpareList {release} spares={data.spares} />

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
			title="Takes the goal and its binders away; no copy is touched. Undo brings them back."
			>Remove goal</button
		>
	</form>
</footer>

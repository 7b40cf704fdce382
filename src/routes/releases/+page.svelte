<script lang="ts">
	import { group } from 'd3-array';
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import { countOf, formatCount } from '$lib/ui/numerals';

	let { data } = $props();
	let filter = $state('');
	const shown = $derived(
		data.releases.filter(({ name, maker, year }) =>
			`${name} ${maker} ${year}`.toLowerCase().includes(filter.trim().toLowerCase())
		)
	);
	const goalsOf = $derived(group(data.goals, ({ releaseKey }) => releaseKey));
	/** A long list shows its beginning: who looks for one of the others finds it by its name. */
	const MOST_SHOWN = 200;
	let isWhole = $state(false);
</script>

<svelte:head><title>Releases · Jade Binder</title></svelte:head>

{#if data.releases.length === 0}
	<EmptyCollection title="No release yet" />
{:else}
	<header class="mt-4 mb-6 flex flex-wrap items-center justify-between gap-4">
		<h1>Releases</h1>
		<div class="flex flex-wrap gap-2">
			<a class="btn btn-ghost" href={resolve('/releases/palette')}>Palette</a>
			<a class="btn" href={resolve('/releases/outline')}>Sketch a release</a>
			<a class="btn" href={resolve('/releases/knowledge')}>Take in knowledge</a>
			<a class="btn btn-primary" href={resolve('/releases/import')}>Import a checklist</a>
		</div>
	</header>
	{#if data.releases.length > 4}
		<label class="mb-2 flex items-center gap-2">
			<span class="text-sm quiet">Find name, maker, year</span>
			<input class="input w-64 input-sm" type="search" bind:value={filter} />
		</label>
	{/if}
	<ul class="divide-y divide-base-300">
		{#each isWhole ? shown : shown.slice(0, MOST_SHOWN) as { key, name, maker, year, cards, parallels, owned } (key)}
			<li>
				<a
					class="-mx-3 grid grid-cols-[1fr_auto] items-baseline gap-x-6 gap-y-1 px-3 py-4 hover:bg-base-200"
					href={resolve('/releases/[release]', { release: key })}
				>
					<span class="font-serif text-xl">{name}</span>
					<span class="text-right text-xl"
						><strong class="font-semibold">{formatCount(owned)}</strong>
						<span class="text-base quiet">{owned === 1 ? 'copy' : 'copies'}</span></span
					>
					<span class="quiet"
						>{maker}, {year} · {countOf(cards, 'card')}{parallels > 0
							? ` · ${countOf(parallels, 'parallel')}`
							: ''}</span
					>
					<span class="text-right quiet"
						>{(goalsOf.get(key) ?? [])
							.slice(0, 3)
							.map((goal) => `${goal.have} of ${goal.need}`)
							.join(' · ')}</span
					>
				</a>
			</li>
		{:else}
			<li class="py-4 quiet">No release matches “{filter}”.</li>
		{/each}
	</ul>
	{#if !isWhole && shown.length > MOST_SHOWN}
		<button class="btn mt-4" onclick={() => (isWhole = true)}
			>Show all {formatCount(shown.length)}</button
		>
	{/if}
{/if}

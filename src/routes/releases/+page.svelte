<script lang="ts">
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import { countOf, formatCount } from '$lib/ui/numerals';

	let { data } = $props();
	const goalsOf = (key: string) => data.goals.filter(({ releaseKey }) => releaseKey === key);
</script>

<svelte:head><title>Releases · Jade Binder</title></svelte:head>

{#if data.releases.length === 0}
	<EmptyCollection title="No release yet" />
{:else}
	<header class="mt-4 mb-6 flex flex-wrap items-center justify-between gap-4">
		<h1>Releases</h1>
		<a class="btn btn-primary" href={resolve('/releases/import')}>Import a checklist</a>
	</header>
	<ul class="divide-y divide-base-300">
		{#each data.releases as { key, name, maker, year, cards, parallels, owned } (key)}
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
					<span class="text-right quiet">{countOf(goalsOf(key).length, 'goal')}</span>
				</a>
			</li>
		{/each}
	</ul>
{/if}

<script lang="ts">
	import { groups, sum } from 'd3-array';
	import { resolve } from '$app/paths';
	import { page } from '$app/state';
	import { countOf, formatDay } from '$lib/ui/numerals';

	let { data } = $props();
	const parts = $derived(groups(data.wants, ({ release, group }) => `${release} · ${group}`));
	const cards = $derived(sum(data.wants, ({ quantity }) => quantity));
</script>

<svelte:head><title>Wanted · Jade Binder</title></svelte:head>

<header class="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
	<h1>Wanted</h1>
	<p>
		<strong class="font-serif text-4xl font-medium" data-testid="wanted">{cards}</strong>
		<span class="quiet">{cards === 1 ? 'card' : 'cards'}</span>
	</p>
</header>
<p class="mb-4 quiet">
	For {data.name}, as of {formatDay(data.at)}: what is looked for now.
	{#if data.wants.length > 0}
		<a
			class="link"
			href={resolve('/shared/[list]/wants.csv', { list: page.params.list ?? '' })}
			download>As a file (CSV)</a
		>
	{/if}
</p>
{#each parts as [name, wants], i (i)}
	<section class="mb-5" aria-labelledby="part-{i}">
		<h2 id="part-{i}" class="mb-1 font-serif text-lg">
			{name} <span class="text-sm quiet">{countOf(wants.length, 'card')}</span>
		</h2>
		<ul class="grid gap-x-6 sm:grid-cols-2">
			{#each wants as want, j (j)}
				<li class="flex items-baseline gap-2 border-t border-base-300 py-1" data-testid="want">
					<strong class="font-serif text-lg font-medium">{want.number || want.title}</strong>
					<span class="min-w-0 flex-1 quiet">{want.number ? want.title : ''}</span>
					{#if want.condition}<span class="text-sm">{want.condition} or better</span>{/if}
					{#if want.quantity > 1}<span class="quiet">× {want.quantity}</span>{/if}
				</li>
			{/each}
		</ul>
	</section>
{:else}
	<p class="text-lg">Nothing is looked for now.</p>
{/each}

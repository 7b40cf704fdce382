<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { pileBorders, sortingWays, USUAL_TIMES } from '$lib/core/boxes/plan-sorting';
	import { countOf } from '$lib/ui/numerals';

	let { data } = $props();
	const pile = $state({
		cards: 500,
		mostPiles: 12,
		cardS: USUAL_TIMES.cardS,
		pileS: USUAL_TIMES.pileS
	});
	const fields = [
		{ name: 'cards', label: 'Cards in the pile', min: 1, max: 100_000, step: 1 },
		{ name: 'mostPiles', label: 'Room for piles', min: 1, max: 200, step: 1 },
		{ name: 'cardS', label: 'Seconds a card', min: 0, max: 600, step: 0.1 },
		{ name: 'pileS', label: 'Seconds a pile', min: 0, max: 600, step: 0.5 }
	] as const;
	const isWhole = (value: unknown, most: number) =>
		Number.isInteger(value) && Number(value) >= 1 && Number(value) <= most;
	const canPlan = $derived(
		isWhole(pile.cards, 100_000) &&
			isWhole(pile.mostPiles, 200) &&
			pile.cardS >= 0 &&
			pile.pileS >= 0 &&
			data.numbers.length > 0
	);
	const ways = $derived(
		canPlan
			? sortingWays(pile.cards, data.numbers.length, pile.mostPiles, {
					...USUAL_TIMES,
					cardS: pile.cardS,
					pileS: pile.pileS
				})
			: []
	);
	const best = $derived(ways[0]);
	const longest = $derived(Math.max(...ways.slice(0, 4).map(({ seconds }) => seconds), 1));
	/** What goes on each pile when the thickest part is dealt first: the borders of the last pass. */
	const borders = $derived(
		best && best.piles.length > 0 ? pileBorders(data.numbers, best.piles.at(-1) ?? 1) : []
	);
	const NAMES: Readonly<Record<string, string>> = {
		passes: 'Deal in passes',
		'deal and insert': 'Deal once, then insert in each pile',
		merge: 'Merge runs two by two',
		'insert, halving': 'Insert one by one, halving',
		'insert, from the start': 'Insert one by one, from the start'
	};
	const minutes = (seconds: number) =>
		seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`;

	function choose(key: string) {
		// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it
		void goto(`${resolve('/boxes/sorting')}?release=${encodeURIComponent(key)}`, {
			keepFocus: true
		});
	}
</script>

<svelte:head><title>Sort a pile · Jade Binder</title></svelte:head>

<p class="mt-4"><a class="prose-link" href={resolve('/boxes')}>Boxes</a></p>
<h1 class="mb-6">Sort a pile</h1>
<div class="mb-6 flex flex-wrap items-end gap-4">
	<label class="block"
		><span class="block text-sm quiet">Cards of</span>
		<select
			class="select w-72 select-sm"
			value={data.release?.key ?? ''}
			onchange={(event) => choose(event.currentTarget.value)}
		>
			{#each data.releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select></label
	>
	{#each fields as field (field.label)}
		<label class="block"
			><span class="block text-sm quiet">{field.label}</span>
			<input
				class="input w-28 input-sm"
				type="number"
				min={field.min}
				max={field.max}
				step={field.step}
				bind:value={pile[field.name]}
			/></label
		>
	{/each}
</div>
{#if data.numbers.length === 0}
	<p class="max-w-xl text-lg">Its cards bear no numbers: sort them by title, by letters.</p>
{:else if !best}
	<p role="alert" class="text-error">Say how many cards and piles: whole numbers from 1.</p>
{:else}
	<p class="mb-4 text-lg" role="status">
		<strong class="font-semibold">{NAMES[best.way]}</strong>: about
		<strong class="text-2xl font-semibold">{minutes(best.seconds)}</strong>{best.piles.length > 1
			? `, in ${best.piles.length} passes of ${best.piles.join(', then ')} piles`
			: best.piles.length === 1
				? `, on ${countOf(best.piles[0] ?? 0, 'pile')}`
				: ''}.
	</p>
	<ul class="mb-8 max-w-2xl space-y-2" aria-label="Ways to sort">
		{#each ways as { way, seconds, piles }, i (way)}
			<li>
				<span class="flex justify-between gap-4"
					><span class={i === 0 ? 'font-semibold' : ''}
						>{NAMES[way]}{piles.length > 0 && way !== 'merge'
							? ` (${piles.join(' × ')})`
							: ''}</span
					><span>{minutes(seconds)}</span></span
				>
				<span
					class={['block h-2 rounded-sm', i === 0 ? 'bg-primary' : 'bg-secondary/40']}
					style:width="{Math.min(100, (100 * seconds) / longest)}%"
					aria-hidden="true"
				></span>
			</li>
		{/each}
	</ul>
	{#if borders.length > 0}
		<section aria-labelledby="piles">
			<h2 id="piles" class="mb-2">{best.piles.length > 1 ? 'Piles of the last pass' : 'Piles'}</h2>
			<ol class="flex max-w-3xl flex-wrap gap-2">
				{#each borders as { from, to }, i (i)}
					<li class="border border-base-300 bg-base-200 px-3 py-1.5">
						<span class="mr-1 quiet">{i + 1}</span>
						{from === to ? from : `${from}–${to}`}
					</li>
				{/each}
			</ol>
		</section>
	{/if}
{/if}

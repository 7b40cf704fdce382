<script lang="ts">
	import { sum } from 'd3-array';
	import { resolve } from '$app/paths';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import { countOf, formatCount } from '$lib/ui/numerals';

	let { data } = $props();
	let shows = $state<'all' | 'have' | 'missing'>('all');
	const releases = $derived(new Set(data.cards.map(({ releaseKey }) => releaseKey)).size);
	const versions = $derived(data.cards.flatMap((card) => card.versions));
	const have = $derived(versions.filter(({ count }) => count > 0).length);
	const isHere = (card: (typeof data.cards)[number]) =>
		card.versions.some(({ count }) => count > 0);
	const shown = $derived(
		data.cards.filter((card) => shows === 'all' || isHere(card) === (shows === 'have'))
	);
</script>

<svelte:head><title>{data.subject} · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-1">{data.subject}</h1>
<p class="quiet">
	{countOf(data.cards.length, 'card')} in {countOf(releases, 'release')} ·
	<strong class="font-semibold text-base-content">{formatCount(have)}</strong> of {countOf(
		versions.length,
		'version'
	)} there{#if have > 0}, {countOf(
			sum(versions, ({ count }) => count),
			'copy',
			'copies'
		)}{/if}
</p>
{#if data.untold > 0}
	<p class="text-sm quiet">
		Finishes of {countOf(data.untold, 'release')} more are not looked up here.
	</p>
{/if}
<div role="group" aria-label="What to show" class="my-4 flex gap-1">
	{#each [['all', 'All'], ['have', 'There'], ['missing', 'Missing']] as const as [value, text] (value)}
		<button
			class={['btn btn-sm', shows === value ? 'btn-primary' : 'btn-ghost']}
			aria-pressed={shows === value}
			onclick={() => (shows = value)}>{text}</button
		>
	{/each}
</div>
<ul class="grid grid-cols-2 gap-x-6 gap-y-8 sm:grid-cols-4 lg:grid-cols-6">
	{#each shown as card (card.releaseKey + card.cardKey)}
		<li class="min-w-0">
			<a
				class={['block', !isHere(card) && 'opacity-60']}
				aria-label="{[card.number, card.title].filter(Boolean).join(' ')}, {card.releaseName}"
				href={resolve('/releases/[release]/cards/[card]', {
					release: card.releaseKey,
					card: card.cardKey
				})}
			>
				<CardPicture
					seed="{card.releaseKey}/{card.cardKey}"
					title={card.title}
					group={card.group ?? ''}
					number={card.number}
					plate
				/>
			</a>
			<p class="mt-1 font-semibold wrap-anywhere">{card.releaseName}</p>
			<p class="text-sm quiet">
				{[card.section, card.number, card.group].filter(Boolean).join(' · ')}
			</p>
			{#if card.versions.length > 0}
				<ul class="mt-1 text-sm" aria-label="Versions of {card.number ?? card.title}">
					{#each card.versions as { key, name, printRun, count } (key)}
						<li class={count > 0 ? '' : 'quiet'}>
							<span aria-hidden="true">{count > 0 ? '●' : '○'}</span>
							{name}{printRun === null ? '' : ` /${formatCount(printRun)}`}{count > 1
								? ` × ${formatCount(count)}`
								: ''}<span class="sr-only">{count > 0 ? ', there' : ', missing'}</span>
						</li>
					{/each}
				</ul>
			{/if}
			{#if card.places.length > 0}
				<p class="mt-1 text-sm quiet">In {card.places.join(', ')}</p>
			{/if}
		</li>
	{/each}
</ul>
{#if shown.length === 0}
	<p class="text-lg">
		{shows === 'have'
			? 'None of these cards is there yet.'
			: 'Of every card at least one version is there.'}
	</p>
{/if}

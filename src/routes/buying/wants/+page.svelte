<script lang="ts">
	import { groups } from 'd3-array';
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import { SEARCH_WORDS } from '$lib/core/buying/wants/search-text';
	import Field from '$lib/ui/Field.svelte';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import Word from '$lib/ui/Word.svelte';
	import { createWantBook } from './want-book.svelte';
	import SharedLinks from './SharedLinks.svelte';
	import WantLine from './WantLine.svelte';

	let { data, form } = $props();
	const book = createWantBook({ currency: () => data.rules.currency });
	/** Favourites lie on top, then what is most urgent, each by its part of a release. */
	const parts = $derived(
		groups(data.wants, (want) =>
			want.isFavourite ? 'Favourites' : `${want.priority} · ${want.release}, ${want.group}`
		)
	);
	const cards = $derived(data.wants.reduce((sum, { quantity }) => sum + quantity, 0));
</script>

<svelte:head><title>Wants · Jade Binder</title></svelte:head>

<header class="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
	<h1><Word of="want">Wants</Word></h1>
	<p>
		<strong class="font-serif text-4xl font-medium" data-testid="wanted">{cards}</strong>
		<span class="quiet"
			>{cards === 1 ? 'card' : 'cards'} of {countOf(data.goals.length, 'goal')}</span
		>
	</p>
</header>
<ProblemAlert problems={form?.problems} class="mb-3" />
<ProblemAlert problems={[...data.problems, ...book.problems]} class="mb-3" />
{#if data.goals.length === 0}
	<p class="max-w-xl text-lg">
		No goal is chosen yet. Say at <a class="prose-link" href={resolve('/buying')}
			>what finishing takes</a
		> which ones are to be finished: what they lack makes one list.
	</p>
{:else}
	<p class="mb-3 max-w-3xl quiet">
		One list out of {data.goals.map(({ name }) => name).join(', ')}. A card that several of them
		share is wanted once; what is on its way is not wanted any more.
	</p>
	<form
		method="POST"
		action="?/template"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
		class="mb-4 flex flex-wrap items-end gap-3"
	>
		<Field label="Text to search with: words {SEARCH_WORDS.map((word) => `{${word}}`).join(' ')}">
			<input
				name="template"
				class="input w-[34rem] max-w-full font-mono input-sm"
				maxlength="200"
				value={data.rules.template}
			/>
		</Field>
		<button class="btn btn-sm">Set</button>
		<span class="text-sm quiet">{data.wants[0]?.search ?? ''}</span>
	</form>
	{#if data.role === 'owner'}<SharedLinks shared={data.shared} {book} />{/if}
	<p role="status" class="mb-2 text-sm text-primary">{book.told}</p>
	{#each parts as [name, wants], i (i)}
		<section class="mb-5" aria-labelledby="part-{i}">
			<h2 id="part-{i}" class="mb-1 font-serif text-lg">
				{name.replace(/^\d · /, '')}
				<span class="text-sm quiet"
					>{name.startsWith('Fav') ? '' : `priority ${name.slice(0, 1)}, `}{countOf(
						wants.length,
						'card'
					)}</span
				>
			</h2>
			<ul>
				{#each wants as want (want.key)}
					<li class="border-t border-base-300" data-testid="want">
						<WantLine {want} {book} currency={data.rules.currency} />
					</li>
				{/each}
			</ul>
		</section>
	{:else}
		<p class="text-lg">Nothing is missing any more.</p>
	{/each}
{/if}

<script lang="ts">
	import { resolve } from '$app/paths';
	import { keepingOf } from '$lib/core/storage/classes/keeping';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import ClassLines from '$lib/ui/shelf/ClassLines.svelte';
	import Word from '$lib/ui/Word.svelte';
	import FriendLines from './FriendLines.svelte';
	import PileDesk from './PileDesk.svelte';
	import PileTable from './PileTable.svelte';
	import ProtectionList from './ProtectionList.svelte';

	let { data, form } = $props();
	let line = $state('');
	const only = $derived(data.view.releases.find(({ key }) => key === data.only));
	const problemsOf = (of: string) => (form?.of === of ? form.problems : []);
	const drawn = $derived.by(() => {
		const versions = data.pile?.toLog?.drawn ?? [];
		return { versions, before: versions.length - (data.pile?.toLog?.cards ?? 0) };
	});
	/** As they were kept last: to keep them does not read the pile anew. */
	const classes = $derived(
		form && 'classes' in form && form.classes ? form.classes : data.keeping.classes
	);
	const keeping = $derived(keepingOf({ ...data.keeping, classes }));
	const handed = $derived(form && 'handed' in form ? form.handed : undefined);
</script>

<svelte:head><title>Go through a pile · Jade Binder</title></svelte:head>

{#if data.view.releases.length > 0}
	<p class="mt-4 mb-1 quiet">
		<a class="prose-link" href={resolve('/log')}>Log</a>
		{#if data.pile}· {data.pile.name}{/if}
		{#if data.pile?.toLog}
			· {data.pile.toLog.isEstimate ? 'about ' : ''}{countOf(data.pile.toLog.cards, 'card')} when opened
		{/if}
		{#if only}
			· only {only.name}.
			<a class="prose-link" href={resolve('/log/pile')}>Cards of any release</a>
		{/if}
	</p>
	<div class="mb-4 flex flex-wrap items-baseline gap-x-4">
		<h1>Go through a <Word of="pile" /></h1>
		<a class="prose-link" href={resolve('/take-along')}>Take along</a>
	</div>
	<!-- What was handed over or undone is read anew. -->
	{#key data.view}
		<PileDesk
			view={data.view}
			hint={data.hint}
			synonyms={data.synonyms}
			{keeping}
			lying={data.lying}
			from={data.pile?.toLog?.id}
			pile={data.pile?.toSort?.id}
			{drawn}
			bind:line
		>
			{#snippet below(book)}
				<PileTable {book} binders={data.binders} problems={problemsOf('hand')} {handed} />
			{/snippet}
		</PileDesk>
	{/key}
	{#if data.pile?.toSort}
		<ProtectionList
			protection={data.protection}
			pile={data.pile.toSort.id}
			problems={problemsOf('protect')}
		/>
	{/if}
	{#if data.others.length > 0}
		<nav class="mt-8 max-w-3xl" aria-label="Other piles">
			<h2 class="mb-1 font-serif text-lg">Other piles</h2>
			<ul>
				{#each data.others as { name, rows } (name)}
					<li class="border-t border-base-300 py-1">
						<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
						<a class="prose-link" href="{resolve('/log/pile')}?pile={rows[0]?.id}">{name}</a>,
						{rows
							.map(
								({ tray, cards, isEstimate }) =>
									`${isEstimate ? 'about ' : ''}${formatCount(cards)} ${tray}`
							)
							.join(', ')}
					</li>
				{/each}
			</ul>
		</nav>
	{/if}
	<ClassLines {classes} problems={problemsOf('classes')} />
	<FriendLines lines={data.friends} problems={problemsOf('friends')} />
{:else}
	<EmptyCollection title="Nothing to log against yet" />
{/if}

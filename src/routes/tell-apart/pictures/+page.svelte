<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { countOf } from '$lib/ui/numerals';
	import PhotoWall from './PhotoWall.svelte';
	import ReferencePictures from './ReferencePictures.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';

	let { data } = $props();
	const release = $derived(data.release?.key ?? '');
	const hrefOf = (query: Readonly<Record<string, string>>) =>
		`${resolve('/tell-apart/pictures')}?${new URLSearchParams(query)}`;
</script>

<svelte:head><title>Pictures · Jade Binder</title></svelte:head>

{#if data.release}
	<h1 class="mb-2">Pictures</h1>
	{#if data.of}{#key data.of.key}<ReferencePictures of={data.of} />{/key}{/if}

	<section aria-labelledby="watch">
		<h2 id="watch" class="mb-1">Short-print watch</h2>
		<p class="mb-3 max-w-2xl quiet">
			An unmarked variation bears the number of its regular card. Lay all photos of a number side by
			side and look for another picture.
		</p>
		<div class="mb-4 flex flex-wrap items-end gap-4">
			<Field label="Numbers of">
				<ReleaseSelect
					chosen={data.release}
					class="w-64 select-sm"
					choose={(key) =>
						// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it
						void goto(hrefOf({ release: key }), { keepFocus: true })}
				/>
			</Field>
			<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
			<a class="btn btn-sm" href={hrefOf({ release, all: '1' })}>Compare all photos</a>
		</div>
		{#if data.compared && data.isAll}
			{#await data.compared}
				<p role="status"><progress class="progress w-40"></progress> Looking at all photos</p>
			{:then cards}
				{@const several = (cards ?? []).filter(({ groups }) => groups.length > 1)}
				<p class="mb-3" role="status">
					{several.length === 0
						? `No number with two photos or more seems to have another picture (${countOf((cards ?? []).length, 'number')} looked at).`
						: `${countOf(several.length, 'number')} may have another picture:`}
				</p>
				<ul class="mb-4 flex flex-wrap gap-2">
					{#each several as { card, groups } (card)}
						{@const known = data.watch.find(({ key }) => key === card)}
						<li>
							<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
							<a class="btn btn-sm" href={hrefOf({ release, card })}
								>{known?.number ?? known?.title ?? card}: {groups.length} pictures</a
							>
							<!-- eslint-enable svelte/no-navigation-without-resolve -->
						</li>
					{/each}
				</ul>
			{:catch}<p role="alert">They are too many to compare at once.</p>{/await}
		{/if}
		{#if data.photos.length > 0}
			<PhotoWall
				title={data.card
					? [data.card.number, data.card.title].filter(Boolean).join(' ')
					: 'All photos'}
				photos={data.photos}
				compared={data.compared}
			/>
		{:else if data.card}
			<p class="mb-2">
				{data.card.number ?? data.card.title} has no photos yet: take some on the page of the card. Drawn,
				until then:
			</p>
			<ul class="mb-6 flex flex-wrap gap-4">
				{#each data.card.pictures as { version, name } (version)}
					<li class="w-36 text-sm">
						<CardPicture seed={version} title={data.card.title} group="" plate />
						{name}, drawn
						<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
						<a class="block prose-link" href={hrefOf({ of: version })}>Pictures for reference</a>
						<!-- eslint-enable svelte/no-navigation-without-resolve -->
					</li>
				{/each}
			</ul>
		{/if}
		<ul class="max-w-3xl">
			{#each data.watch as { key, number, title, known, photos } (key)}
				<li class="flex flex-wrap items-baseline gap-x-4 border-t border-base-300 py-1.5">
					<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
					<a
						class="prose-link"
						href={hrefOf({ release, card: key })}
						aria-current={data.card?.key === key}
						><strong class="mr-2">{number ?? ''}</strong>{title}</a
					>
					<!-- eslint-enable svelte/no-navigation-without-resolve -->
					<span class="min-w-0 flex-1 quiet">{known.join(', ')}</span>
					<span class="text-sm">{countOf(photos, 'photo')}</span>
				</li>
			{:else}<li class="quiet">
					No number of {data.release.name} is known with two pictures, and none has two photos.
				</li>{/each}
		</ul>
		{#if data.hunts.length > 0}
			<p class="mt-3 quiet">Suspected: {data.hunts.join('; ')}.</p>
		{/if}
	</section>
{:else}
	<EmptyCollection title="No pictures to lay side by side yet" />
{/if}

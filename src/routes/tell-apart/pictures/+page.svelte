<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { PHOTO_SIDES } from '$lib/core/copies/photo-side';
	import type { Problem } from '$lib/core/problem';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import { thumbnailOf } from '$lib/ui/card-picture/thumbnail';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import { send } from '$lib/ui/send';

	let { data } = $props();
	let problems = $state.raw<readonly Problem[]>([]);
	let isBusy = $state(false);
	const release = $derived(data.release?.key ?? '');
	const hrefOf = (query: Readonly<Record<string, string>>) =>
		`${resolve('/tell-apart/pictures')}?${new URLSearchParams(query)}`;

	async function keep(event: SubmitEvent & { currentTarget: HTMLFormElement }) {
		event.preventDefault();
		const page = event.currentTarget;
		const form = new FormData(page);
		const photo = form.get('photo');
		if (!(photo instanceof File) || photo.size === 0 || !data.of) {
			problems = [{ message: 'no picture is chosen', remedy: 'Choose a PNG, JPEG or WebP file.' }];
			return;
		}
		isBusy = true;
		const query = new URLSearchParams({
			of: data.of.key,
			side: String(form.get('side')),
			source: String(form.get('source'))
		});
		const response = await fetch(`/api/reference-pictures?${query}`, {
			method: 'POST',
			headers: { 'content-type': 'application/octet-stream' },
			body: photo
		});
		const answer = (await response.json()) as { errors?: Problem[]; detail?: string };
		problems = response.ok
			? []
			: (answer.errors ?? [{ message: answer.detail ?? 'the server refused it' }]);
		if (response.ok) page.reset();
		await invalidateAll();
		isBusy = false;
	}
	async function remove(id: number) {
		const outcome = await send('DELETE', `/api/reference-pictures/${id}`);
		problems = outcome.ok ? [] : outcome.problems;
		await invalidateAll();
	}
</script>

<svelte:head><title>Pictures · Jade Binder</title></svelte:head>

{#if data.release}
	<h1 class="mb-2">Pictures</h1>
	<ProblemAlert {problems} class="mb-4" />
	{#if data.of}
		{@const { key, name, release: of, pictures } = data.of}
		<section class="mb-8 max-w-3xl" aria-labelledby="reference">
			<h2 id="reference" class="mb-1">For reference: {name}, {of}</h2>
			<p class="mb-2 quiet">What it looks like, whether you own it or not.</p>
			<ul class="mb-3 flex flex-wrap gap-4">
				{#each pictures as { id, hash, side, source } (id)}
					<li class="text-sm">
						<a href={resolve('/api/media/[hash]', { hash })} target="_blank" rel="noopener"
							><img src={thumbnailOf(hash)} alt="{side} of {name}" class="max-h-48 rounded-sm" /></a
						>
						<span class="flex items-center gap-2"
							>{side}{source ? `, ${source}` : ''}
							<button
								type="button"
								class="btn btn-ghost btn-xs"
								aria-label="Take off this picture of the {side}"
								onclick={() => remove(id)}>✕</button
							></span
						>
					</li>
				{:else}<li class="quiet">None yet.</li>{/each}
			</ul>
			<form onsubmit={keep} class="flex flex-wrap items-end gap-3" aria-label="Add a picture">
				<Field label="Picture">
					<input type="file" name="photo" accept="image/*" class="file-input w-64 file-input-sm" />
				</Field>
				<Field label="Side">
					<select name="side" class="select w-28 select-sm">
						{#each PHOTO_SIDES as side (side)}<option>{side}</option>{/each}
					</select>
				</Field>
				<Field label="Where it is from">
					<input name="source" class="input w-44 input-sm" maxlength="200" />
				</Field>
				<button class="btn btn-primary btn-sm" disabled={isBusy}>Add it</button>
				<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
				<a class="prose-link" href="{resolve('/tell-apart')}?of={encodeURIComponent(key)}"
					>Lay it beside others</a
				>
			</form>
		</section>
	{/if}

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
			<div class="mb-6" data-testid="photo-wall">
				<h3 class="mb-2 font-serif text-lg">
					{data.card ? [data.card.number, data.card.title].filter(Boolean).join(' ') : 'All photos'}
				</h3>
				{#await data.compared}
					<p role="status" class="quiet">Comparing them</p>
				{:then cards}
					{@const groups = cards?.[0]?.groups ?? []}
					{#if groups.length > 1}
						<p class="mb-2 max-w-2xl border-l-3 border-accent pl-4">
							{countOf(groups.length, 'picture')}, it seems: look whether one of them is a
							variation. A suggestion; light and cut can deceive.
						</p>
					{/if}
					<ul class="flex flex-wrap gap-4">
						{#each data.photos as { hash, side, name, isReference }, i (i)}
							{@const at = groups.findIndex((group) => group.includes(hash))}
							<li class="text-sm">
								<a href={resolve('/api/media/[hash]', { hash })} target="_blank" rel="noopener"
									><img
										src={thumbnailOf(hash)}
										alt="{side ?? 'front'} of {name}"
										class={[
											'max-h-56 rounded-sm border-4',
											at > 0 ? 'border-accent' : 'border-transparent'
										]}
									/></a
								>
								{name}{side === 'back' ? ', back' : ''}{isReference ? ', for reference' : ''}
								{#if at > 0}<strong class="block">another picture?</strong>{/if}
							</li>
						{/each}
					</ul>
				{:catch}<p role="alert">They could not be compared; they stand as they are.</p>{/await}
			</div>
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

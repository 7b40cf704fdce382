<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';

	let { data } = $props();
	const PLACES_NAMED = 3;
	const placesIn = (places: (typeof data.found)[number]['places']) =>
		[
			...places
				.slice(0, PLACES_NAMED)
				.map(({ name, row }) => (row === null ? name : `${name}, row ${row}`)),
			...(places.length > PLACES_NAMED ? [`${places.length - PLACES_NAMED} places more`] : [])
		].join(' · ');
	let timer: ReturnType<typeof setTimeout> | undefined;
	/** What was typed here: an answer to it comes later, and takes back no letter typed since. */
	const typedHere = new Set<string>();
	// svelte-ignore state_referenced_locally
	let typed = $state(data.text);
	$effect.pre(() => {
		if (!typedHere.has(data.text)) typed = data.text;
	});

	/** Looks again as one types, without a step in the browser's history for every letter. */
	function look(text: string) {
		typedHere.add(text);
		clearTimeout(timer);
		timer = setTimeout(
			() =>
				void goto(resolve(`/search?q=${encodeURIComponent(text)}`), {
					replaceState: true,
					keepFocus: true,
					noScroll: true
				}),
			80
		);
	}
</script>

<svelte:head><title>Search · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-4">Search</h1>
<form method="GET" role="search" class="mb-5">
	<label class="sr-only" for="search">Search everything</label>
	<!-- svelte-ignore a11y_autofocus -->
	<input
		id="search"
		name="q"
		type="search"
		class="input w-full max-w-2xl text-xl input-lg"
		bind:value={typed}
		placeholder="number, subject, set, finish, serial, place, note"
		autocomplete="off"
		autofocus
		oninput={() => look(typed)}
	/>
</form>
{#if data.found.length > 0}
	<p class="mb-3 text-sm">
		<a class="prose-link" href={resolve(`/log/many?q=${encodeURIComponent(data.text)}`)}
			>Change the copies of what is found</a
		>
	</p>
{/if}
<p class="mb-2 quiet" role="status">
	{#if data.text.trim() === ''}
		Words of a card or a copy, in any order: <em>harbour 27</em>, <em>14/65</em>, <em>tin box</em>.
	{:else if data.found.length === 0}
		Nothing has all of these words.
	{:else}
		{data.found.length === 60 ? 'The first 60' : data.found.length} found
	{/if}
</p>
<ul class="divide-y divide-base-300">
	{#each data.found as found, i (i)}
		<li>
			<a
				class="-mx-2 flex items-center gap-4 px-2 py-2 hover:bg-base-200"
				href={resolve('/releases/[release]/cards/[card]', {
					release: found.releaseKey,
					card: found.cardKey
				})}
			>
				<span class="w-8 shrink-0"
					><CardPicture
						seed="{found.releaseKey}/{found.cardKey}"
						title={found.title}
						group={found.group ?? ''}
					/></span
				>
				<strong class="w-12 shrink-0 text-right text-lg">{found.number ?? ''}</strong>
				<span class="min-w-0 flex-1">
					<span class="block truncate">{found.title}</span>
					<span class="block truncate text-sm quiet"
						>{found.copy ? `${found.copy.text} · ` : ''}{found.releaseName} · {found.section}</span
					>
					{#if found.places.length > 0}<span class="block truncate text-sm"
							>in {placesIn(found.places)}</span
						>{/if}
				</span>
				<span class={['shrink-0', found.owned > 0 ? 'text-primary' : 'quiet']}
					>{found.owned > 0 ? `${found.owned} owned` : 'none owned'}</span
				>
			</a>
		</li>
	{/each}
</ul>

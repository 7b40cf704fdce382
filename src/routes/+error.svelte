<script lang="ts">
	import { resolve } from '$app/paths';
	import { page } from '$app/state';

	/** What a status means for whoever sees it, and what to do. */
	const MEANINGS: Readonly<Record<number, { readonly title: string; readonly remedy: string }>> = {
		403: {
			title: 'Not for you',
			remedy: 'Ask whoever keeps this collection, or sign in as the owner.'
		},
		404: {
			title: 'There is nothing here',
			remedy:
				'It may have been removed, or its name was changed since. Search for it; if it was removed by mistake, the journal takes that back.'
		},
		413: {
			title: 'Too large',
			remedy: 'Split it into smaller files, and send one after the other.'
		},
		503: {
			title: 'Too much at once',
			remedy: 'Nothing was changed. Ask for a part of it, or try again in a moment.'
		},
		507: {
			title: 'No room left',
			remedy: 'Nothing was changed. Make room on the disk of the server, and try again.'
		}
	};
	const meaning = $derived(
		MEANINGS[page.status] ?? {
			title: 'That did not work',
			remedy:
				'What was recorded before is kept. Try again; where it goes wrong each time, what the server printed says why.'
		}
	);
	const isKnown = $derived(page.data.role != null);
</script>

<svelte:head><title>{meaning.title} · Jade Binder</title></svelte:head>
<h1 class="mt-10 mb-3">{meaning.title}</h1>
<p class="mb-2 max-w-xl text-lg">{page.error?.message}</p>
{#if isKnown}
	<p class="mb-6 max-w-xl quiet">{meaning.remedy}</p>
	<p class="flex flex-wrap gap-3">
		<a class="btn btn-primary" href={resolve('/')}>Go to the desk</a>
		<a class="btn" href={resolve('/search')}>Search</a>
		<a class="btn" href={resolve('/journal')}>Journal</a>
	</p>
{/if}

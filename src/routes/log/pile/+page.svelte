<script lang="ts">
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import ClassLines from './ClassLines.svelte';
	import PileDesk from './PileDesk.svelte';

	let { data, form } = $props();
	const only = $derived(data.view.releases.find(({ key }) => key === data.only));
</script>

<svelte:head><title>Go through a pile · Jade Binder</title></svelte:head>

{#if data.view.releases.length > 0}
	{#key `${data.only} ${data.pile?.id}`}
		<p class="mt-4 mb-1 quiet">
			<a class="prose-link" href={resolve('/log')}>Log</a>
			{#if data.pile}· {data.pile.name}{/if}
			{#if only}
				· only {only.name}.
				<a class="prose-link" href={resolve('/log/pile')}>Cards of any release</a>
			{/if}
		</p>
		<h1 class="mb-4">Go through a pile</h1>
		<PileDesk
			view={data.view}
			hint={data.hint}
			synonyms={data.synonyms}
			classes={data.classes}
			pile={data.pile}
		/>
		<ClassLines classes={data.classes} problems={form?.problems ?? []} />
	{/key}
{:else}
	<EmptyCollection title="Nothing to log against yet" />
{/if}

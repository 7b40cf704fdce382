<script lang="ts">
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import LogDesk from './LogDesk.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Log · Jade Binder</title></svelte:head>

{#if data.release}
	{#key data.release.key}
		<LogDesk
			release={data.release}
			owned={data.owned}
			incoming={data.incoming}
			synonyms={data.synonyms}
			trays={data.trays}
			shelves={data.shelves}
			problems={form?.problems ?? []}
		/>
	{/key}
{:else if data.releases > 0}
	<h1 class="mt-6 mb-3">This release is not here</h1>
	<a class="btn btn-primary" href={resolve('/log')}>Log another one</a>
{:else}
	<EmptyCollection title="Nothing to log against yet" />
{/if}

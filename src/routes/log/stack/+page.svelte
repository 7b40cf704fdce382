<script lang="ts">
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import StackDesk from './StackDesk.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Go through a stack · Jade Binder</title></svelte:head>

{#if data.release}
	{#key data.release.key}
		<p class="mt-4 mb-1 quiet">
			<a class="prose-link" href={resolve(`/log?release=${encodeURIComponent(data.release.key)}`)}
				>Log</a
			>
			· {data.release.name}{data.pile ? ` · ${data.pile.name}` : ''}
		</p>
		<h1 class="mb-4">Go through a stack</h1>
		<StackDesk
			release={data.release}
			owned={data.owned}
			slots={data.slots}
			synonyms={data.synonyms}
			pile={data.pile}
		/>
	{/key}
{:else}
	<EmptyCollection title="Nothing to log against yet" />
{/if}

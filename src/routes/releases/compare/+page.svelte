<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { compareReleases } from '$lib/core/checklist/compare-releases';
	import PairedCards from './PairedCards.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import Field from '$lib/ui/Field.svelte';

	let { data } = $props();
	const pairs = $derived(data.left && data.right ? compareReleases(data.left, data.right) : []);

	function choose(side: 'left' | 'right', key: string) {
		const left = side === 'left' ? key : (data.left?.key ?? '');
		const right = side === 'right' ? key : (data.right?.key ?? '');
		const query = new URLSearchParams({ left, right }).toString();
		void goto(resolve(`/releases/compare?${query}`));
	}
</script>

<svelte:head><title>Side by side · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-5">Side by side</h1>
<div class="mb-6 grid gap-4 sm:grid-cols-2">
	{#each ['left', 'right'] as const as side (side)}
		<Field label={side === 'left' ? 'Above' : 'Below'}>
			<ReleaseSelect chosen={data[side]} choose={(key) => choose(side, key)} />
		</Field>
	{/each}
</div>

{#if data.left && data.right}
	{#each pairs as pair, i (i)}
		<PairedCards {pair} left={data.left} right={data.right} />
	{/each}
{:else}
	<p class="max-w-xl text-lg">
		Two releases are laid one above the other here, so that look-alike years can be told apart. It
		takes two of them.
	</p>
{/if}

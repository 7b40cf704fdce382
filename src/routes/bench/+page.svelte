<script lang="ts">
	import { resolve } from '$app/paths';
	import { STANDARD_CARD } from '$lib/core/measuring/card-size';
	import AskForm from '$lib/ui/AskForm.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { answerOf } from '$lib/ui/form-answer';
	import CopyOnBench from './CopyOnBench.svelte';
	import { createScanBook } from './scan-book.svelte';
	import ScanDesk from './ScanDesk.svelte';

	let { data, form } = $props();
	const scan = createScanBook(() => ({
		widthMm: data.copy?.widthMm ?? STANDARD_CARD.widthMm,
		heightMm: data.copy?.heightMm ?? STANDARD_CARD.heightMm
	}));
</script>

<svelte:head><title>Bench · Jade Binder</title></svelte:head>

<h1 class="mb-2">Measure and judge</h1>
<AskForm path={resolve('/bench')} class="mb-2" ask="Find">
	<Field label="The copy on the bench"
		><input
			name="q"
			type="search"
			class="input w-72 max-w-full input-sm"
			value={data.words}
			placeholder="card, subject, number"
		/></Field
	>
</AskForm>
{#if data.words !== '' && data.found.length === 0}
	<p class="mb-3">No copy is found by “{data.words}”.</p>
{/if}
{#if data.found.length > 0}
	<ul class="mb-4 max-h-60 max-w-4xl overflow-y-auto">
		{#each data.found as copy (copy.id)}
			<li class="border-t border-base-300 py-1">
				<a class="prose-link" href="{resolve('/bench')}?copy={copy.id}">{copy.name}</a><span
					class="quiet"
					>, {copy.release}{copy.condition ? `, ${copy.condition}` : ''}{copy.quantity > 1
						? `, × ${copy.quantity}`
						: ''}</span
				>
			</li>
		{/each}
	</ul>
{/if}
{#if data.more > 0}
	<p class="mb-4 text-sm quiet">and {data.more} more: write another word to find fewer.</p>
{/if}
{#if data.copy}
	{#key data.copy.id}
		<CopyOnBench view={data} copy={data.copy} {scan} answer={answerOf(form, 'keep')} />
	{/key}
{:else}
	<ScanDesk book={scan} photos={[]} use={null} />
	<p class="mt-4 max-w-2xl">
		Find a copy above, and what you see of it is kept: its centring, corners, edges and surface,
		with the word that they come to.
	</p>
{/if}

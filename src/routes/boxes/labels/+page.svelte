<script lang="ts">
	import { resolve } from '$app/paths';
	import { LABEL_GRIDS } from '$lib/core/print/label-grid';
	import { countOf } from '$lib/ui/numerals';
	import SheetPlaces from './SheetPlaces.svelte';
	import Field from '$lib/ui/Field.svelte';

	let { data } = $props();
	let gridKey = $state('a4-2x4');
	let start = $state(1);
	// svelte-ignore state_referenced_locally
	let address = $state(data.origin);
	const grid = $derived(LABEL_GRIDS.find(({ key }) => key === gridKey) ?? LABEL_GRIDS[0]);
	const isLocal = $derived(/\/\/(localhost|127\.|\[::1\])/.test(address));
	const SORTS = { boxes: 'Box fronts', dividers: 'Divider tabs', shelves: 'Shelf tags' } as const;
	const boxQuery = $derived(data.boxIds.map((id) => `&box=${id}`).join(''));
	const pdf = $derived(
		`${resolve('/')}api/boxes/labels.pdf?what=${data.sort}&grid=${gridKey}&start=${start}${boxQuery}&address=${encodeURIComponent(address)}`
	);
</script>

<svelte:head><title>Labels · Jade Binder</title></svelte:head>

<h1 class="mb-4">Labels</h1>
<form
	method="GET"
	class="mb-4 flex flex-wrap items-end gap-4"
	onchange={(event) => event.currentTarget.requestSubmit()}
>
	<Field label="What for">
		<select class="select w-40 select-sm" name="what" value={data.sort}>
			{#each Object.entries(SORTS) as [key, name] (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
	{#if data.sort !== 'shelves'}
		<Field label="Of">
			<select class="select w-60 select-sm" name="box" value={String(data.boxIds[0] ?? '')}>
				<option value="">all boxes</option>
				{#each data.boxes as { id, name } (id)}<option value={String(id)}>{name}</option>{/each}
			</select>
		</Field>
	{/if}
</form>
{#if data.count === 0}
	<p class="max-w-xl text-lg">
		Nothing to label yet: <a class="prose-link" href={resolve('/boxes/plan')}
			>let boxes stand first</a
		>.
	</p>
{:else if grid}
	<div class="flex flex-wrap items-start gap-10">
		<div>
			<Field label="Sheet of labels" class="mb-3">
				<select class="select w-72 select-sm" bind:value={gridKey} onchange={() => (start = 1)}>
					{#each LABEL_GRIDS as { key, name } (key)}<option value={key}>{name}</option>{/each}
				</select>
			</Field>
			{#if data.sort === 'boxes'}
				<Field label="Address for the phone" class="mb-1">
					<input class="input w-72 input-sm" bind:value={address} maxlength="180" />
				</Field>
				<p class="mb-3 max-w-72 text-sm quiet">
					The QR code opens the box on a phone.{isLocal
						? ' This address only works on this machine: write its name or number in your network.'
						: ''}
				</p>
			{/if}
			<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- a file of the API -->
			<a class="btn btn-primary" href={pdf} download>{countOf(data.count, 'label')} as PDF</a>
			<p class="mt-2 max-w-72 text-sm quiet">
				Print at 100 %, and hold a trial on plain paper against the sheet. A text that is too long
				goes on, on the next label.
			</p>
		</div>
		<SheetPlaces {grid} {start} choose={(place) => (start = place)} />
		<div class="min-w-64 flex-1">
			{#await data.labels}
				<p class="quiet" role="status">Their texts are being put together.</p>
			{:then labels}
				<ol class="space-y-3" aria-label="What the labels say">
					{#each labels as { title, lines }, i (i)}
						<li class="border border-base-content/30 px-3 py-2">
							<strong class="font-semibold wrap-anywhere">{title}</strong>
							{#each lines as line, l (l)}<span class="block text-sm wrap-anywhere">{line}</span
								>{/each}
						</li>
					{/each}
					{#if data.count > labels.length}<li class="quiet">
							and {countOf(data.count - labels.length, 'label')} more
						</li>{/if}
				</ol>
			{:catch}
				<p role="alert">Their texts take too long to put together. Choose a single box.</p>
			{/await}
		</div>
	</div>
{/if}

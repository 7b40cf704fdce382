<script lang="ts">
	import { resolve } from '$app/paths';
	import { SAMPLE_SCANS } from '$lib/core/measuring/centring/sample-scans';
	import { PICTURE_KINDS } from '$lib/core/measuring/centring/centring-of-quads';
	import Field from '$lib/ui/Field.svelte';
	import type { ScaleChoice, ScanBook } from './scan-book.svelte';
	import ScanGuides from './ScanGuides.svelte';
	import ScanResult from './ScanResult.svelte';

	interface Props {
		book: ScanBook;
		/** Photos of the copy, by their content. */
		photos: readonly { readonly id: number; readonly hash: string; readonly side: string | null }[];
		/** Takes what was measured into the worksheet; null: there is none. */
		use: ((side: 'front' | 'back') => void) | null;
	}
	/** A picture is chosen, measured, and its guides moved. */
	let { book, photos, use }: Props = $props();
	const KINDS = { scan: 'a flat scan', photo: 'a photo, at a slant' } as const;
	let sample = $state('');

	async function takePhoto(hash: string) {
		const answer = await fetch(resolve('/api/media/[hash]', { hash }));
		await book.take(await answer.blob(), 'Photo of the copy');
	}
	const setScale = (change: Partial<ScaleChoice>) => book.setScale({ ...book.scale, ...change });
</script>

<section aria-labelledby="scan">
	<h2 id="scan" class="mb-1">Measure a picture</h2>
	<div class="mb-3 flex flex-wrap items-end gap-3">
		<Field label="Scan or photo of the card"
			><input
				type="file"
				accept="image/png,image/jpeg,image/webp"
				class="file-input w-64 max-w-full file-input-sm"
				onchange={({ currentTarget }) => {
					const [file] = currentTarget.files ?? [];
					if (file) void book.take(file, file.name);
				}}
			/></Field
		>
		{#each photos as { id, hash, side } (id)}
			<button class="btn btn-sm" onclick={() => void takePhoto(hash)}
				>Its photo, {side ?? 'front'}</button
			>
		{/each}
		<Field label="Or a drawn scan, to try it">
			<select
				class="select w-64 max-w-full select-sm"
				bind:value={sample}
				onchange={() => {
					const chosen = SAMPLE_SCANS.find(({ key }) => key === sample);
					if (chosen) void book.draw(chosen);
				}}
			>
				<option value="">choose one</option>
				{#each SAMPLE_SCANS as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</Field>
		<Field label="It is">
			<select
				class="select w-48 select-sm"
				bind:value={() => book.kind, (kind) => book.setKind(kind)}
			>
				{#each PICTURE_KINDS as kind (kind)}<option value={kind}>{KINDS[kind]}</option>{/each}
			</select>
		</Field>
		<Field label="Scale by">
			<select
				class="select w-56 select-sm"
				bind:value={() => book.scale.by, (by) => setScale({ by })}
			>
				<option value="none">nothing: centring only</option>
				<option value="width">the card’s own width</option>
				<option value="id-1">an ID-1 card beside it</option>
				<option value="dpi">the scanner’s resolution</option>
			</select>
		</Field>
		{#if book.scale.by === 'width'}
			<Field label="Width, mm"
				><input
					class="input w-24 input-sm"
					type="number"
					min="1"
					max="5000"
					step="0.1"
					value={book.scale.widthMm}
					onchange={({ currentTarget }) => {
						if (currentTarget.valueAsNumber > 0) setScale({ widthMm: currentTarget.valueAsNumber });
					}}
				/></Field
			>
		{:else if book.scale.by === 'dpi'}
			<Field label="Dots an inch"
				><input
					class="input w-24 input-sm"
					type="number"
					min="25"
					max="20000"
					value={book.scale.dpi}
					onchange={({ currentTarget }) => {
						if (currentTarget.valueAsNumber > 0) setScale({ dpi: currentTarget.valueAsNumber });
					}}
				/></Field
			>
		{/if}
	</div>
	{#if book.problem}<p class="mb-2 text-error" role="alert">{book.problem}</p>{/if}
	{#if book.isBusy}
		<p class="mb-2" role="status">
			Measuring … <button class="btn btn-xs" onclick={() => book.cancel()}>Cancel</button>
		</p>
	{/if}
	{#if book.picture}
		<div class="flex flex-wrap items-start gap-6">
			<ScanGuides {book} />
			<ScanResult {book} {use} />
		</div>
	{:else}
		<p class="max-w-2xl text-lg">
			Lay the card flat on a ground that differs from its border, and leave some of it around the
			card. Its edges and the frame within its border are found; you can move every guide.
		</p>
	{/if}
</section>

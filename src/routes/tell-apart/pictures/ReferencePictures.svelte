<script lang="ts">
	import { resolve } from '$app/paths';
	import { PHOTO_SIDES, type PhotoSide } from '$lib/core/copies/photo-side';
	import { thumbnailOf } from '$lib/ui/card-picture/thumbnail';
	import { createReport } from '$lib/ui/change-report.svelte';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { refreshAll } from '$lib/ui/refresh';
	import { send, sendFile } from '$lib/ui/send';

	/** What a thing looks like, front and back, whether it is owned or not. */
	interface Props {
		of: {
			readonly key: string;
			readonly name: string;
			readonly release: string;
			readonly pictures: readonly {
				readonly id: number;
				readonly hash: string;
				readonly side: PhotoSide;
				readonly source: string | null;
			}[];
		};
	}
	let { of }: Props = $props();
	const report = createReport();
	let isBusy = $state(false);

	async function keep(event: SubmitEvent & { currentTarget: HTMLFormElement }) {
		event.preventDefault();
		const page = event.currentTarget;
		const form = new FormData(page);
		const photo = form.get('photo');
		if (!(photo instanceof File) || photo.size === 0) {
			report.refuse([
				{ message: 'no picture is chosen', remedy: 'Choose a PNG, JPEG or WebP file.' }
			]);
			return;
		}
		isBusy = true;
		const query = new URLSearchParams({
			of: of.key,
			side: String(form.get('side')),
			source: String(form.get('source'))
		});
		const outcome = await report.of(sendFile(`/api/reference-pictures?${query}`, photo));
		if (outcome.ok) page.reset();
		await refreshAll();
		isBusy = false;
	}
	async function remove(id: number) {
		await report.of(send('DELETE', `/api/reference-pictures/${id}`));
		await refreshAll();
	}
</script>

<ProblemAlert problems={report.problems} class="mb-4" />
<section class="mb-8 max-w-3xl" aria-labelledby="reference">
	<h2 id="reference" class="mb-1">For reference: {of.name}, {of.release}</h2>
	<p class="mb-2 quiet">What it looks like, whether you own it or not.</p>
	<ul class="mb-3 flex flex-wrap gap-4">
		{#each of.pictures as { id, hash, side, source } (id)}
			<li class="text-sm">
				<a href={resolve('/api/media/[hash]', { hash })} target="_blank" rel="noopener"
					><img
						src={thumbnailOf(hash)}
						alt="{side} of {of.name}"
						class="h-48 rounded-sm object-contain"
					/></a
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
		<a class="prose-link" href="{resolve('/tell-apart')}?of={encodeURIComponent(of.key)}"
			>Lay it beside others</a
		>
	</form>
</section>

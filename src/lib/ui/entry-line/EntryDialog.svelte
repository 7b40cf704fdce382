<script lang="ts">
	import { onMount, tick } from 'svelte';
	import { resolve } from '$app/paths';
	import ProblemList from '../ProblemList.svelte';
	import EntryPane, { type EntryGround } from './EntryPane.svelte';

	/** The entry line over any view: opened by a key, closed by Escape. */
	interface Props {
		releaseKey: string | null;
		/** Called when the line can be typed into, or says why not. */
		onReady: () => void;
		close: () => void;
	}
	let { releaseKey, onReady, close }: Props = $props();
	let dialog: HTMLDialogElement;
	let ground = $state.raw<EntryGround | null>(null);
	let failed = $state('');

	async function load(key: string) {
		const response = await fetch(resolve('/api/releases/[release]/entry', { release: key }));
		if (response.ok) ground = (await response.json()) as EntryGround;
		else failed = 'There is no release to log against yet.';
		await tick();
		onReady();
	}

	onMount(() => {
		dialog.showModal();
		load(releaseKey ?? '-').catch(onReady);
	});
</script>

<dialog
	bind:this={dialog}
	class="modal modal-bottom"
	aria-label="Entry line"
	onclose={close}
	onclick={(event) => event.target === dialog && dialog.close()}
>
	<div class="modal-box mx-auto w-full max-w-4xl">
		{#if ground}
			{#key ground.release.key}
				<EntryPane {ground} change={(key) => void load(key)} />
			{/key}
		{:else if failed}
			<ProblemList problems={[{ message: failed }]} />
		{:else}
			<p class="quiet">Fetching the checklist</p>
		{/if}
		<form method="dialog" class="text-right">
			<button class="btn btn-ghost btn-sm">Close</button>
		</form>
	</div>
</dialog>

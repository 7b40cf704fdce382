<script lang="ts">
	import { keysOf } from './keys';
	import { wordsOf } from '../words';

	let { pathname, open = $bindable() }: { pathname: string; open: boolean } = $props();
	let dialog: HTMLDialogElement;

	$effect(() => {
		if (open) dialog.showModal();
		else dialog.close();
	});
</script>

<dialog
	bind:this={dialog}
	class="modal"
	aria-labelledby="key-help"
	onclose={() => (open = false)}
	onclick={(event) => event.target === dialog && (open = false)}
>
	<div class="modal-box">
		<h2 id="key-help" class="mb-4">Keys and words of this view</h2>
		<dl class="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
			{#each keysOf(pathname) as { keys, does } (keys)}
				<dt><kbd class="kbd px-2 kbd-sm">{keys}</kbd></dt>
				<dd>{does}</dd>
			{/each}
		</dl>
		<h3 class="mt-6 mb-2 font-serif text-lg">Words</h3>
		<dl class="space-y-2">
			{#each wordsOf(pathname) as [word, means] (word)}
				<div>
					<dt class="inline font-semibold">{word}:</dt>
					<dd class="inline">{means}</dd>
				</div>
			{/each}
		</dl>
		<form method="dialog" class="mt-6 text-right"><button class="btn btn-sm">Close</button></form>
	</div>
</dialog>

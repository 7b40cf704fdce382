<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';

	interface Props {
		block: string;
		name: string;
		note: string;
		close: () => void;
	}
	let { block, name, note, close }: Props = $props();
	let form: HTMLFormElement;
	let field: HTMLTextAreaElement;
	$effect(() => {
		field.focus();
	});

	/** Ctrl Enter keeps it, Esc leaves it as it was. */
	function onkeydown(event: KeyboardEvent) {
		event.stopPropagation();
		if (event.key === 'Escape') close();
		else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) form.requestSubmit();
	}
</script>

<form
	bind:this={form}
	method="POST"
	action="?/note"
	class="flex flex-wrap items-end gap-2 pb-2"
	use:enhance={() =>
		async ({ update }) => {
			await update({ reset: false });
			close();
		}}
>
	<input type="hidden" name="block" value={block} />
	<label class="min-w-0 grow text-sm"
		><span class="block quiet">What to tell of {name}</span>
		<textarea
			bind:this={field}
			class="textarea w-full"
			name="note"
			rows="2"
			maxlength="5000"
			value={note}
			{onkeydown}></textarea></label
	>
	<button class="btn btn-sm" title="Ctrl Enter">Keep</button>
	<button type="button" class="btn btn-ghost btn-sm" onclick={close}>Leave it</button>
</form>

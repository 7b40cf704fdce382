<script lang="ts">
	import { tick, type ComponentProps, type Snippet } from 'svelte';
	import { enhance } from '$lib/ui/form-actions';
	import ColumnChoice from './ColumnChoice.svelte';
	import SetChoice from './SetChoice.svelte';

	interface Props {
		/** What a column may hold. */
		columns: readonly string[];
		/** The table as it was read; nothing: none was. */
		table: ComponentProps<typeof ColumnChoice>['table'] | null | undefined;
		/** What the list would do: the sets it names, with what they were taken for. */
		preview: Pick<ComponentProps<typeof SetChoice>, 'sets' | 'names'> | undefined;
		/** Of the button that takes it in. */
		takeIn: string;
		placeholder: string;
		/** What the address of its actions ends with: "&seller=3". */
		query?: string;
		/** Further fields. */
		children: Snippet;
	}
	/** A list as a file or pasted: previewed as often as something is chosen, then taken in. */
	let { columns, table, preview, takeIn, placeholder, query = '', children }: Props = $props();
	let form: HTMLFormElement;
	let previewButton: HTMLButtonElement;
	let isBusy = $state(false);

	/** Reads again with what was chosen. */
	async function again() {
		await tick();
		form.requestSubmit(previewButton);
	}
</script>

<form
	method="POST"
	action="?/preview{query}"
	enctype="multipart/form-data"
	bind:this={form}
	use:enhance={() => {
		isBusy = true;
		return async ({ update }) => {
			await update({ reset: false });
			isBusy = false;
		};
	}}
	class="grid gap-5 lg:grid-cols-2"
>
	<label class="block">
		<span class="mb-1 block text-lg">File</span>
		<input
			type="file"
			name="file"
			class="file-input w-full max-w-sm"
			accept=".csv,.tsv,.txt,.xlsx"
			onchange={again}
		/>
	</label>
	<label class="block">
		<span class="mb-1 block text-lg">Or paste it</span>
		<textarea
			name="text"
			rows="4"
			class="textarea w-full font-mono text-sm"
			{placeholder}
			spellcheck="false"></textarea>
	</label>
	{@render children()}
	{#if table}<ColumnChoice {table} {columns} changed={() => void again()} />{/if}
	{#if preview}<SetChoice
			sets={preview.sets}
			names={preview.names}
			changed={() => void again()}
		/>{/if}
	<div class="flex flex-wrap items-center gap-3 lg:col-span-2">
		<button class={['btn', !preview && 'btn-primary']} bind:this={previewButton} disabled={isBusy}
			>Preview</button
		>
		{#if preview}
			<button class="btn btn-primary" formaction="?/create{query}" disabled={isBusy}
				>{takeIn}</button
			>
		{/if}
		{#if isBusy}<progress class="progress w-32 progress-primary" aria-label="Reading the list"
			></progress>{/if}
	</div>
</form>

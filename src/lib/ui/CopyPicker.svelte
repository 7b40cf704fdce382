<script lang="ts" generics="Found extends PickableCopy">
	import AskForm from './AskForm.svelte';
	import Field from './Field.svelte';
	import type { PickableCopy } from './pickable-copy';

	interface Props {
		/** Resolved: where copies are found. */
		path: string;
		/** What they were found by. */
		words: string;
		found: readonly Found[];
		/** So many more are found than are shown. */
		more: number;
		picked: readonly Found[];
		/** Its state in a word; and whether it cannot be put on the list. */
		told: (copy: Found) => string;
		isBlocked?: (copy: Found) => boolean;
	}
	/** Copies are found by words and put on a list (`PickedCopies`). */
	let {
		path,
		words,
		found,
		more,
		picked = $bindable(),
		told,
		isBlocked = () => false
	}: Props = $props();
	const free = $derived(found.filter(({ id }) => !picked.some((copy) => copy.id === id)));
</script>

<AskForm {path} class="mb-2" ask="Find">
	<Field label="Find copies"
		><input
			name="q"
			type="search"
			class="input w-72 max-w-full input-sm"
			value={words}
			placeholder="card, subject, number"
		/></Field
	>
</AskForm>
{#if words !== '' && found.length === 0}
	<p class="mb-2">No copy is found by “{words}”.</p>
{/if}
<ul class="mb-3 max-h-72 overflow-y-auto" aria-label="Copies that were found">
	{#each free as copy (copy.id)}
		<li class="flex flex-wrap items-center gap-x-3 border-t border-base-300 py-1">
			<button
				type="button"
				class="btn btn-xs"
				disabled={isBlocked(copy)}
				aria-label="Put {copy.name} on the list"
				onclick={() => (picked = [...picked, copy])}>Add</button
			>
			<span class="min-w-48 flex-1"
				>{copy.name}<span class="quiet">, {copy.release}</span>{copy.quantity > 1
					? ` × ${copy.quantity}`
					: ''}</span
			>
			<span class="text-sm quiet">{told(copy)}</span>
		</li>
	{/each}
</ul>
{#if more > 0}
	<p class="mb-3 text-sm quiet">and {more} more: write another word to find fewer.</p>
{/if}

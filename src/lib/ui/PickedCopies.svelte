<script lang="ts" generics="Found extends PickableCopy">
	import type { Snippet } from 'svelte';
	import type { PickableCopy } from './pickable-copy';

	interface Props {
		picked: readonly Found[];
		/** What is asked of each. */
		asked: Snippet<[Found]>;
	}
	/** The copies that were put on a list, as fields of a form: each as `copy`, and what is asked of it. */
	let { picked = $bindable(), asked }: Props = $props();
</script>

<ul class="mb-3 border-l-3 border-primary pl-4" aria-label="On the list">
	{#each picked as copy (copy.id)}
		<li class="flex flex-wrap items-end gap-x-4 gap-y-1 py-1">
			<span class="min-w-48 flex-1 self-center"
				>{copy.name}<span class="quiet">, {copy.release}</span></span
			>
			<input type="hidden" name="copy" value={copy.id} />
			{@render asked(copy)}
			<button
				type="button"
				class="btn btn-ghost btn-xs"
				aria-label="Take {copy.name} off the list"
				onclick={() => (picked = picked.filter(({ id }) => id !== copy.id))}>Take off</button
			>
		</li>
	{/each}
</ul>

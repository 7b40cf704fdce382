<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { ClassValue } from 'svelte/elements';

	interface Props {
		/** What is asked for; stands above what takes the answer. */
		label: string;
		class?: ClassValue;
		/** The input or choice: it is named by the label. */
		children: Snippet;
	}
	let { label, class: shape, children }: Props = $props();
</script>

<label class={['block max-w-full min-w-0', shape]}>
	<span class="block text-sm quiet">{label}</span>
	{@render children()}
</label>

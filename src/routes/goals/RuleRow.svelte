<script lang="ts">
	import type { Snippet } from 'svelte';

	/** One rule: what it is about, how it is decided, and what that means. */
	let { name, meaning, children }: { name: string; meaning: string; children: Snippet } = $props();
</script>

<div
	class="grid items-center gap-x-5 gap-y-1 border-b border-base-300 py-2 sm:grid-cols-[10rem_1fr]"
>
	<span class="font-semibold">{name}</span>
	<div>
		{@render children()}
		<p class="mt-0.5 text-sm quiet">{meaning}</p>
	</div>
</div>

<script lang="ts">
	import type { Snippet } from 'svelte';

	/** For whoever is not known here: a page without a menu, and without what is in the collection. */
	let { children }: { children: Snippet } = $props();
</script>

<main id="main" class="mx-auto max-w-3xl px-4 py-6 sm:px-8">
	<p class="mb-6 flex items-center gap-2 font-serif text-lg">
		<svg viewBox="0 0 32 32" class="size-6" aria-hidden="true"
			><rect width="32" height="32" rx="6" class="fill-primary" /><path
				d="M8 7h7v18H8zM17 7h7v18h-7z"
				class="fill-base-200"
			/><path d="M16 6v20" class="stroke-accent" stroke-width="2" /></svg
		>
		Jade Binder
	</p>
	{@render children()}
</main>

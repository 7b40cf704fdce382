<script lang="ts">
	import type { Snippet } from 'svelte';
	import Brand from './Brand.svelte';

	/** For whoever is not known here: a page without a menu, and without what is in the collection. */
	let { children }: { children: Snippet } = $props();
</script>

<main id="main" class="mx-auto max-w-3xl px-4 py-6 sm:px-8">
	<p class="mb-6 flex items-center gap-2 font-serif text-lg">
		<Brand />
	</p>
	{@render children()}
</main>

<script lang="ts">
	import { resolve } from '$app/paths';
	import SampleButton from './SampleButton.svelte';

	let { title }: { title: string } = $props();
</script>

<section class="mt-10 max-w-xl">
	<h1 class="mb-4">{title}</h1>
	<p class="mb-6 text-lg">
		Everything begins with a checklist: the cards of a release, one by one. Bring one as JSON or
		CSV, or look around first with the sample, the invented Harbour Lights 1994.
	</p>
	<div class="flex flex-wrap gap-3">
		<a class="btn btn-primary" href={resolve('/releases/import')}>Import a checklist</a>
		<a class="btn" href={resolve('/releases/outline')}>Sketch a release</a>
		<SampleButton />
	</div>
</section>

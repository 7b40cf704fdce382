<script lang="ts">
	import { resolve } from '$app/paths';
	import Tabs from '$lib/ui/Tabs.svelte';

	let { children } = $props();
	const tabs = [
		{ path: resolve('/bench'), name: 'Measure and judge' },
		{ path: resolve('/bench/worksheets'), name: 'Worksheets' },
		{ path: resolve('/bench/grading'), name: 'Grading desk' }
	];
</script>

<div class="mt-2 mb-4"><Tabs {tabs} label="At the bench" /></div>
{@render children()}

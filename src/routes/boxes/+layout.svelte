<script lang="ts">
	import { resolve } from '$app/paths';
	import Tabs from '$lib/ui/Tabs.svelte';

	let { data, children } = $props();
	const tabs = $derived([
		{ path: resolve('/boxes'), name: 'Room' },
		{ path: resolve('/boxes/plan'), name: 'Plan' },
		{ path: resolve('/boxes/slips'), name: 'Slips', count: data.tabs.slips },
		{ path: resolve('/boxes/questions'), name: 'Questions', count: data.tabs.questions },
		{ path: resolve('/boxes/out'), name: 'Out', count: data.tabs.out },
		{ path: resolve('/boxes/holders'), name: 'Holders' },
		{ path: resolve('/boxes/supplies'), name: 'Supplies' },
		{ path: resolve('/boxes/labels'), name: 'Labels' },
		{ path: resolve('/boxes/sorting'), name: 'Sort a pile' },
		{ path: resolve('/boxes/shelves'), name: 'Shelves and kinds' }
	]);
</script>

<div class="mt-2 mb-4"><Tabs {tabs} label="Of the boxes" /></div>
{@render children()}

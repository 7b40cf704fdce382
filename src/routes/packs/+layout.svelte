<script lang="ts">
	import { resolve } from '$app/paths';
	import Tabs from '$lib/ui/Tabs.svelte';

	let { children } = $props();
	const tabs = [
		{ path: resolve('/packs'), name: 'What they promise' },
		{ path: resolve('/packs/openings'), name: 'Openings' },
		{ path: resolve('/packs/sealed'), name: 'Sealed' },
		{ path: resolve('/packs/tiles'), name: 'Hidden tiles' },
		{ path: resolve('/packs/last-cards'), name: 'The last cards' }
	];
</script>

<div class="mt-2 mb-4"><Tabs {tabs} label="Of packs" /></div>
{@render children()}

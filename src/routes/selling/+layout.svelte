<script lang="ts">
	import { resolve } from '$app/paths';
	import Tabs from '$lib/ui/Tabs.svelte';

	let { children } = $props();
	const tabs = [
		{ path: resolve('/selling'), name: 'Listings' },
		{ path: resolve('/selling/lots'), name: 'Lots and singles' },
		{ path: resolve('/selling/building'), name: 'Building to sell' },
		{ path: resolve('/selling/parcels'), name: 'Parcels' }
	];
</script>

<div class="mt-2 mb-4"><Tabs {tabs} label="Of selling" /></div>
{@render children()}

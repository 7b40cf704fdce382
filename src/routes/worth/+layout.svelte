<script lang="ts">
	import { resolve } from '$app/paths';
	import Tabs from '$lib/ui/Tabs.svelte';

	let { children } = $props();
	const tabs = [
		{ path: resolve('/worth'), name: 'Ladder' },
		{ path: resolve('/worth/prices'), name: 'Prices' },
		{ path: resolve('/worth/populations'), name: 'Populations' },
		{ path: resolve('/worth/value'), name: 'Value' },
		{ path: resolve('/worth/subject'), name: 'A subject' }
	];
</script>

<div class="mt-2 mb-4"><Tabs {tabs} label="Of worth" /></div>
{@render children()}

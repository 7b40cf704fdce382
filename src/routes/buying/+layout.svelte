<script lang="ts">
	import { resolve } from '$app/paths';
	import Tabs from '$lib/ui/Tabs.svelte';

	let { children } = $props();
	const tabs = [
		{ path: resolve('/buying'), name: 'Finish' },
		{ path: resolve('/buying/prices'), name: 'Price sheet' },
		{ path: resolve('/buying/wants'), name: 'Wants' },
		{ path: resolve('/buying/offers'), name: 'Offers' },
		{ path: resolve('/buying/plan'), name: 'Plan' },
		{ path: resolve('/buying/orders'), name: 'Orders' },
		{ path: resolve('/buying/trades'), name: 'Trades' },
		{ path: resolve('/buying/fair'), name: 'At the fair' }
	];
</script>

<div class="mt-2 mb-4"><Tabs {tabs} label="Of buying" /></div>
{@render children()}

<script lang="ts">
	import { resolve } from '$app/paths';
	import Tabs from '$lib/ui/Tabs.svelte';

	let { data, children } = $props();
	const tabs = $derived([
		{ path: resolve('/tell-apart'), name: 'Look-alikes' },
		{ path: resolve('/tell-apart/second-pass'), name: 'Second pass', count: data.unseen },
		{ path: resolve('/tell-apart/pictures'), name: 'Pictures' },
		{ path: resolve('/tell-apart/packs'), name: 'Packs' },
		{ path: resolve('/tell-apart/trainer'), name: 'Trainer' }
	]);
</script>

<div class="mt-2 mb-4"><Tabs {tabs} label="Of telling apart" /></div>
{@render children()}

<script lang="ts">
	import { resolve } from '$app/paths';
	import Tabs from '$lib/ui/Tabs.svelte';

	let { children } = $props();
	const tabs = [
		{ path: resolve('/journal'), name: 'What was done' },
		{ path: resolve('/journal/backups'), name: 'Backups' },
		{ path: resolve('/journal/access'), name: 'Access' }
	];
</script>

<div class="mt-2 mb-4"><Tabs {tabs} label="Journal" /></div>
{@render children()}

<script lang="ts">
	import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
	import '@fontsource-variable/literata/wght.css';
	import './layout.css';
	import { onMount } from 'svelte';
	import { writeAs } from '$lib/ui/numerals';
	import { provideReleaseNames } from '$lib/ui/release-names.svelte';
	import BarePage from '$lib/ui/shell/BarePage.svelte';
	import { playEarlyInput } from '$lib/ui/shell/early-input';
	import Shell from '$lib/ui/shell/Shell.svelte';

	let { data, children } = $props();
	// svelte-ignore state_referenced_locally
	writeAs(data.locale);
	provideReleaseNames(() => data.releaseNames);
	onMount(playEarlyInput);
</script>

{#if data.role === null}
	<BarePage>{@render children()}</BarePage>
{:else}
	<Shell {data}>{@render children()}</Shell>
{/if}

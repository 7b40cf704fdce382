<script lang="ts">
	import type { ClassValue } from 'svelte/elements';
	import type { Problem } from '$lib/core/problem';
	import ProblemList from './ProblemList.svelte';

	interface Props {
		/** What went wrong; none, and nothing stands there. */
		problems: readonly Problem[] | undefined;
		class?: ClassValue;
		most?: number;
	}
	let { problems, class: shape = 'mb-4', most }: Props = $props();
</script>

{#if problems && problems.length > 0}
	<div class={shape} role="alert"><ProblemList {problems} {...most ? { most } : {}} /></div>
{/if}

<script lang="ts">
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import GoalLine from '$lib/ui/GoalLine.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Goals · Jade Binder</title></svelte:head>

{#if data.releases === 0}
	<EmptyCollection title="No goal yet" />
{:else}
	<header class="mt-4 mb-6 flex flex-wrap items-center justify-between gap-4">
		<h1>Goals</h1>
		<a class="btn btn-primary" href={resolve('/goals/new')}>Make a goal</a>
	</header>
	{#if data.goals.length === 0}
		<p class="max-w-xl text-lg">
			A goal says what complete means to you: base only, with inserts, one parallel run, or all of
			it. From it follows what is missing.
		</p>
	{:else}
		<ul class="divide-y divide-base-300">
			{#each data.goals as goal (goal.id)}<li><GoalLine {goal} /></li>{/each}
		</ul>
	{/if}
{/if}

<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import Field from '$lib/ui/Field.svelte';
	import Sheet from './Sheet.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Price sheet · Jade Binder</title></svelte:head>

{#if data.view}
	{@const view = data.view}
	<header class="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
		<h1>Price sheet</h1>
		<Field label="Of goal">
			<select
				class="select w-80 max-w-full"
				value={String(view.goal.id)}
				onchange={({ currentTarget }) =>
					void goto(resolve(`/buying/prices?goal=${currentTarget.value}`))}
			>
				{#each data.sheets as { id, name } (id)}<option value={String(id)}>{name}</option>{/each}
			</select>
		</Field>
	</header>
	{#key view.goal.id}<Sheet {view} />{/key}
{:else}
	<EmptyCollection title="No price sheet yet" />
{/if}

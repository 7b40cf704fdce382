<script lang="ts">
	import { resolve } from '$app/paths';
	import { page } from '$app/state';
	import { countOf } from '$lib/ui/numerals';
	import Tabs from '$lib/ui/Tabs.svelte';

	let { data, children } = $props();
	const binder = $derived(String(data.binder.id));
	const tabs = $derived([
		{ path: resolve('/binders/[binder=id]', { binder }), name: 'Spread' },
		{ path: resolve('/binders/[binder=id]/moves', { binder }), name: 'Moves', count: data.moves },
		{ path: resolve('/binders/[binder=id]/supplies', { binder }), name: 'Supplies' },
		{ path: resolve('/binders/[binder=id]/print', { binder }), name: 'Print' },
		{ path: resolve('/binders/[binder=id]/show', { binder }), name: 'Show' }
	]);
	const isShow = $derived(page.url.pathname.endsWith('/show'));
</script>

<svelte:head><title>{data.binder.name} · Jade Binder</title></svelte:head>

{#if isShow}
	{@render children()}
{:else}
	<header class="mb-3 flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
		<div class="min-w-0">
			<h1 class="text-2xl wrap-anywhere">{data.binder.name}</h1>
			<p class="quiet">
				{#each data.goals as { id, name }, i (id)}{i > 0 ? ', ' : ''}<a
						class="prose-link"
						href={resolve('/goals/[goal=id]', { goal: String(id) })}>{name}</a
					>{/each}
				· <strong class="font-semibold text-base-content">{data.have}</strong> of {data.need}
				pockets filled · {countOf(data.plan.cardPages, 'page')} on {countOf(
					data.plan.leaves,
					'leaf',
					'leaves'
				)}{#if data.plan.volumes.length > 1}&nbsp;in {data.plan.volumes.length} volumes{/if}{#if data.plan.leastPages !== undefined},
					{data.plan.leastPages === data.plan.cardPages
						? 'the fewest there can be'
						: `${data.plan.leastPages} at the least`}{/if}
			</p>
		</div>
		<Tabs {tabs} label="Of this binder" />
	</header>
	{@render children()}
{/if}

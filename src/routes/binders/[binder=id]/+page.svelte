<script lang="ts">
	import { enhance } from '$app/forms';
	import { resolve } from '$app/paths';
	import { PAGE_KINDS, pageKindOf } from '$lib/core/binder/page-kind';
	import { countOf } from '$lib/ui/numerals';
	import BinderSpread from '$lib/ui/spread/BinderSpread.svelte';

	let { data } = $props();
	const kind = $derived(pageKindOf(data.binder.layout.pageKind));
	const pockets = $derived(new Map(data.pockets.map((pocket) => [pocket.slot, pocket])));
	let layoutForm: HTMLFormElement;
	const relay = () => layoutForm.requestSubmit();
</script>

<svelte:head><title>{data.binder.name} · Jade Binder</title></svelte:head>

<header class="mb-3 flex flex-wrap items-end justify-between gap-x-8 gap-y-2">
	<div>
		<h1 class="text-2xl wrap-break-word">{data.binder.name}</h1>
		<p class="quiet">
			<a class="prose-link" href={resolve('/goals/[goal=id]', { goal: String(data.goal.id) })}
				>{data.goal.name}</a
			>
			· <strong class="font-semibold text-base-content">{data.have}</strong> of {data.pockets
				.length}
			pockets filled · {countOf(data.plan.pages.length, 'page')} on {countOf(
				data.plan.leaves,
				'leaf',
				'leaves'
			)}{#if data.plan.leastPages !== undefined}, {data.plan.leastPages === data.plan.pages.length
					? 'the fewest there can be'
					: `${data.plan.leastPages} at the least`}{/if}
		</p>
	</div>
	<form
		method="POST"
		action="?/layout"
		bind:this={layoutForm}
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
		class="flex flex-wrap items-end gap-3"
	>
		<label class="block"
			><span class="block text-sm quiet">Pages</span>
			<select
				class="select w-24 select-sm"
				name="pageKind"
				value={data.binder.layout.pageKind}
				onchange={relay}
			>
				{#each PAGE_KINDS as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select></label
		>
		<label class="block"
			><span class="block text-sm quiet">Order</span>
			<select
				class="select w-52 select-sm"
				name="order"
				value={data.binder.layout.order}
				onchange={relay}
			>
				<option value="number">Number</option>
				<option value="rarity">Rarity class, then alphabet</option>
				<option value="subject">Subject by subject, paired</option>
			</select></label
		>
		<label class="block"
			><span class="block text-sm quiet">Each section</span>
			<select
				class="select w-44 select-sm"
				name="blockStart"
				value={data.binder.layout.blockStart}
				onchange={relay}
			>
				<option value="new-page">starts a new page</option>
				<option value="runs-on">runs on</option>
			</select></label
		>
		<noscript><button class="btn btn-sm">Lay out</button></noscript>
	</form>
</header>

{#if data.plan.pages.length === 0}
	<p class="max-w-xl text-lg">The goal asks for no card, so there is nothing to lay.</p>
{:else}
	<BinderSpread plan={data.plan} {kind} {pockets} />
{/if}

<form method="POST" action="?/remove" class="mt-6 text-right" use:enhance>
	<button
		class="btn btn-ghost text-error btn-sm"
		title="Takes the plan away; no copy is touched. Undo brings it back.">Remove binder</button
	>
</form>

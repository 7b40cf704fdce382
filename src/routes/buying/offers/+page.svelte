<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import Field from '$lib/ui/Field.svelte';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import PracticeMarket from '../PracticeMarket.svelte';
	import NextSeller from './NextSeller.svelte';
	import OfferPane from './OfferPane.svelte';
	import RandomLot from './RandomLot.svelte';
	import SellerForm from './SellerForm.svelte';

	let { data, form } = $props();
	const problemsOf = (of: string) => (form && form.form === of ? form.problems : undefined);
</script>

<svelte:head><title>Offers · Jade Binder</title></svelte:head>

<h1 class="mb-2">Offers</h1>
{#if data.sellers.length === 0}
	<p class="mb-4 max-w-2xl text-lg">
		Write down who sells and what sending costs there; then type what they offer while you look at
		their list.
	</p>
	<SellerForm seller={null} currency={data.currency} problems={problemsOf('new seller')} />
{:else}
	{#if data.next.length > 0}<NextSeller next={data.next} currency={data.currency} />{/if}
	<nav class="mb-3 flex flex-wrap gap-1" aria-label="Sellers">
		{#each data.sellers as { id, name, offers } (id)}
			<a
				class={['btn btn-sm', data.seller?.id === id ? 'btn-primary' : 'btn-ghost']}
				aria-current={data.seller?.id === id ? 'page' : undefined}
				href={resolve(`/buying/offers?seller=${id}`)}
				>{name}<span class="font-normal opacity-80">{offers}</span></a
			>
		{/each}
	</nav>
	{#if data.seller}
		{@const seller = data.seller}
		{#key seller.id}
			<p class="mb-3 text-sm">
				{seller.directText === ''
					? 'Does not send straight'
					: `Straight ${seller.directText}`}{seller.toHubText === ''
					? ''
					: `; into the hub ${seller.toHubText}`}{seller.days === null
					? ''
					: `; ${countOf(seller.days, 'day')}`}{seller.trust === null
					? ''
					: `; trust ${seller.trust} of 5`}{seller.note ? `. ${seller.note}` : ''}
			</p>
			{#if data.ground}<OfferPane {data} {seller} ground={data.ground} />{/if}
			{#if data.ground}
				<details class="mt-6">
					<summary class="font-semibold">An unsorted lot of {data.ground.release.name}</summary>
					<RandomLot {...data.ground.lot} currency={seller.currency} />
				</details>
			{/if}
			<details class="mt-3" open={problemsOf('seller') !== undefined}>
				<summary class="font-semibold">Change {seller.name}</summary>
				<div class="mt-2">
					<SellerForm {seller} currency={data.currency} problems={problemsOf('seller')} />
				</div>
			</details>
		{/key}
	{/if}
	<details class="mt-3" open={problemsOf('new seller') !== undefined}>
		<summary class="font-semibold">Another seller</summary>
		<div class="mt-2">
			<SellerForm seller={null} currency={data.currency} problems={problemsOf('new seller')} />
		</div>
	</details>
{/if}
<PracticeMarket isHere={data.sellers.some(({ market }) => market !== null)} />
<details class="mt-3" open={problemsOf('hub') !== undefined}>
	<summary class="font-semibold"
		>The hub{data.hub
			? `: ${data.hub.name}, ${data.hub.forwardingText}`
			: ': none. It gathers orders of many sellers and forwards them in one parcel'}</summary
	>
	<ProblemAlert problems={problemsOf('hub')} class="my-2" />
	<form
		method="POST"
		action="?/hub"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
		class="mt-2 flex flex-wrap items-end gap-3"
	>
		<Field label="Name (empty: none)"
			><input
				name="name"
				class="input w-48 input-sm"
				maxlength="200"
				value={data.hub?.name ?? ''}
			/></Field
		>
		<Field label="In"
			><input
				name="currency"
				class="input w-16 input-sm"
				maxlength="3"
				value={data.hub?.currency ?? data.currency}
			/></Field
		>
		<Field label="Forwarding: 1–20: 4.50; 21–75: 6.80; 76–150: 9"
			><input
				name="forwarding"
				class="input w-96 max-w-full input-sm"
				value={data.hub?.forwardingText ?? ''}
			/></Field
		>
		<Field label="Days to here"
			><input
				name="days"
				class="input w-20 input-sm"
				inputmode="numeric"
				value={data.hub?.days ?? ''}
			/></Field
		>
		<button class="btn btn-sm">Keep the hub</button>
	</form>
</details>

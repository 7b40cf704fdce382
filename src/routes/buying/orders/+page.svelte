<script lang="ts">
	import { resolve } from '$app/paths';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import PracticeMarket from '../PracticeMarket.svelte';
	import Arrived from './Arrived.svelte';
	import BidLine from './BidLine.svelte';
	import BoughtForm from './BoughtForm.svelte';
	import HubParcel from './HubParcel.svelte';
	import OrderCard from './OrderCard.svelte';
	import { CHECKED_IN, createOrderBook } from './order-book.svelte';

	let { data } = $props();
	const book = createOrderBook();
	const money = (minor: number) => formatMoney(minor, data.currency);
	const sums = $derived(
		[
			{ name: 'under way', minor: data.committed.ordersMinor },
			{ name: 'bid', minor: data.committed.bidsMinor },
			{ name: 'asked back', minor: data.committed.claimsMinor }
		].filter(({ minor }) => minor > 0)
	);
	const atMarket = $derived(data.underWay.filter(({ reference }) => reference !== null).length);
	const coming = $derived(data.underWay.reduce((sum, { cards }) => sum + cards, 0));
	const form = $derived({
		releases: data.releases,
		currency: data.currency,
		today: data.today,
		book
	});
</script>

<svelte:head><title>Orders · Jade Binder</title></svelte:head>

<header class="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
	<h1>Orders</h1>
	<p data-testid="committed">
		{#each sums as { name, minor }, i (name)}{i > 0 ? ', ' : ''}<strong
				class="font-serif text-2xl font-medium">{money(minor)}</strong
			>
			<span class="quiet">{name}</span>{/each}
	</p>
</header>
<ProblemAlert problems={data.problems} class="mb-3" />
<p role="status" class="min-h-6 text-sm text-primary">
	{book.told}{#if book.told === CHECKED_IN}:
		<a class="prose-link" href={resolve('/boxes/slips')}>put it away</a>{/if}
</p>
{#if data.hub}
	<HubParcel hub={data.hub} orders={data.underWay.filter(({ way }) => way === 'hub')} {book} />
{/if}
<section class="mb-6" aria-labelledby="under-way">
	<h2 id="under-way" class="mb-1 font-serif text-xl">
		Under way <span class="text-sm quiet">{countOf(coming, 'card')}, wanted no more</span>
	</h2>
	{#each data.underWay as order (order.id)}
		<OrderCard {order} {book} />
	{:else}
		<p>
			Nothing is on its way. What is ordered at <a class="prose-link" href={resolve('/buying/plan')}
				>the plan</a
			> stands here until it is checked in.
		</p>
	{/each}
</section>
{#if atMarket > 0}<div class="mb-6"><PracticeMarket isHere orders={atMarket} /></div>{/if}
<section class="mb-6" aria-labelledby="bids">
	<h2 id="bids" class="mb-1 font-serif text-xl">Open bids</h2>
	{#if data.bids.length > 0}
		<ul>
			{#each data.bids as bid (bid.id)}<BidLine {bid} today={data.today} {book} />{/each}
		</ul>
	{/if}
	<details>
		<summary>Record a bid</summary>
		<BoughtForm kind="bid" {...form} />
	</details>
</section>
<section class="mb-6" aria-labelledby="here">
	<h2 id="here" class="mb-1 font-serif text-xl">Here</h2>
	<details>
		<summary>Record something taken along, or a lot for one sum</summary>
		<BoughtForm kind="pick-up" {...form} />
	</details>
	<ul class="mt-2">
		{#each data.here as order (order.id)}<Arrived {order} {book} />{/each}
	</ul>
	{#if data.earlier > 0}<p class="quiet">and {countOf(data.earlier, 'order')} before</p>{/if}
</section>

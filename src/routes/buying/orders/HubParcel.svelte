<script lang="ts">
	import type { ListedOrder, OrdersView } from '$lib/server/buying/orders/orders-view';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import type { OrderBook } from './order-book.svelte';

	interface Props {
		hub: NonNullable<OrdersView['hub']>;
		orders: readonly ListedOrder[];
		book: OrderBook;
	}
	/** What lies at the hub: whether to have it forwarded now, or to wait. */
	let { hub, orders, book }: Props = $props();
	const money = (minor: number | null) =>
		minor === null || !Number.isFinite(minor) ? 'not possible' : formatMoney(minor, hub.currency);
	const nameOf = $derived(new Map(orders.map(({ id, from }) => [String(id), from])));
	const { advice } = $derived(hub);
	const isWait = $derived(advice.bestDays > 0);
	const names = (keys: readonly string[]) => keys.map((key) => nameOf.get(key) ?? key).join(', ');
</script>

<section class="mb-5 border-l-3 border-primary pl-4" aria-labelledby="hub" data-testid="hub">
	<h2 id="hub" class="font-serif text-xl">{hub.name}</h2>
	<p>
		{#if hub.ready.length === 0}
			Nothing lies there yet; {countOf(orders.length, 'order')} on the way to it.
		{:else if isWait}
			<strong>Wait {countOf(advice.bestDays, 'day')}: that saves {money(advice.savesMinor)}.</strong
			>
		{:else}
			<strong>Ship now: waiting saves nothing.</strong>
		{/if}
	</p>
	<ul class="my-1 text-sm">
		{#each advice.waits as { days, parcels, totalMinor } (days)}
			{#if parcels.length > 0}
				<li class={days === advice.bestDays ? 'font-semibold' : ''}>
					{days === 0 ? 'Now' : `In ${countOf(days, 'day')}`}: {names(parcels)}, {money(totalMinor)} altogether
				</li>
			{/if}
		{/each}
		{#if advice.unknown.length > 0}
			<li class="quiet">Nobody knows when: {names(advice.unknown)}, reckoned by itself</li>
		{/if}
	</ul>
	<ProblemAlert problems={book.problemsOf('hub')} class="my-2" />
	{#if hub.ready.length > 0}
		<button
			class={['btn btn-sm', !isWait && 'btn-primary']}
			onclick={() => void book.ship(hub.ready)}
			>Ask for {countOf(hub.cards, 'card')}, {money(advice.nowMinor)}</button
		>
	{/if}
</section>

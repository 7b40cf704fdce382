<script lang="ts">
	import { nextState, statesOf } from '$lib/core/buying/orders/order-state';
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { ListedOrder } from '$lib/server/buying/orders/orders-view';
	import { countOf, formatDay, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import CheckIn from './CheckIn.svelte';
	import type { OrderBook } from './order-book.svelte';

	/** An order that is under way: where it is, what comes next, and its check-in. */
	let { order, book }: { order: ListedOrder; book: OrderBook } = $props();
	let isCheckingIn = $state(false);
	const states = $derived(statesOf(order.way));
	const reached = $derived(states.indexOf(order.state));
	const next = $derived(nextState(order));
	const money = (minor: number) => formatMoney(minor, order.currency);
	/** What is said where an order goes on. */
	const ON = {
		'being filled': 'It is paid',
		'on the way to the hub': 'It is on the way to the hub',
		'at the hub': 'It is at the hub',
		'shipment asked for': 'Ask for shipment',
		shipped: 'It is shipped'
	} as const;
	const goOn = $derived(next && next in ON ? ON[next as keyof typeof ON] : null);
	const move = () => {
		if (next === 'shipment asked for') void book.ship([order.id]);
		else if (next) void book.move(order.id, next);
	};
	const kinds = $derived([...new Set(order.lines.map(({ release }) => release))]);
</script>

<section
	class="break-inside-avoid border-t-2 border-base-300 py-3"
	aria-label="Order at {order.from}"
	data-testid="order"
>
	<header class="flex flex-wrap items-baseline justify-between gap-x-4">
		<h3 class="font-serif text-xl">{order.from}</h3>
		<span
			><strong>{countOf(order.cards, 'card')}</strong>, {money(order.paidMinor)}
			<span class="text-sm quiet"
				>of it {money(order.postageMinor + order.forwardingMinor)} postage</span
			></span
		>
	</header>
	<p class="text-sm quiet">
		ordered {formatDay(order.orderedOn)}{order.expectedOn
			? `, expected ${formatDay(order.expectedOn)}`
			: ''}{#if order.lateDays > 0}<strong class="text-error"
				>, {countOf(order.lateDays, 'day')} late</strong
			>{/if}{order.note ? ` · ${order.note}` : ''}
	</p>
	<ol class="my-2 flex flex-wrap gap-x-1 gap-y-1 text-sm" aria-label="Where it is">
		{#each states as state, i (state)}
			<li
				aria-current={state === order.state ? 'step' : undefined}
				class={[
					'border-b-3 px-1.5 pb-0.5',
					i < reached && 'border-primary/50',
					i === reached && 'border-primary font-semibold',
					(i > reached || reached < 0) && 'border-base-300 text-base-content/70'
				]}
			>
				{state}
			</li>
		{/each}
		{#if order.state === 'trouble'}
			<li aria-current="step" class="border-b-3 border-error px-1.5 pb-0.5 font-semibold">
				trouble since {formatDay(order.stateOn)}
			</li>
		{/if}
	</ol>
	<details class="text-sm">
		<summary>{countOf(order.lines.length, 'line')} of {kinds.join(', ')}</summary>
		<ul class="columns-1 gap-6 pl-4 md:columns-2">
			{#each order.lines as line (line.id)}
				<li class="break-inside-avoid">
					{line.name}{line.quantity > 1 ? ` × ${line.quantity}` : ''}
					<span class="quiet">{line.condition ?? (line.grade ? `graded ${line.grade}` : '')}</span>
					{money(line.minor)}
				</li>
			{/each}
		</ul>
	</details>
	<ProblemAlert problems={book.problemsOf(book.ofOrder(order.id))} class="my-2" />
	{#if isCheckingIn}
		<CheckIn {order} {book} close={() => (isCheckingIn = false)} />
	{:else}
		<div class="mt-2 flex flex-wrap items-center gap-2">
			{#if goOn}<button class="btn btn-sm" onclick={move}>{goOn}</button>{/if}
			<button
				class={['btn btn-sm', next === 'here' && 'btn-primary']}
				onclick={() => (isCheckingIn = true)}>Check in</button
			>
			{#if order.state !== 'trouble'}
				<button class="btn btn-ghost btn-sm" onclick={() => void book.move(order.id, 'trouble')}
					>Something is wrong</button
				>
			{:else}
				{#each states.slice(0, -1) as state (state)}
					<button class="btn btn-ghost btn-sm" onclick={() => void book.move(order.id, state)}
						>{state}</button
					>
				{/each}
			{/if}
			<label class="ml-auto flex items-center gap-2 text-sm"
				><span class="quiet">postage</span>
				<input
					class="input w-20 text-right input-xs"
					inputmode="decimal"
					value={formatMinor(order.postageMinor, order.currency)}
					onchange={({ currentTarget }) =>
						void book.postage(order.id, currentTarget.value, order.currency)}
				/></label
			>
			<label class="flex items-center gap-2 text-sm"
				><span class="quiet">expected</span>
				<input
					type="date"
					class="input w-36 input-xs"
					value={order.expectedOn ?? ''}
					onchange={({ currentTarget }) => void book.expect(order.id, currentTarget.value || null)}
				/></label
			>
			<button class="btn btn-ghost text-error btn-sm" onclick={() => void book.cancel(order.id)}
				>Take it back</button
			>
		</div>
	{/if}
</section>

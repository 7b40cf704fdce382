<script lang="ts">
	import { onMount, tick } from 'svelte';
	import { resolve } from '$app/paths';
	import { formQuery } from '$lib/ui/form-query';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import PlanBeside from './PlanBeside.svelte';
	import PlanOrders from './PlanOrders.svelte';
	import { createPlanSearch } from './plan-search.svelte';

	let { data } = $props();
	const search = createPlanSearch();
	let form = $state<HTMLFormElement>();
	/** By seller: in the plan in any case, or out of it. */
	let ways = $state<Record<number, string>>({});
	const run = () => void (form && search.run(formQuery(form)));
	onMount(() => {
		if (form) run();
	});
	const PHASES = {
		first: 'A first plan',
		bounds: 'Looking for what no plan can beat',
		shaking: 'Trying other sellers',
		proof: 'Proving it'
	} as const;
	const plan = $derived(search.best);
	const bound = $derived(search.view?.boundMinor ?? search.told?.boundMinor ?? 0);
	const sure = $derived.by(() => {
		const { view } = search;
		if (!plan) return '';
		if (view?.budget) {
			return view.isProven
				? 'No plan within the budget gets more.'
				: `It gets ${Math.floor((100 * view.budget.weight) / Math.max(1e-9, view.budget.mostWeight))} % of the most that the budget could.`;
		}
		if (view?.isProven) return 'No plan is cheaper.';
		const gap = plan.totalMinor === 0 ? 0 : (plan.totalMinor - bound) / plan.totalMinor;
		return bound > 0
			? `No plan costs less than ${formatMoney(bound, data.currency)}: at most ${(100 * Math.max(0, gap)).toFixed(1)} % could be saved.`
			: '';
	});
</script>

<svelte:head><title>Plan · Jade Binder</title></svelte:head>

<h1 class="mb-2">Plan</h1>
{#if data.goals.length === 0}
	<p class="max-w-xl text-lg">
		Nothing is wanted yet. Say at <a class="prose-link" href={resolve('/buying')}
			>what finishing takes</a
		> which goals are to be finished.
	</p>
{:else if data.sellers.every(({ offers }) => offers === 0)}
	<p class="max-w-xl text-lg">
		There is no offer yet. <a class="prose-link" href={resolve('/buying/offers')}
			>Write down what sellers offer</a
		>: then the cheapest way to all of it is worked out here.
	</p>
{:else}
	<form
		bind:this={form}
		onsubmit={(event) => {
			event.preventDefault();
			run();
		}}
		onchange={() => void tick().then(run)}
		class="mb-4 flex flex-wrap items-end gap-x-4 gap-y-2"
	>
		<Field label="At most sellers"
			><input
				name="sellers"
				class="input w-20 input-sm"
				inputmode="numeric"
				placeholder="any"
			/></Field
		>
		<Field label="Here within days"
			><input
				name="days"
				class="input w-20 input-sm"
				inputmode="numeric"
				placeholder="any"
			/></Field
		>
		<Field label="Leave out above"
			><input
				name="leaveOut"
				class="input w-24 input-sm"
				inputmode="decimal"
				placeholder="never"
			/></Field
		>
		<Field label="For at most"
			><input
				name="budget"
				class="input w-24 input-sm"
				inputmode="decimal"
				placeholder="no budget"
			/></Field
		>
		<Field label="Which is to get on">
			<select name="goal" class="select w-48 select-sm">
				<option value="">all, by priority</option>
				{#each data.goals as { id, name } (id)}<option value={id}>{name}</option>{/each}
			</select>
		</Field>
		<details class="w-full text-sm">
			<summary>Sellers in or out</summary>
			<ul class="mt-1 columns-2 gap-6 md:columns-4">
				{#each data.sellers.filter(({ offers }) => offers > 0) as { id, name } (id)}
					<li class="flex items-center gap-2 py-0.5">
						<select
							class="select w-24 select-xs"
							aria-label="{name} in the plan"
							bind:value={() => ways[id] ?? '', (way) => (ways[id] = way)}
						>
							<option value="">may be</option>
							<option value="with">in</option>
							<option value="without">out</option>
						</select>
						{#if ways[id]}<input type="hidden" name={ways[id]} value={id} />{/if}
						{name}
					</li>
				{/each}
			</ul>
		</details>
		{#if data.bids > 0}
			<label class="flex items-center gap-2 text-sm"
				><input type="checkbox" class="checkbox checkbox-sm" name="bids" value="out" />
				Leave out what {countOf(data.bids, 'open bid')} may bring</label
			>
		{/if}
		<button class="btn btn-primary btn-sm" disabled={search.isRunning}>Plan anew</button>
		{#if search.isRunning}<button type="button" class="btn btn-sm" onclick={search.cancel}
				>Stop, take the best so far</button
			>{/if}
	</form>
	<p role="status" data-testid="plan-progress" class="mb-2 min-h-6 text-sm text-primary">
		{#if search.isRunning}{PHASES[search.told?.phase ?? 'first']}{search.told
				? `: ${formatMoney(search.told.totalMinor, data.currency)}, not below ${formatMoney(search.told.boundMinor, data.currency)}`
				: ''}{:else}{search.problem}{/if}
	</p>
	<ProblemAlert problems={[...(search.view?.problems ?? []), ...search.problems]} class="mb-3" />
	{#if search.ordered.size > 0}
		<p class="mb-3">
			What is ordered stands under <a class="prose-link" href={resolve('/buying/orders')}>Orders</a>
			until it is checked in.
		</p>
	{/if}
	{#if plan}
		<header class="mb-4 flex flex-wrap items-baseline gap-x-6 gap-y-1" data-testid="plan-total">
			<strong class="font-serif text-4xl font-medium"
				>{formatMoney(plan.totalMinor, data.currency)}</strong
			>
			<span
				>for <strong>{countOf(plan.covered, 'card')}</strong> from {countOf(
					plan.orders.length,
					'seller'
				)}: {formatMoney(plan.cardsMinor, data.currency)} cards, {formatMoney(
					plan.postageMinor,
					data.currency
				)} postage{plan.forwardingMinor > 0
					? `, ${formatMoney(plan.forwardingMinor, data.currency)} from the hub`
					: ''}.</span
			>
			<span class="quiet" data-testid="plan-sure">{sure}</span>
		</header>
		<div class="gap-10 lg:flex">
			<div class="min-w-0 flex-1">
				<PlanOrders
					{plan}
					currency={data.currency}
					place={search.view ? (order) => void search.place(order) : undefined}
					ordered={search.ordered}
				/>
			</div>
			{#if search.view}<PlanBeside view={search.view} />{/if}
		</div>
	{/if}
{/if}

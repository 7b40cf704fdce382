<script lang="ts">
	import { groups } from 'd3-array';
	import type { NamedPlan } from '$lib/server/buying/plan/plan-view';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	/** A plan order by order: what is ordered where, and why this card from there. */
	interface Props {
		plan: NamedPlan;
		currency: string;
		/** Orders one; left out while the plan is still searched. */
		place?: ((order: NamedPlan['orders'][number]) => void) | undefined;
		/** Keys of the sellers that were ordered at since. */
		ordered?: ReadonlySet<string>;
	}
	let { plan, currency, place, ordered }: Props = $props();
	const money = (minor: number) => formatMoney(minor, currency);
	const WHY = {
		'nobody offers it': 'nobody offers it',
		'too few are offered': 'too few are offered',
		'not good enough': 'only in a condition that is not good enough',
		'above its limit': 'only above the most you would pay',
		'not open': 'only at sellers that this plan leaves out',
		'not worth it': 'it costs more than it may'
	} as const;
	/** What is not got, the same reason together. */
	const left = $derived(groups(plan.left, ({ why }) => why));
</script>

{#each plan.orders as order, i (i)}
	<section
		class="mb-5 break-inside-avoid"
		aria-label="Order at {plan.names.sellers[order.seller]}"
		data-testid="plan-order"
	>
		<h2 class="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-base-300 pb-1">
			<span class="font-serif text-xl"
				>{plan.names.sellers[order.seller]}
				<span class="text-sm quiet">{order.way === 'hub' ? 'by the hub' : 'straight'}</span></span
			>
			<span class="text-base"
				><strong>{countOf(order.cards, 'card')}</strong>, {money(order.cardsMinor)} and {money(
					order.postageMinor
				)} postage
				{#if ordered?.has(order.seller)}<span class="ml-2 text-sm text-primary">✓ ordered</span
					>{:else if place}<button
						class="btn ml-2 font-sans btn-sm print:hidden"
						title="Its cards are on their way then, and wanted no more; undo takes it back"
						onclick={() => place(order)}>It is ordered</button
					>{/if}</span
			>
		</h2>
		<ul class="columns-1 gap-8 md:columns-2">
			{#each groups(order.lines, ({ want }) => plan.names.wants[want]?.of ?? '') as [of, lines], k (k)}
				<li class="break-inside-avoid-column pt-1.5 text-sm quiet">{of}</li>
				{#each lines as line (line.offer + line.want)}
					{@const want = plan.names.wants[line.want]}
					{@const offer = plan.names.offers[line.offer]}
					<li class="flex break-inside-avoid items-baseline gap-x-3 py-0.5">
						<span class="min-w-0 flex-1">
							<strong class="font-serif font-medium">{want?.name}</strong>
							{#if want?.title !== want?.name}{want?.title}{/if}
							{#if line.quantity > 1}× {line.quantity}{/if}
							<span class="block text-xs quiet"
								>{offer?.condition ? `${offer.condition}; ` : ''}{line.next
									? `${plan.names.offers[line.next.offer]?.seller ?? ''} would be ${money(line.next.dearerMinor)} dearer`
									: 'nobody else has it'}</span
							>
						</span>
						<span class="text-right">{money(line.minor)}</span>
					</li>
				{/each}
			{/each}
			{#each order.bundles as key (key)}
				<li class="py-1">
					<strong>Bundle</strong> of {countOf(plan.names.bundles[key]?.cards ?? 0, 'card')}, {money(
						plan.names.bundles[key]?.minor ?? 0
					)}
				</li>
			{/each}
		</ul>
	</section>
{/each}
{#if plan.left.length > 0}
	<section aria-labelledby="left-out" class="mb-5">
		<h2 id="left-out" class="mb-1 font-serif text-xl">
			Not got: {countOf(
				plan.left.reduce((sum, { count }) => sum + count, 0),
				'card'
			)}
		</h2>
		{#each left as [why, some] (why)}
			<details class="py-1">
				<summary>{countOf(some.length, 'want')}: {WHY[why]}</summary>
				<p class="pl-4 text-sm quiet">
					{some
						.map(({ want }) => plan.names.wants[want])
						.map((want) => (want ? `${want.name} (${want.of})` : ''))
						.filter(Boolean)
						.join('; ')}
				</p>
			</details>
		{/each}
	</section>
{/if}

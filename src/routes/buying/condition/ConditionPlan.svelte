<script lang="ts">
	import type { ConditionView } from '$lib/server/buying/condition/condition-view';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	interface Props {
		title: string;
		plan: NonNullable<Extract<ConditionView, { best: unknown }>['best']>;
		currency: string;
	}
	/** Which cards in which condition. */
	let { title, plan, currency }: Props = $props();
</script>

<section class="min-w-0 flex-1" data-testid="condition-plan">
	<h2 class="font-serif text-xl">{title}</h2>
	<p class="mb-1">
		<strong class="font-serif text-3xl font-medium">{formatMoney(plan.minor, currency)}</strong>
		<span class="quiet">{plan.average.toFixed(2)} on average</span>
	</p>
	<ul>
		{#each plan.parts as { condition, cards } (condition)}
			<li class="border-t border-base-300 py-1">
				<details>
					<summary><strong>{condition}</strong>: {countOf(cards.length, 'card')}</summary>
					<p class="pl-4 text-sm quiet">{cards.join(', ')}</p>
				</details>
			</li>
		{/each}
	</ul>
</section>

<script lang="ts">
	import type { MixedPlan } from '$lib/core/storage/sorting/plan-mixed-sorting';
	import { countOf } from '$lib/ui/numerals';
	import { minutes, WAY_NAMES } from './way-names';

	/** A mixed pile, dealing by dealing, and then set by set. */
	let { plan, name }: { plan: MixedPlan; name: string } = $props();
	const BY = { maker: 'maker', year: 'year', set: 'set' } as const;
</script>

<section class="mb-8 max-w-3xl" aria-labelledby="mixed">
	<h2 id="mixed" class="mb-2">{name}, mixed</h2>
	<p class="mb-3 text-lg" role="status">
		About <strong class="text-2xl font-semibold">{minutes(plan.seconds)}</strong> in all{plan.thick >
		0
			? `; ${countOf(plan.thick, 'thick card')} lie apart`
			: ''}.
	</p>
	<ol class="space-y-3">
		{#each plan.steps as step, i (i)}
			<li class="border-t border-base-300 pt-2">
				<span class="flex justify-between gap-4">
					<span
						><strong>{i + 1}</strong>
						{step.of === '' ? 'The whole pile' : step.of}: {countOf(step.cards, 'card')}
						{step.by.length > 0
							? `by ${step.by.map((level) => BY[level]).join(', then ')}`
							: ', thick ones apart'}{step.passes.length > 1
							? `, in ${countOf(step.passes.length, 'pass', 'passes')}`
							: ''}</span
					><span class="shrink-0 italic">{minutes(step.seconds)}</span>
				</span>
				<span class="mt-1 flex flex-wrap gap-2">
					{#each step.piles as pile (pile.name)}
						<span class="border-2 border-t-0 border-base-content/40 px-2 py-0.5 text-sm"
							>{pile.name} <strong>{pile.cards}</strong></span
						>
					{/each}
				</span>
			</li>
		{/each}
		{#each plan.sets as set, i (set.key)}
			<li class="flex justify-between gap-4 border-t border-base-300 pt-2">
				<span
					><strong>{plan.steps.length + i + 1}</strong>
					{set.name}: {countOf(set.cards, 'card')} by {set.order}. {set.cards > 1
						? WAY_NAMES[set.plan.way]
						: 'It lies as it is'}{set.cards > 1 &&
					set.plan.piles.length > 0 &&
					set.plan.way !== 'merge'
						? ` (${set.plan.piles.join(' × ')})`
						: ''}</span
				><span class="shrink-0 italic">{minutes(set.plan.seconds)}</span>
			</li>
		{/each}
	</ol>
</section>

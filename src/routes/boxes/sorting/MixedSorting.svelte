<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { MixedPlan } from '$lib/core/storage/sorting/plan-mixed-sorting';
	import { countOf } from '$lib/ui/numerals';
	import { minutes, WAY_NAMES } from './way-names';

	/** A mixed pile, dealing by dealing, and then set by set. */
	interface Props {
		plan: MixedPlan;
		name: string;
		/** Id of the pile in its tray. */
		pile: number;
		/** Steps that are done, by name. */
		done: readonly string[];
	}
	let { plan, name, pile, done }: Props = $props();
	const isDone = (step: string) => done.includes(step);
	const nameOf = ({ of, by }: MixedPlan['steps'][number]) =>
		`${of === '' ? 'The whole pile' : of}${by.length > 0 ? '' : ', thick ones apart'}`;
	/** What is still to be done. */
	const left = $derived(
		plan.steps.reduce((sum, step) => sum + (isDone(nameOf(step)) ? 0 : step.seconds), 0) +
			plan.sets.reduce((sum, set) => sum + (isDone(set.key) ? 0 : set.plan.seconds), 0)
	);
	const count = $derived(
		plan.steps.filter((step) => isDone(nameOf(step))).length +
			plan.sets.filter((set) => isDone(set.key)).length
	);
	const BY = { maker: 'maker', year: 'year', set: 'set' } as const;
</script>

{#snippet tick(step: string, label: string)}
	<form method="POST" action="?/tick" use:enhance class="mt-1">
		<input type="hidden" name="pile" value={pile} />
		<input type="hidden" name="step" value={step} />
		<button
			class="btn btn-xs"
			name="done"
			value={isDone(step) ? 'no' : 'yes'}
			aria-pressed={isDone(step)}
			aria-label="{isDone(step) ? 'Open again' : 'Done'}: {label}"
			>{isDone(step) ? '✓ done' : 'Done'}</button
		>
	</form>
{/snippet}

<section class="mb-8 max-w-3xl" aria-labelledby="mixed">
	<h2 id="mixed" class="mb-2">{name}, mixed</h2>
	<p class="mb-3 text-lg" role="status">
		About <strong class="text-2xl font-semibold">{minutes(plan.seconds)}</strong> in all{plan.thick >
		0
			? `; ${countOf(plan.thick, 'thick card')} lie apart`
			: ''}.
		{#if count > 0}{count} of {plan.steps.length + plan.sets.length} steps are done, about {minutes(
				left
			)} to go.{/if}
	</p>
	<ol class="space-y-3">
		{#each plan.steps as step, i (i)}
			<li class={['border-t border-base-300 pt-2', isDone(nameOf(step)) && 'quiet']}>
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
				{@render tick(nameOf(step), nameOf(step))}
			</li>
		{/each}
		{#each plan.sets as set, i (set.key)}
			<li
				class={[
					'flex justify-between gap-4 border-t border-base-300 pt-2',
					isDone(set.key) && 'quiet'
				]}
			>
				<span
					><strong>{plan.steps.length + i + 1}</strong>
					{set.name}: {countOf(set.cards, 'card')} by {set.order}. {set.cards > 1
						? WAY_NAMES[set.plan.way]
						: 'It lies as it is'}{set.cards > 1 &&
					set.plan.piles.length > 0 &&
					set.plan.way !== 'merge'
						? ` (${set.plan.piles.join(' × ')})`
						: ''}</span
				><span class="flex shrink-0 items-start gap-3"
					><span class="italic">{minutes(set.plan.seconds)}</span>{@render tick(
						set.key,
						set.name
					)}</span
				>
			</li>
		{/each}
	</ol>
</section>

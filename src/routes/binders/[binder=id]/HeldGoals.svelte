<script lang="ts">
	import type { GoalOrder } from '$lib/core/binder/binder-layout';
	import type { Problem } from '$lib/core/problem';
	import { countOf } from '$lib/ui/numerals';
	import { ORDER_FIELD } from '$lib/ui/spread/layout-fields';
	import OrderedChoices from './OrderedChoices.svelte';

	interface Props {
		/** The goals that the binder holds, in their order. */
		held: readonly {
			readonly id: number;
			readonly name: string;
			readonly order: GoalOrder | null;
		}[];
		goals: readonly { readonly id: number; readonly name: string; readonly need: number }[];
		problems?: readonly Problem[] | undefined;
	}
	let { held, goals, problems }: Props = $props();
	const asChoice = (id: number, name: string, order: GoalOrder | null) => {
		const need = goals.find((goal) => goal.id === id)?.need ?? 0;
		return { key: String(id), name, note: countOf(need, 'card'), order: order ?? '' };
	};
	const options = [
		{ value: '', text: 'with the others' },
		...ORDER_FIELD.options
			.filter(({ value }) => value !== 'by-hand')
			.map(({ value, text }) => ({ value, text: `by itself: ${text.toLowerCase()}` }))
	];
</script>

<details class="min-w-0" open={problems !== undefined}>
	<summary class="cursor-pointer">Goals it holds</summary>
	<p class="mt-1 mb-2 max-w-xl text-sm quiet">
		A card that several goals ask for has one pocket, unless a goal keeps its own copies. Goals lie
		together in the order of the binder, or each by itself in an order of its own.
	</p>
	<OrderedChoices
		action="?/goals"
		field="goal"
		choices={held.map(({ id, name, order }) => asChoice(id, name, order))}
		{options}
		more={goals
			.filter(({ id }) => !held.some((goal) => goal.id === id))
			.map(({ id, name }) => asChoice(id, name, null))}
		moreLabel="Holds as well"
		canRemove
		{problems}
	/>
</details>

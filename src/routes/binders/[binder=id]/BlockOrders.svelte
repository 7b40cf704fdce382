<script lang="ts">
	import type { ChosenBlock } from '$lib/core/binder/binder-layout';
	import type { PlannedBlock } from '$lib/core/binder/plan-binder';
	import type { Problem } from '$lib/core/problem';
	import { countOf } from '$lib/ui/numerals';
	import { BLOCK_ORDER_OPTIONS } from '$lib/ui/spread/layout-fields';
	import OrderedChoices from './OrderedChoices.svelte';

	interface Props {
		/** As they lie. */
		blocks: readonly PlannedBlock[];
		chosen: readonly ChosenBlock[];
		problems?: readonly Problem[] | undefined;
	}
	let { blocks, chosen, problems }: Props = $props();
	// Variants in a block of their own go with the block of their cards.
	const whole = $derived(
		blocks.filter(({ key }, i) => blocks.findIndex((block) => block.key === key) === i)
	);
	const orderOf = (key: string) => chosen.find(({ block }) => block === key)?.order ?? '';
</script>

{#if whole.length > 0}
	<details class="min-w-0" open={problems !== undefined}>
		<summary class="cursor-pointer">Order of its {countOf(whole.length, 'block')}</summary>
		<p class="mt-1 mb-2 max-w-xl text-sm quiet">
			Which section lies first, and in which order its cards lie; the binder’s order where nothing
			is chosen.
		</p>
		<OrderedChoices
			action="?/blocks"
			field="block"
			choices={whole.map(({ key, name, slots }) => ({
				key,
				name,
				note: countOf(slots, 'card'),
				order: orderOf(key)
			}))}
			options={BLOCK_ORDER_OPTIONS}
			{problems}
		/>
	</details>
{/if}

<script lang="ts">
	import {
		CUT_CHOICES,
		ERROR_CHOICES,
		FINISH_CHOICES,
		PANEL_CHOICES,
		VARIANT_CHOICES
	} from '$lib/core/goal/goal-rules';
	import { CONDITIONS, type Condition } from '$lib/core/copies/condition';
	import type { GoalOptions } from '$lib/server/goals/goal-options';
	import ChoiceRule from './ChoiceRule.svelte';
	import NarrowRules from './NarrowRules.svelte';
	import ReleaseRule from './ReleaseRule.svelte';
	import RuleRow from './RuleRow.svelte';
	import SectionRules from './SectionRules.svelte';
	import type { RulesBook } from './rules-book.svelte';

	interface Props {
		book: RulesBook;
		options: GoalOptions;
		/** Goes over these releases. */
		goOver: (releases: readonly string[]) => Promise<void>;
	}
	let { book, options, goOver }: Props = $props();
	const rules = $derived(book.rules);
	const conditionOf = (text: string) => CONDITIONS.find((word) => word === text) as Condition;

	function toggleParallel(key: string) {
		const { parallels } = rules;
		const isIn = parallels.includes(key);
		book.set({
			parallels: isIn ? parallels.filter((other) => other !== key) : [...parallels, key]
		});
	}
</script>

<section aria-labelledby="rules">
	<h2 id="rules" class="mb-2">Rules</h2>
	<ReleaseRule {book} {options} {goOver} />
	<SectionRules {book} sections={options.sections} />
	{#if options.parallels.length > 0 && book.choice.preset !== 'parallel-run'}
		<ChoiceRule
			name="Parallels"
			choices={FINISH_CHOICES}
			word={rules.finishes}
			take={(finishes) => book.set({ finishes })}
		>
			{#if rules.finishes === 'chosen' || rules.finishes === 'base-and-chosen'}
				<div class="mt-2 flex flex-wrap gap-x-5 gap-y-1">
					{#each options.parallels as { key, name } (key)}
						<label class="flex items-center gap-2"
							><input
								type="checkbox"
								class="checkbox checkbox-sm"
								checked={rules.parallels.includes(key)}
								onchange={() => toggleParallel(key)}
							/>{name}</label
						>
					{/each}
				</div>
			{/if}
		</ChoiceRule>
		<RuleRow
			name="Least print run"
			meaning="Versions printed fewer times are left out as unobtainable."
		>
			<input
				type="number"
				class="input w-28 input-sm"
				aria-label="Least print run"
				min="0"
				max="10000000"
				value={rules.leastRun}
				oninput={(event) => book.set({ leastRun: Number(event.currentTarget.value) || 0 })}
			/>
		</RuleRow>
	{/if}
	{#if options.hasVariations}
		<ChoiceRule
			name="Variations"
			choices={VARIANT_CHOICES}
			word={rules.variants}
			take={(variants) => book.set({ variants })}
		/>
	{/if}
	{#if options.hasErrors}
		<ChoiceRule
			name="Errors"
			choices={ERROR_CHOICES}
			word={rules.errors}
			take={(errors) => book.set({ errors })}
		/>
	{/if}
	{#if options.hasPanels}
		<ChoiceRule
			name="Panels"
			choices={PANEL_CHOICES}
			word={rules.panels}
			take={(panels) => book.set({ panels })}
		/>
	{/if}
	{#if options.hasStrips || options.hasPanels}
		<ChoiceRule
			name="Cut"
			choices={CUT_CHOICES}
			word={rules.cut}
			take={(cut) => book.set({ cut })}
		/>
	{/if}
	<RuleRow name="Least condition" meaning="A copy below it does not fill a slot.">
		<select
			class="select w-40 select-sm"
			aria-label="Least condition"
			value={rules.leastCondition ?? ''}
			onchange={(event) => book.set({ leastCondition: conditionOf(event.currentTarget.value) })}
		>
			<option value="">any</option>
			{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
		</select>
	</RuleRow>
	<NarrowRules {book} {options} />
	<RuleRow name="Upgrade below" meaning="A slot filled with a worse copy is marked for an upgrade.">
		<select
			class="select w-40 select-sm"
			aria-label="Upgrade below"
			value={rules.wishCondition ?? ''}
			onchange={(event) => book.set({ wishCondition: conditionOf(event.currentTarget.value) })}
		>
			<option value="">never</option>
			{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
		</select>
	</RuleRow>
	<RuleRow name="Sets at once" meaning="The first set gets the best copies, then the next.">
		<input
			type="number"
			class="input w-20 input-sm"
			aria-label="Sets at once"
			min="1"
			max="100"
			value={rules.sets}
			oninput={(event) =>
				book.set({ sets: Math.min(100, Math.max(1, Number(event.currentTarget.value) || 1)) })}
		/>
	</RuleRow>
	<RuleRow
		name="Keeps its own copies"
		meaning="A copy that fills a slot here fills none of another goal."
	>
		<input
			type="checkbox"
			class="toggle toggle-primary"
			aria-label="Keeps its own copies"
			checked={rules.keepsOwn}
			onchange={(event) => book.set({ keepsOwn: event.currentTarget.checked })}
		/>
	</RuleRow>
</section>

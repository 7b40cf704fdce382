<script lang="ts">
	import { COLLECTIBLES } from '$lib/core/checklist/beside-cards';
	import { CONFIDENCES, type Confidence } from '$lib/core/checklist/confidence';
	import { GRADES } from '$lib/core/copies/condition';
	import type { GoalOptions } from '$lib/server/goals/goal-options';
	import RuleRow from './RuleRow.svelte';
	import type { RulesBook } from './rules-book.svelte';

	/** What narrows a goal down: series, tags, how sure things are, graded copies. */
	let { book, options }: { book: RulesBook; options: GoalOptions } = $props();
	const rules = $derived(book.rules);
	const toggled = (words: readonly string[], word: string) =>
		words.includes(word) ? words.filter((other) => other !== word) : [...words, word];
	const wordsOf = (family: string) =>
		Object.hasOwn(rules.tags, family) ? (rules.tags[family] ?? []) : [];

	/** "": any copy; "any": graded at all; else the least grade. */
	const graded = $derived(rules.graded ? String(rules.graded.least ?? 'any') : '');
	function grade(least: string, houses: readonly string[] | undefined = rules.graded?.houses) {
		const need = {
			...(least === 'any' ? {} : { least: Number(least) }),
			...(houses?.length ? { houses } : {})
		};
		book.set({ graded: least === '' ? undefined : need });
	}
</script>

{#if options.collectibles.length > 0}
	<RuleRow
		name="Beside the cards"
		meaning="Each is a slot as well, in no pocket of a binder; none ticked: only cards count."
	>
		<div class="flex flex-wrap gap-x-5 gap-y-1">
			{#each options.collectibles as kind (kind)}
				<label class="flex items-center gap-2"
					><input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={rules.collectibles.includes(kind)}
						onchange={() =>
							book.set({
								collectibles: options.collectibles.filter(
									(word) => rules.collectibles.includes(word) !== (word === kind)
								)
							})}
					/>{COLLECTIBLES[kind]}</label
				>
			{/each}
		</div>
	</RuleRow>
{/if}
{#if options.series.length > 0}
	<RuleRow name="Series" meaning="Only cards of these series; none ticked: of all.">
		<div class="flex flex-wrap gap-x-5 gap-y-1">
			{#each options.series as name (name)}
				<label class="flex items-center gap-2"
					><input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={rules.series.includes(name)}
						onchange={() => book.set({ series: toggled(rules.series, name) })}
					/>{name}</label
				>
			{/each}
		</div>
	</RuleRow>
{/if}
{#each options.tags as { family, words } (family)}
	<RuleRow
		name={family}
		meaning="Only cards with one of these words; none ticked: whatever they have."
	>
		<div class="flex max-h-40 flex-wrap gap-x-5 gap-y-1 overflow-y-auto">
			{#each words as word (word)}
				<label class="flex items-center gap-2"
					><input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={wordsOf(family).includes(word)}
						onchange={() =>
							book.set({ tags: { ...rules.tags, [family]: toggled(wordsOf(family), word) } })}
					/>{word}</label
				>
			{/each}
		</div>
	</RuleRow>
{/each}
{#if options.hasDoubts}
	<RuleRow name="How sure" meaning="What is less sure to exist is no slot.">
		<select
			class="select w-56 select-sm"
			aria-label="How sure"
			value={rules.leastConfidence ?? ''}
			onchange={(event) =>
				book.set({
					leastConfidence: CONFIDENCES.find(
						(word): word is Confidence => word === event.currentTarget.value
					)
				})}
		>
			<option value="">all that is recorded</option>
			<option value="doubtful">all but what was not seen yet</option>
			<option value="likely">what is at least likely</option>
			<option value="certain">what is certain</option>
		</select>
	</RuleRow>
{/if}
<RuleRow name="Graded" meaning="Whether a copy has to be graded to fill a slot.">
	<div class="flex flex-wrap items-center gap-x-4 gap-y-2">
		<select
			class="select w-48 select-sm"
			aria-label="Graded"
			value={graded}
			onchange={(event) => grade(event.currentTarget.value)}
		>
			<option value="">graded or not</option>
			<option value="any">graded</option>
			{#each GRADES as least (least)}<option value={String(least)}>graded at least {least}</option
				>{/each}
		</select>
		{#if rules.graded}
			{#each options.houses as house (house)}
				<label class="flex items-center gap-2"
					><input
						type="checkbox"
						class="checkbox checkbox-sm"
						checked={rules.graded.houses?.includes(house)}
						onchange={() => grade(graded, toggled(rules.graded?.houses ?? [], house))}
					/>{house}</label
				>
			{/each}
		{/if}
	</div>
</RuleRow>

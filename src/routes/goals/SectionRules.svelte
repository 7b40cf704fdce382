<script lang="ts">
	import { CONDITIONS, type Condition } from '$lib/core/copies/condition';
	import type { GoalOptions } from '$lib/server/goals/goal-options';
	import { formatCount } from '$lib/ui/numerals';
	import type { RulesBook } from './rules-book.svelte';

	/** Which sections count, whatever the school says of their kind, and how good cards must be in each. */
	let { book, sections }: { book: RulesBook; sections: GoalOptions['sections'] } = $props();
	const rules = $derived(book.rules);
	const releases = $derived([...new Set(sections.map(({ release }) => release))]);

	function isIn({ key, kind, isEdition }: GoalOptions['sections'][number]): boolean {
		if (rules.sectionsOut.includes(key)) return false;
		if (rules.sectionsIn.includes(key)) return true;
		return rules.kinds.includes(kind) && (rules.editions || !isEdition);
	}

	function toggle(section: GoalOptions['sections'][number]) {
		const { key } = section;
		const wasIn = isIn(section);
		const sectionsIn = rules.sectionsIn.filter((other) => other !== key);
		const sectionsOut = rules.sectionsOut.filter((other) => other !== key);
		book.set(
			wasIn
				? { sectionsIn, sectionsOut: [...sectionsOut, key] }
				: { sectionsOut, sectionsIn: [...sectionsIn, key] }
		);
	}

	function setCondition(key: string, text: string) {
		const { [key]: _, ...others } = rules.sectionConditions;
		const word = CONDITIONS.find((known): known is Condition => known === text);
		book.set({ sectionConditions: word ? { ...others, [key]: word } : others });
	}
</script>

<div class="border-b border-base-300 py-2">
	<span class="font-semibold">Sections</span>
	{#each releases as release (release)}
		{#if releases.length > 1}<p class="mt-2 quiet">{release}</p>{/if}
		<ul class="mt-1 grid gap-x-8 md:grid-cols-2">
			{#each sections.filter((section) => section.release === release) as section (section.key)}
				<li class="flex items-center gap-3 py-0.5">
					<label class="flex min-w-0 flex-1 items-center gap-2">
						<input
							type="checkbox"
							class="checkbox checkbox-sm checkbox-primary"
							checked={isIn(section)}
							onchange={() => toggle(section)}
						/>
						<span class="truncate">{section.name}</span>
						<span class="shrink-0 text-sm quiet"
							>{section.isEdition ? 'edition' : section.kind}, {formatCount(section.cards)}</span
						>
					</label>
					{#if isIn(section)}
						<select
							class="select w-32 shrink-0 select-xs"
							aria-label="Least condition in {section.name}"
							value={rules.sectionConditions[section.key] ?? ''}
							onchange={(event) => setCondition(section.key, event.currentTarget.value)}
						>
							<option value="">as below</option>
							{#each CONDITIONS as word (word)}<option value={word}>{word}</option>{/each}
						</select>
					{/if}
				</li>
			{/each}
		</ul>
	{/each}
</div>

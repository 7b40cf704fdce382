<script lang="ts">
	import type { GoalRules } from '$lib/core/goal/goal-rules';
	import type { Problem } from '$lib/core/problem';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import type { SlotCount } from './rules-book.svelte';

	interface Props {
		counted: SlotCount | null;
		/** What is still to be chosen. */
		lacks: readonly Problem[];
		rules: GoalRules;
	}
	let { counted, lacks, rules }: Props = $props();
	const MOST_ROWS = 14;
</script>

<div aria-live="polite">
	<p>
		<strong class="font-serif text-5xl font-medium max-lg:text-3xl" data-testid="slots"
			>{counted ? formatCount(counted.slots) : lacks.length > 0 ? '–' : '…'}</strong
		>
		<span class="text-lg quiet">{counted?.slots === 1 ? 'slot' : 'slots'}</span>
	</p>
	{#each lacks as { message, remedy }, i (i)}
		<p class="text-accent">{message}. {remedy}</p>
	{/each}
	{#if counted && counted.skipped > 0}
		<p class="text-accent">
			{formatCount(counted.skipped)} left out, printed fewer than {formatCount(rules.leastRun)} times
		</p>
	{/if}
	{#if counted && counted.slots > 0}
		<p class="mt-1 text-sm">
			{countOf(counted.size.cards, 'card')}{counted.size.releases > 1
				? ` of ${countOf(counted.size.releases, 'release')}`
				: ''} in {countOf(counted.size.finishes.length, 'finish', 'finishes')}
		</p>
		{#each [['Dear', counted.size.dear], ['By class', counted.size.rarities], ['By finish', counted.size.finishes.length > 1 ? counted.size.finishes : []]] as const as [name, list] (name)}
			{#if list.length > 0}
				<p class="mt-1 text-sm max-lg:hidden">
					<span class="quiet">{name}:</span>
					{list
						.slice(0, 6)
						.map((row) => `${formatCount(row.count)} ${row.name}`)
						.join(', ')}{list.length > 6 ? ` and ${list.length - 6} more` : ''}
				</p>
			{/if}
		{/each}
	{/if}
	<ul class="mt-2 text-sm max-lg:hidden">
		{#each counted?.rows.slice(0, MOST_ROWS) ?? [] as { name, count } (name)}
			<li class="flex justify-between gap-3 border-b border-base-300 py-0.5">
				<span class="truncate quiet" title={name}>{name}</span><span>{formatCount(count)}</span>
			</li>
		{/each}
		{#if counted && counted.rows.length > MOST_ROWS}
			<li class="quiet">and {counted.rows.length - MOST_ROWS} more</li>
		{/if}
	</ul>
</div>

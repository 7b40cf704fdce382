<script lang="ts">
	import type { PacksPlan } from '$lib/core/packs/plan-packs';
	import { countOf, formatCount } from '$lib/ui/numerals';
	import Word from '$lib/ui/Word.svelte';
	import { oddsText } from './odds-text';

	/** What so many packs promise, group by group. */
	let { plan, packs }: { plan: PacksPlan; packs: number } = $props();
	const rows = $derived(
		plan.groups.flatMap((group) => {
			const odds = plan.odds.groups.find(({ key }) => key === group.key);
			return odds ? [{ group, odds }] : [];
		})
	);
	const amount = (value: number) =>
		value >= 100 ? formatCount(Math.round(value)) : value.toFixed(1);
	const percent = (chance: number) =>
		chance > 0 && chance < 0.001
			? '< 0.1 %'
			: `${(100 * chance).toFixed(chance > 0 && chance < 0.1 ? 1 : 0)} %`;
	const packsText = (value: number | null) =>
		value === null ? 'never' : value === 0 ? 'now' : formatCount(Math.round(value));
</script>

<section class="mt-6 overflow-x-auto" aria-labelledby="groups">
	<h2 id="groups" class="mb-1 font-serif text-xl">What {countOf(packs, 'pack')} promise</h2>
	<table class="table w-auto table-sm" data-testid="pack-groups">
		<thead>
			<tr>
				<th scope="col">In a pack</th>
				<th scope="col"><Word of="odds">Odds</Word></th>
				<th scope="col" class="text-right">Cards</th>
				<th scope="col" class="text-right">Missing now</th>
				<th scope="col" class="text-right">Copies</th>
				<th scope="col" class="text-right">in 9 of 10</th>
				<th scope="col" class="text-right">New</th>
				<th scope="col" class="text-right">Missing then</th>
				<th scope="col" class="text-right">Doubles</th>
				<th scope="col" class="text-right">Complete</th>
				<th scope="col" class="text-right">Packs to complete</th>
			</tr>
		</thead>
		<tbody>
			{#each rows as { group, odds } (group.key)}
				<tr>
					<th scope="row" class="font-normal">{group.name}</th>
					<td
						>{group.perBox === null
							? oddsText(group.comes)
							: `${group.perBox} a box`}{#if group.insteadOf !== null}<span
								class="block text-xs quiet">instead of {group.insteadOf}</span
							>{/if}</td
					>
					<td class="text-right">{formatCount(group.versions.length)}</td>
					<td class="text-right font-semibold">{formatCount(group.lacking)}</td>
					<td class="text-right estimate">{amount(odds.expected)}</td>
					<td class="text-right text-sm quiet">{odds.low}–{odds.high}</td>
					<td class="text-right estimate">{amount(odds.found)}</td>
					<td class="text-right"
						><span class="estimate">{amount(odds.missing)}</span
						>{#if odds.chanceMissing !== null}<span class="block text-xs whitespace-nowrap quiet"
								>a given card {percent(odds.chanceMissing)}</span
							>{/if}</td
					>
					<td class="text-right estimate">{amount(odds.doubles)}</td>
					<td class="text-right">{percent(odds.chanceComplete)}</td>
					<td class="text-right">{packsText(odds.packsToComplete)}{odds.isExact ? '' : ' or so'}</td
					>
				</tr>
			{/each}
		</tbody>
		<tfoot>
			<tr>
				<th scope="row" colspan="9" class="font-normal">Everything together</th>
				<td class="text-right font-semibold">{percent(plan.odds.goal.chanceComplete)}</td>
				<td class="text-right font-semibold">{packsText(plan.odds.goal.packsToComplete)}</td>
			</tr>
		</tfoot>
	</table>
	{#if plan.lacking > 0}
		<p class="mt-1 text-sm quiet" data-testid="pack-trades">
			Of {amount(plan.trades.missing)} missing then, doubles traded one for one within their group leave
			{amount(plan.trades.oneForOne)}; {plan.trades.doublesForHarder} more for each harder card leave
			{amount(plan.trades.forHarder)}, if friends have everything.
		</p>
	{/if}
</section>

<script lang="ts">
	import { amountOf } from '$lib/core/money/minor-units';
	import type { PacksPlan } from '$lib/core/packs/plan-packs';
	import LineChart from '$lib/ui/LineChart.svelte';
	import { formatMoney } from '$lib/ui/numerals';

	/** What packs cost in the end, and what is missing, pack after pack; with numbers beside the curves. */
	let { plan, currency }: { plan: PacksPlan; currency: string } = $props();
	const single = $derived(plan.stop?.options.find(({ key }) => key === 'pack') ?? null);
	const horizon = $derived(plan.odds.points.at(-1) ?? 0);
	/** Groups of which something is lacking, those with most first. */
	const open = $derived(
		plan.odds.curves
			.map(({ key, missing, chanceComplete }) => ({
				...{ key, missing, chanceComplete },
				name: plan.groups.find((group) => group.key === key)?.name ?? key
			}))
			.filter(({ missing }) => (missing[0] ?? 0) > 0)
			.sort((a, b) => (b.missing[0] ?? 0) - (a.missing[0] ?? 0))
			.slice(0, 6)
	);
	const points = (values: readonly number[]) =>
		values.map((y, i) => ({ x: plan.odds.points[i] ?? 0, y }));
	const cost = $derived((single?.curve ?? []).filter(({ packs }) => packs <= 2 * horizon));
	const costs = (of: 'totalMinor' | 'lowMinor' | 'highMinor') =>
		cost.map((point) => ({ x: point.packs, y: amountOf(point[of], currency) }));
	/** A few points in numbers. */
	const few = <Item,>(items: readonly Item[]) => {
		const step = Math.max(1, Math.floor(items.length / 6));
		const last = items.length - 1;
		return items.filter((_, i) => i === last || (i % step === 0 && last - i >= step / 2));
	};
	const percent = (chance: number) =>
		chance > 0 && chance < 0.001
			? 'below 0.1 %'
			: `${(100 * chance).toFixed(chance > 0 && chance < 0.1 ? 1 : 0)} %`;
</script>

<div class="grid gap-x-8 gap-y-5 lg:grid-cols-2">
	{#if single}
		<section aria-labelledby="cost">
			<h2 id="cost" class="mb-1 font-serif text-xl">What it costs in the end</h2>
			<LineChart
				lines={[{ name: 'in the end', points: costs('totalMinor') }]}
				band={{ low: costs('lowMinor'), high: costs('highMinor') }}
				marks={[{ x: single.best.packs, y: amountOf(single.best.totalMinor, currency) }]}
				x="packs opened"
				y="packs and singles, {currency}"
			/>
			<ul class="mt-1 flex flex-wrap gap-x-5 text-sm" aria-label="Cost by packs opened">
				{#each few(cost) as { packs, totalMinor } (packs)}
					<li>
						<span class="quiet">{packs}</span>
						{formatMoney(Math.round(totalMinor), currency)}
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	{#if open.length > 0}
		<section aria-labelledby="missing">
			<h2 id="missing" class="mb-1 font-serif text-xl">What is missing still</h2>
			<LineChart
				lines={open.map(({ name, missing }) => ({ name, points: points(missing) }))}
				x="packs opened"
				y="cards, on average"
				isNamed
			/>
			<ul class="mt-1 flex flex-wrap gap-x-5 text-sm" aria-label="Missing by packs opened">
				{#each few(plan.odds.points) as packs (packs)}
					{@const i = plan.odds.points.indexOf(packs)}
					<li>
						<span class="quiet">{packs}</span>
						{open.map(({ missing }) => (missing[i] ?? 0).toFixed(1)).join(' / ')}
					</li>
				{/each}
			</ul>
		</section>
		<section aria-labelledby="complete">
			<h2 id="complete" class="mb-1 font-serif text-xl">The chance to be complete</h2>
			<LineChart
				lines={[
					...open.map(({ name, chanceComplete }) => ({
						...{ name, points: points(chanceComplete.map((chance) => 100 * chance)) }
					})),
					...(open.length > 1
						? [
								{
									name: 'all',
									points: points(plan.odds.goal.chances.map((chance) => 100 * chance))
								}
							]
						: [])
				]}
				x="packs opened"
				y="complete, %"
				isNamed
			/>
			<ul
				class="mt-1 flex flex-wrap gap-x-5 text-sm"
				aria-label="Chance that nothing is missing, by packs opened"
			>
				{#each few(plan.odds.points) as packs (packs)}
					<li>
						<span class="quiet">{packs}</span>
						{percent(plan.odds.goal.chances[plan.odds.points.indexOf(packs)] ?? 0)} complete
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</div>

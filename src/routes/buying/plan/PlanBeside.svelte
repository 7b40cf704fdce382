<script lang="ts">
	import { RIVALS } from '$lib/core/buying/plan/rival-plans';
	import type { PlanView } from '$lib/server/buying/plan/plan-view';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	/** What stands beside a plan: plans made by hand, the second best, what each seller brings, cost by completeness. */
	let { view }: { view: PlanView } = $props();
	const money = (minor: number) => formatMoney(minor, view.currency);
	const { report, plan } = $derived(view);
	const most = $derived(Math.max(1, ...report.curve.map(({ totalMinor }) => totalMinor)));
	const nameOf = (key: string | null) => (key === null ? '' : (plan.names.sellers[key] ?? key));
	const line = $derived(
		report.curve
			.map(({ covered, totalMinor }) => {
				const x = (300 * covered) / Math.max(1, report.curve.at(-1)?.covered ?? 1);
				return `${x.toFixed(1)},${(110 - (100 * totalMinor) / most).toFixed(1)}`;
			})
			.join(' ')
	);
</script>

<aside class="space-y-5 lg:w-80" aria-label="Beside the plan">
	<section aria-labelledby="by-hand">
		<h2 id="by-hand" class="mb-1 font-serif text-lg">As people plan by hand</h2>
		<ul>
			{#each report.rivals as { rival, totalMinor, sellers, covered, savedMinor } (rival)}
				<li class="border-t border-base-300 py-1.5" data-testid="rival">
					<span class="flex justify-between gap-3"
						><strong>{RIVALS[rival].name}</strong><span>{money(totalMinor)}</span></span
					>
					<span class="block text-sm quiet"
						>{RIVALS[rival].meaning}
						{countOf(sellers, 'seller')}{covered < plan.covered
							? `, ${plan.covered - covered} cards fewer`
							: ''}.
						{#if savedMinor > 0}<span class="text-primary"
								>This plan saves {money(savedMinor)}.</span
							>{/if}</span
					>
				</li>
			{/each}
		</ul>
	</section>
	{#if report.second}
		<p class="text-sm">
			Without {nameOf(report.second.without)} it would be {money(report.second.totalMinor)}{report
				.second.covered < plan.covered
				? `, ${countOf(plan.covered - report.second.covered, 'card')} fewer`
				: ''}: the second best.
		</p>
	{/if}
	{#if report.curve.length > 1}
		<section aria-labelledby="curve">
			<h2 id="curve" class="mb-1 font-serif text-lg">Cost by completeness</h2>
			<svg
				viewBox="0 0 300 116"
				class="w-full"
				role="img"
				aria-label="Cost rises from {money(report.curve[0]?.totalMinor ?? 0)} to {money(most)}"
			>
				<path d="M0 110H300" class="stroke-base-300" />
				<polyline points={line} fill="none" class="stroke-primary" stroke-width="2" />
			</svg>
			<ul class="text-sm">
				{#each report.curve.filter((_, i, all) => i % Math.ceil(all.length / 6) === 0 || i === all.length - 1) as { covered, totalMinor, eachMinor }, i (i)}
					<li class="flex justify-between">
						<span>{countOf(covered, 'card')}</span><span class="quiet"
							>none above {money(Math.round(eachMinor))}</span
						><span>{money(totalMinor)}</span>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	{#if report.sellers.length > 1}
		<section aria-labelledby="further">
			<h2 id="further" class="mb-1 font-serif text-lg">What each further seller brings</h2>
			<ul class="text-sm">
				{#each report.sellers as { sellers, totalMinor, left, brings } (sellers)}
					<li class="flex justify-between gap-2">
						<span>{sellers}. {nameOf(brings)}</span><span
							>{money(totalMinor)}{#if left > 0}<span class="quiet">, {left} not got</span
								>{/if}</span
						>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</aside>

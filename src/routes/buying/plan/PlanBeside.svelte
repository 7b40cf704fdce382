<script lang="ts">
	import { parseAmount } from '$lib/core/money/amount';
	import { formatMinor } from '$lib/core/money/minor-units';
	import { RIVALS } from '$lib/core/buying/plan/rival-plans';
	import type { PlanView } from '$lib/server/buying/plan/plan-view';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	/** What stands beside a plan: plans made by hand, the second best, what each seller brings, cost by completeness. */
	let { view }: { view: PlanView } = $props();
	const money = (minor: number) => formatMoney(minor, view.currency);
	const { report, plan } = $derived(view);
	const most = $derived(Math.max(1, ...report.curve.map(({ totalMinor }) => totalMinor)));
	const MOST_LISTED = 12;
	const nameOf = (key: string | null) => (key === null ? '' : (plan.names.sellers[key] ?? key));
	/** What each card adds, its share of the postage with it: the dearest first. */
	const dearest = $derived(
		plan.orders
			.flatMap(({ lines }) => lines)
			.filter(({ savesMinor }) => savesMinor > 0)
			.sort((a, b) => b.savesMinor - a.savesMinor)
	);
	/** From which sum on cards are listed; what a tenth of the cards cost at least. */
	let above = $state('');
	const limit = $derived.by(() => {
		const read = above.trim() === '' ? null : parseAmount(above, view.currency);
		return read?.ok
			? read.value.minor
			: (dearest[Math.floor(dearest.length / 10)]?.savesMinor ?? 0);
	});
	const over = $derived(dearest.filter(({ savesMinor }) => savesMinor > limit));
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
	{#if dearest.length > 1}
		<section aria-labelledby="leave-out" data-testid="leave-out">
			<h2 id="leave-out" class="mb-1 font-serif text-lg">Leave these out?</h2>
			<label class="flex items-center gap-2 text-sm"
				>Each costs more than
				<input
					class="input w-20 input-xs"
					inputmode="decimal"
					placeholder={formatMinor(limit, view.currency)}
					bind:value={above}
				/></label
			>
			<p class="my-1 text-sm">
				{countOf(over.length, 'card')}; without them the plan is
				<strong
					>{money(
						over.reduce((sum, { savesMinor, quantity }) => sum + savesMinor * quantity, 0)
					)}</strong
				>
				cheaper at least.
			</p>
			<ul class="text-sm">
				{#each over.slice(0, MOST_LISTED) as { want, offer, savesMinor } (want + offer)}
					<li class="flex justify-between gap-2">
						<span class="min-w-0 truncate"
							>{plan.names.wants[want]?.name ?? want} {plan.names.wants[want]?.title ?? ''}</span
						><span>{money(savesMinor)}</span>
					</li>
				{/each}
			</ul>
			{#if over.length > MOST_LISTED}<p class="text-sm quiet">
					and {countOf(over.length - MOST_LISTED, 'card')} more
				</p>{/if}
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

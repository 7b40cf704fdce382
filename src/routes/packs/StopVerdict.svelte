<script lang="ts">
	import { stopAdvice } from '$lib/core/packs/stop/stop-advice';
	import type { PacksPlan } from '$lib/core/packs/plan-packs';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	interface Props {
		plan: PacksPlan;
		currency: string;
	}
	/** When to stop opening, in words and figures. */
	let { plan, currency }: Props = $props();
	const money = (minor: number) => formatMoney(Math.round(minor), currency);
	const single = $derived(plan.stop?.options.find(({ key }) => key === 'pack'));
	const box = $derived(plan.stop?.options.find(({ key }) => key === 'box'));
	const next = $derived((box ?? single)?.next);
	const advice = $derived(plan.stop && stopAdvice(plan.stop));
	/** Of whole boxes, where they are as good. */
	const best = $derived((advice?.sort === 'boxes' ? box : single)?.best);
</script>

<section class="mb-4 max-w-3xl" aria-label="When to stop" data-testid="verdict">
	{#if plan.lacking === 0}
		<p class="font-serif text-2xl">Nothing that such packs hold is missing.</p>
	{:else if !plan.stop || !best}
		<p class="font-serif text-2xl">Say what a pack costs to see when to stop.</p>
	{:else}
		<p class="font-serif text-2xl">
			{#if advice?.sort === 'none'}
				Open none: singles cost less.
			{:else if advice?.sort === 'all'}
				Open as many as there are: doubles bring more than a pack costs.
			{:else if advice?.sort === 'boxes'}
				Open {advice.boxes === 1 ? 'one more box' : `${advice.boxes} more boxes`}, then buy singles.
			{:else}
				Open {countOf(best.packs, 'pack')}, then buy singles.
			{/if}
		</p>
		<dl class="mt-2 flex flex-wrap gap-x-8 gap-y-1">
			<div>
				<dt class="text-sm quiet">All as singles</dt>
				<dd class="text-lg estimate">{money(plan.stop.noneMinor)}</dd>
			</div>
			{#if !plan.stop.isNone}
				<div>
					<dt class="text-sm quiet">Packs, then singles</dt>
					<dd class="text-lg estimate">
						{money(best.totalMinor)}
						<span class="text-sm quiet">{money(best.lowMinor)} to {money(best.highMinor)}</span>
					</dd>
				</div>
			{/if}
			{#if next}
				<div>
					<dt class="text-sm quiet">
						{next.packs > 1 ? `One more box, ${next.packs} packs` : 'One more pack'}
					</dt>
					<dd class="text-lg" data-testid="next-box">
						<span class="estimate">brings {money(next.bringsMinor)}</span>
						<span class="text-sm quiet">for {money(next.costMinor)}</span>
					</dd>
				</div>
			{/if}
			{#if single}
				<div>
					<dt class="text-sm quiet">New cards a pack, now</dt>
					<dd class="text-lg estimate">{single.newAPack.toFixed(2)}</dd>
				</div>
			{/if}
		</dl>
		<p class="mt-1 text-sm quiet">
			The rule: packs, and the singles still missing then by the price sheet, less what doubles
			bring, on average. In nine cases of ten it ends in the range.
		</p>
	{/if}
</section>

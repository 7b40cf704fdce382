<script lang="ts">
	import type { BoxKind } from '$lib/core/boxes/box-kind';
	import type { BoxWeight } from '$lib/core/boxes/box-weight';
	import { cardsIn } from '$lib/core/boxes/stack-height';
	import type { PlannedBox } from '$lib/core/boxes/plan-boxes';
	import { countOf } from '$lib/ui/numerals';

	interface Props {
		box: PlannedBox;
		kind: BoxKind;
		weight: BoxWeight & { readonly cards: number };
	}
	let { box, kind, weight }: Props = $props();
	const rowUm = $derived(kind.rowMm * 1000);
	const mm = (um: number) => Math.round(um / 1000);
</script>

<section aria-labelledby="open-box" class="mt-6">
	<h2 id="open-box">Box {box.box}: {kind.name}</h2>
	<p class="mb-3 quiet">
		{countOf(weight.cards, 'card')}, {(weight.grams / 1000).toFixed(1)} kg · {kind.rows === 1
			? 'one row'
			: `${kind.rows} rows`} of {Math.round(kind.rowMm)} mm
	</p>
	{#if weight.caution}
		<p class="mb-3 max-w-2xl border-l-3 border-accent pl-4">
			{weight.caution} Local rules and the shelf maker's rating go before.
		</p>
	{/if}
	<ol class="max-w-4xl space-y-2">
		{#each box.rows as { entries, usedUm }, i (i)}
			<li class="flex items-center gap-3">
				<span class="w-6 shrink-0 text-right font-serif text-lg quiet" aria-hidden="true"
					>{i + 1}</span
				>
				<div class="min-w-0 flex-1">
					<div class="flex h-12 overflow-hidden border border-base-300 bg-base-200">
						{#each entries as { label, um, isContinued } (label)}
							<span
								class="flex min-w-0 items-center overflow-hidden border-l-3 border-accent bg-primary/20 px-1.5 text-sm whitespace-nowrap"
								style:width="{(100 * um) / rowUm}%"
								title="{label}, {mm(um)} mm">{isContinued ? '… ' : ''}{label}</span
							>
						{/each}
					</div>
					<p class="text-xs quiet">
						row {i + 1}: {mm(usedUm)} of {Math.round(kind.rowMm)} mm with dividers and room to grow, {countOf(
							cardsIn(rowUm - usedUm),
							'standard card'
						)} more would fit
					</p>
				</div>
			</li>
		{/each}
	</ol>
</section>

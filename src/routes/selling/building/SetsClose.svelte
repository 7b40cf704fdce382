<script lang="ts">
	import type { BuildOutcome } from '$lib/core/selling/building/build-to-sell';
	import type { BuildKept } from '$lib/schemas/build';
	import { countOf, formatMoney } from '$lib/ui/numerals';

	/** What is bought for so many sets, part by part. */
	let { outcome, kept }: { outcome: BuildOutcome; kept: BuildKept } = $props();
	const money = (minor: number) => formatMoney(minor, kept.currency);
	const offerOf = (part: string, key: string) =>
		kept.parts.find((each) => each.key === part)?.offers.find((offer) => offer.key === key);
</script>

<section class="max-w-4xl" aria-labelledby="close">
	<h2 id="close" class="mb-1">To buy for {countOf(outcome.sets, 'set')}</h2>
	<ul>
		{#each outcome.parts as { part, bought, costMinor, leftSets } (part)}
			<li class="flex flex-wrap gap-x-4 border-t border-base-300 py-1">
				<span class="min-w-48 flex-1">{part}</span>
				<span class="text-sm"
					>{bought
						.map(({ key, quantity }) => {
							const offer = offerOf(part, key);
							return `${quantity} × ${money(offer?.priceMinor ?? 0)}${(offer?.feedsSets ?? 1) > 1 ? ` for ${offer?.feedsSets} sets` : ''}`;
						})
						.join(', ')}{leftSets > 0
						? `; enough for ${countOf(leftSets, 'more set')} is left`
						: ''}</span
				>
				<strong class="w-28 text-right">{money(costMinor)}</strong>
			</li>
		{/each}
	</ul>
</section>

<script lang="ts">
	import type { ProductionRow } from '$lib/core/checklist/versions/production';
	import { foldCards } from '$lib/core/checklist/fold-runs';
	import { cardsOf, type Release } from '$lib/core/checklist/release';
	import { parseVersionKey } from '$lib/core/checklist/versions/version-key';
	import { formatCount } from '$lib/ui/numerals';

	/** How often this goal can be reached by anybody, and what sets that limit. */
	interface Props {
		release: Release;
		limits: Pick<ProductionRow, 'mostRuns' | 'numbered' | 'bottlenecks'>;
	}
	let { release, limits }: Props = $props();
	const cards = $derived(new Map(cardsOf(release).map(({ card }) => [card.key, card])));
	/** The scarcest versions, by finish. */
	const scarcest = $derived.by(() => {
		const byFinish = new Map<string, string[]>();
		for (const key of limits.bottlenecks) {
			const version = parseVersionKey(key);
			const parallel = release.parallels.find(({ key }) => key === version?.parallel);
			const finish = parallel?.name ?? 'base finish';
			byFinish.set(finish, [...(byFinish.get(finish) ?? []), version?.card ?? key]);
		}
		return [...byFinish].map(([finish, keys]) => {
			const names = foldCards(keys.flatMap((key) => cards.get(key) ?? []));
			return `${finish}: ${names.length > 90 ? `${names.slice(0, 89)}…` : names}`;
		});
	});
</script>

{#if limits.mostRuns !== null}
	<p class="mt-3 quiet">
		At most <strong class="text-base-content">{formatCount(limits.mostRuns)}</strong> such sets can
		exist anywhere, from the {formatCount(limits.numbered)} versions that are numbered; the scarcest are
		{scarcest.join('; ')}.
	</p>
{/if}

import { group } from 'd3-array';
import { pickDetails } from '../card-details.ts';
import type { Version } from '../versions/expand.ts';
import { foldCards } from '../fold-runs.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import type { ChapterFinish, ChapterRun } from './chapter.ts';

/** The finishes of a section, base first, with how many cards were made with which run. */
export function finishesOf(
	release: Release,
	section: Section,
	versions: readonly Version[]
): readonly ChapterFinish[] {
	const cardOf = new Map(section.cards.map((card) => [card.key, card]));
	const regular = versions.filter(({ variantKey }) => variantKey === null);
	const byFinish = group(regular, ({ parallelKey }) => parallelKey);
	return [null, ...release.parallels].flatMap((parallel): ChapterFinish[] => {
		const made = byFinish.get(parallel?.key ?? null) ?? [];
		if (made.length === 0) return [];
		const cardsWith = (swatch: Version['swatch']) => {
			const same = made.filter((version) => version.swatch === swatch);
			return same.length === made.length && same.length > 1
				? 'every card'
				: foldCards(same.flatMap(({ cardKey }) => cardOf.get(cardKey) ?? []));
		};
		const runs = group(
			made,
			({ printRun, estimatedRun }) => `${printRun ?? ''} ${estimatedRun ?? ''}`
		);
		return [
			{
				parallelKey: parallel?.key ?? null,
				name: parallel?.name ?? 'Base finish',
				...(parallel
					? pickDetails(parallel, ['look', 'howToTell', 'channel', 'stockPt', 'shape'])
					: section.baseLook === undefined
						? {}
						: { look: section.baseLook }),
				cards: made.length,
				runs: [...runs.values()]
					.map((same): ChapterRun => {
						const [first] = same;
						return {
							printRun: first?.printRun ?? first?.estimatedRun ?? null,
							isEstimate: first?.estimatedRun !== null,
							cards: same.length
						};
					})
					.sort((a, b) => (b.printRun ?? Infinity) - (a.printRun ?? Infinity)),
				withSwatch: cardsWith('with'),
				swatchUnknown: cardsWith('unknown')
			}
		];
	});
}

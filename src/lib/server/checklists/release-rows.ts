import type { Release } from '../../core/checklist/release.ts';

/** A release as rows, without ids: what import inserts and an edit compares. Absent fields are null. */
export function releaseRows(release: Release) {
	const { key, name, maker, year, theme = null, note = null, packTypes, rarities } = release;
	return {
		head: { key, name, maker, year, theme, note, packTypes, rarities },
		sections: release.sections.map(({ cards: _, ...section }, position) => ({
			...section,
			numberedIn: section.numberedIn ?? null,
			statedTotal: section.statedTotal ?? null,
			printRun: section.printRun ?? null,
			format: section.format ?? null,
			arrangement: section.arrangement ?? null,
			edition: section.edition ?? null,
			note: section.note ?? null,
			position
		})),
		cards: release.sections.flatMap((section) =>
			section.cards.map((card, position) => ({
				...card,
				group: card.group ?? null,
				rarity: card.rarity ?? null,
				place: card.place ?? null,
				sectionKey: section.key,
				position
			}))
		),
		parallels: release.parallels.map((parallel, position) => ({
			...parallel,
			channel: parallel.channel ?? null,
			howToTell: parallel.howToTell ?? null,
			isBaseFinish: parallel.isBaseFinish ?? false,
			stockPt: parallel.stockPt ?? null,
			shape: parallel.shape ?? null,
			position
		})),
		variants: release.variants.map(({ key: variant, ...rule }, position) => ({
			key: variant,
			position,
			rule
		}))
	};
}

import { CARD_DETAILS, pickDetails } from '../../core/checklist/card-details.ts';
import { SECTION_DETAILS } from '../../core/checklist/section.ts';
import type { Release } from '../../core/checklist/release.ts';

/** A release as rows, without ids: what import inserts and an edit compares. Absent fields are null. */
export function releaseRows(release: Release) {
	const { key, name, maker, year, theme = null, note = null, packTypes, rarities } = release;
	const { collectibles = [], hunts = [] } = release;
	return {
		head: { key, name, maker, year, theme, note, packTypes, rarities, collectibles, hunts },
		sections: release.sections.map((section, position) => ({
			...without(section, ['cards', ...SECTION_DETAILS]),
			details: detailsOf(section, SECTION_DETAILS),
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
				...without(card, CARD_DETAILS),
				details: detailsOf(card, CARD_DETAILS),
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
			look: parallel.look ?? null,
			palette: parallel.palette ?? null,
			howToTell: parallel.howToTell ?? null,
			tells: parallel.tells ?? null,
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

/** The details of a thing; null where it has none. */
function detailsOf<Thing extends object, Name extends keyof Thing>(
	thing: Thing,
	names: readonly Name[]
): Pick<Thing, Name> | null {
	const details = pickDetails(thing, names);
	return Object.keys(details).length > 0 ? details : null;
}

function without<Thing extends object, Name extends keyof Thing>(
	thing: Thing,
	names: readonly Name[]
): Omit<Thing, Name> {
	const left = { ...thing };
	for (const name of names) Reflect.deleteProperty(left, name);
	return left;
}

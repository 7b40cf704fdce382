import { formatOdds, type Odds } from '../odds.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import type { Variant } from '../variant.ts';
import type { ReleaseDraft, SectionDraft } from './draft.ts';

/** A release as a draft that states it, with every key; what is left out is what `completeDraft` fills in. */
export function draftOfRelease(release: Release): ReleaseDraft {
	const { key, name, maker, year, theme, note } = release;
	const { packTypes, rarities, sections, parallels, variants } = release;
	const { collectibles = [], hunts = [] } = release;
	return {
		release: { key, name, maker, year, ...(theme ? { theme } : {}), ...(note ? { note } : {}) },
		...filled({ packTypes, rarities, collectibles, hunts }),
		sections: sections.map(draftOfSection),
		...filled({
			parallels: parallels.map((parallel) => ({ ...parallel, runs: parallel.runs.map(withOdds) })),
			variants: variants.map(draftOfVariant)
		})
	};
}

function draftOfSection(section: Section): SectionDraft {
	const { series, odds, cards, alsoIn, listed, edition, ...rest } = section;
	return {
		...rest,
		...(listed === (section.kind !== 'extra') ? {} : { listed }),
		...(edition
			? {
					edition: {
						of: edition.of,
						...filled({ changes: edition.changes, without: edition.without }),
						...(edition.from ? { from: edition.from } : {})
					}
				}
			: {}),
		...filled({ series, alsoIn }),
		...(odds.length > 0 ? { odds: oddsText(odds) } : {}),
		cards: cards.map(({ subjects, marks, title, otherNumbers, panelOf, ...card }) => ({
			...withOdds(card),
			...(title ? { title } : {}),
			...filled({ subjects, marks, otherNumbers, panelOf })
		}))
	};
}

function draftOfVariant({ finishes, ...variant }: Variant) {
	return { ...withOdds(variant), ...(finishes ? { finishes: finishes.map(withOdds) } : {}) };
}

function withOdds<Thing extends { readonly odds?: readonly Odds[] }>({ odds, ...rest }: Thing) {
	return odds ? { ...rest, odds: oddsText(odds) } : rest;
}

function oddsText(odds: readonly Odds[]): Record<string, string> {
	return Object.fromEntries(odds.map((each) => [each.packType, formatOdds(each)]));
}

/** Only the lists that hold something. */
function filled<Lists extends Record<string, readonly unknown[]>>(lists: Lists): Partial<Lists> {
	return Object.fromEntries(
		Object.entries(lists).filter(([, list]) => list.length > 0)
	) as Partial<Lists>;
}

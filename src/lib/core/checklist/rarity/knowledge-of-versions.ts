import { group, min, rollup, sum } from 'd3-array';
import type { Card } from '../card.ts';
import type { DifficultyLevel } from '../difficulty.ts';
import type { Odds } from '../odds.ts';
import { runRuleFor } from '../parallel.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import { variantFinder } from '../variant.ts';
import { versionMaker, type Version } from '../versions/expand.ts';
import { numberingsOf } from '../numbering.ts';

/** How often a given card comes out of packs. */
export interface PackRate {
	/** Packs for one copy of it, on the average, in the pack type in which that is fewest. */
	readonly packsForOne: number;
	readonly packType: string;
	/** Whether this is the only pack type that is spoken of, so that copies follow from the packs made of it. */
	readonly isOnlyType: boolean;
	/** No odds are stated: it is what inserts leave of a pack. */
	readonly isLeftOver: boolean;
}

/** What is known of how rare a regular version is. */
export interface VersionKnowledge {
	readonly cardKey: string;
	readonly sectionKey: string;
	readonly parallelKey: string | null;
	readonly isShortPrint: boolean;
	readonly printRun: number | null;
	readonly isEstimate: boolean;
	readonly rate: PackRate | null;
	readonly difficulty: DifficultyLevel | null;
}

interface Placed {
	readonly version: Version;
	readonly section: Section;
	readonly card: Card;
	readonly shortPrint: { readonly printRun?: number; readonly confidence?: string } | undefined;
	/** The odds that speak of it, and what they are stated for. */
	readonly odds: readonly Odds[];
	readonly statedFor: unknown;
}

/** What is known of each regular version of a release, in the order of `expand`. */
export function knowledgeOfVersions(release: Release): readonly VersionKnowledge[] {
	const placed = regularVersions(release);
	// Odds are of any card that they are stated for: a given one of n takes n times as many packs.
	const sizes = rollup(
		placed,
		(same) => same.length,
		({ statedFor }) => statedFor
	);
	const types = new Set(placed.flatMap(({ odds }) => odds.map(({ packType }) => packType)));
	const leftOver = leftOverRates(release, placed);
	if (types.size === 0) for (const { packType } of leftOver) types.add(packType);
	// What fills packs fills those of every type.
	const isOnlyType = ({ packType, isLeftOver }: Pick<PackRate, 'packType' | 'isLeftOver'>) =>
		types.size === 1 && types.has(packType) && (!isLeftOver || release.packTypes.length === 1);
	return placed.map(({ version, section, card, shortPrint, odds, statedFor }) => {
		const stated = odds.map(({ packType, cards, packs }) => ({
			packType,
			packsForOne: ((sizes.get(statedFor) ?? 1) * packs) / cards,
			isLeftOver: false
		}));
		const rates = stated.length > 0 ? stated : isOfPacks(section, version) ? leftOver : [];
		const best = rates.find(
			({ packsForOne }) => packsForOne === min(rates, (rate) => rate.packsForOne)
		);
		const run = shortPrint?.printRun;
		return {
			cardKey: card.key,
			sectionKey: section.key,
			parallelKey: version.parallelKey,
			isShortPrint: shortPrint !== undefined,
			printRun: run ?? version.printRun ?? version.estimatedRun,
			isEstimate:
				run === undefined
					? version.printRun === null
					: shortPrint?.confidence !== undefined && shortPrint.confidence !== 'certain',
			// A short print is rarer than its pack says.
			rate:
				best && !(best.isLeftOver && shortPrint) ? { ...best, isOnlyType: isOnlyType(best) } : null,
			// Experience speaks of the plain card, not of its parallels or of a short print among them.
			difficulty:
				version.parallelKey === null
					? (card.difficulty?.level ?? (shortPrint ? null : (section.difficulty?.level ?? null)))
					: null
		};
	});
}

function regularVersions(release: Release): readonly Placed[] {
	const versionsOf = versionMaker(release);
	const variantsOf = variantFinder(release.variants);
	const parallels = new Map(release.parallels.map((parallel) => [parallel.key, parallel]));
	return numberingsOf(release).flatMap((numbering) =>
		numbering.cards.flatMap(({ card, section }) => {
			const deviations = variantsOf(section, card).filter(({ kind }) => kind === 'short print');
			return versionsOf(numbering.key, section, card)
				.filter(({ variantKey }) => variantKey === null)
				.map((version): Placed => {
					const parallel = parallels.get(version.parallelKey ?? '');
					const [shortPrint] = parallel ? [] : deviations;
					const rule = parallel && runRuleFor(parallel, section, card);
					const [odds, statedFor] = parallel
						? [rule?.odds ?? [], rule]
						: shortPrint?.odds
							? [shortPrint.odds, shortPrint]
							: card.odds
								? [card.odds, card]
								: [section.odds, section];
					return { version, section, card, shortPrint, odds, statedFor };
				});
		})
	);
}

/** Base cards and subsets without odds of their own are what packs are filled with. */
function isOfPacks({ kind, odds }: Section, { parallelKey }: Version): boolean {
	return parallelKey === null && odds.length === 0 && (kind === 'base' || kind === 'subset');
}

/** Packs for a given card of those that fill the packs, by pack type: a place in a pack is as likely each one's. */
function leftOverRates(
	{ packTypes }: Release,
	placed: readonly Placed[]
): readonly {
	readonly packType: string;
	readonly packsForOne: number;
	readonly isLeftOver: true;
}[] {
	const filling = placed.filter(
		({ section, version, odds, shortPrint }) =>
			isOfPacks(section, version) && odds.length === 0 && !shortPrint
	).length;
	const stated = group(placed, ({ statedFor }) => statedFor);
	return packTypes.flatMap(({ key, cardsPerPack }) => {
		if (cardsPerPack === undefined || filling === 0) return [];
		const inserted = sum([...stated.values()], ([first]) =>
			sum(first?.odds ?? [], ({ packType, cards, packs }) => (packType === key ? cards / packs : 0))
		);
		const left = cardsPerPack - inserted;
		return left > 0
			? [{ packType: key, packsForOne: filling / left, isLeftOver: true as const }]
			: [];
	});
}

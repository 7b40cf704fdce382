import type { Card } from '../card.ts';
import type { Evidence } from '../confidence.ts';
import { narrowness } from '../card-selector.ts';
import { numberingsOf } from '../numbering.ts';
import { runRuleFor, type Parallel } from '../parallel.ts';
import type { Swatch } from '../swatch.ts';
import type { Release } from '../release.ts';
import type { Section } from '../section.ts';
import { addedVariants, variantFinder, type Variant } from '../variant.ts';
import { isBeside } from '../with-collectibles.ts';
import { formatVersionKey } from './version-key.ts';

/** One collectible thing: a card in one finish, regular or as one of its variants. */
export interface Version {
	readonly key: string;
	readonly cardKey: string;
	readonly sectionKey: string;
	/** The section that owns the numbering the card is filed in. */
	readonly numberingKey: string;
	/** null: the base finish */
	readonly parallelKey: string | null;
	/** null: the regular card */
	readonly variantKey: string | null;
	/** Copies made, where the run is stamped on them; otherwise null. */
	readonly printRun: number | null;
	/** Copies made as people guess ("some two thousand"), where no run is stamped; null: nobody does. */
	readonly estimatedRun: number | null;
	/** Whether this level of the card holds a swatch; null where none is in question. */
	readonly swatch: Swatch | null;
}

/** A finish in which a card was made. */
interface Finish {
	readonly parallel: Parallel | null;
	readonly run: Run;
	readonly swatch: Swatch | null;
}

type Run = Pick<Version, 'printRun' | 'estimatedRun'>;
const NO_RUN: Run = { printRun: null, estimatedRun: null };

/** A run as a rule states it: stamped, unless the rule says that it is not certain. */
function runOf({ printRun, confidence }: { readonly printRun?: number } & Evidence): Run {
	if (printRun === undefined) return NO_RUN;
	return confidence === undefined || confidence === 'certain'
		? { printRun, estimatedRun: null }
		: { printRun: null, estimatedRun: printRun };
}

/**
 * How often a variation was printed is told of the base finish; in another that one's run is stamped,
 * unless it is told apart.
 */
function runIn(variant: Variant | null, { parallel, run }: Finish): Run {
	if (!variant) return run;
	if (!parallel) return runOf(variant);
	const apart = variant.finishes?.find((finish) => finish.parallel === parallel.key);
	return apart?.printRun === undefined ? run : runOf({ ...variant, printRun: apart.printRun });
}

/** The finishes of a card: base first, then the parallels that were made of it, in their order. */
function finishesOf(release: Release, section: Section, card: Card): readonly Finish[] {
	if (isBeside(section)) return [{ parallel: null, run: NO_RUN, swatch: null }];
	const finishes: Finish[] = section.noBaseFinish
		? []
		: [
				{
					parallel: null,
					run: runOf({ printRun: section.printRun }),
					swatch: section.swatch ?? null
				}
			];
	for (const parallel of release.parallels) {
		const rule = runRuleFor(parallel, section, card);
		if (rule) {
			finishes.push({ parallel, run: runOf(rule), swatch: rule.swatch ?? null });
		}
	}
	return finishes;
}

/** Gives the versions of one card: finish by finish (base first), the regular card before its variants. */
export type VersionMaker = (
	numberingKey: string,
	section: Section,
	card: Card
) => readonly Version[];

/** Prepares the rules of a release for asking them of one card after the other. */
export function versionMaker(release: Release): VersionMaker {
	// Most sections have no rules for single cards: all their cards come in the same finishes.
	const shared = new Map<Section, readonly Finish[] | null>();
	const finishesIn = (section: Section, card: Card): readonly Finish[] => {
		let finishes = shared.get(section);
		if (finishes === undefined) {
			finishes = isUniform(release, section) ? finishesOf(release, section, card) : null;
			shared.set(section, finishes);
		}
		return finishes ?? finishesOf(release, section, card);
	};
	const findVariants = variantFinder(release.variants);
	return (numberingKey, section, card) => {
		const deviations = isBeside(section) ? [] : findVariants(section, card);
		const versions: Version[] = [];
		for (const finish of finishesIn(section, card)) {
			const parallelKey = finish.parallel?.key ?? null;
			const add = (variant: Variant | null) =>
				versions.push({
					key: formatVersionKey({
						release: release.key,
						card: card.key,
						parallel: parallelKey,
						variant: variant?.key ?? null
					}),
					cardKey: card.key,
					sectionKey: section.key,
					numberingKey,
					parallelKey,
					variantKey: variant?.key ?? null,
					...runIn(variant, finish),
					swatch: finish.swatch
				});
			add(null);
			if (deviations.length > 0) addedVariants(deviations, parallelKey).forEach(add);
		}
		return versions;
	};
}

/**
 * Derives every version of a release from its rules, by numbering, then card. An empty release has
 * none. A version exists once: rules of one parallel that meet at a card yield one version, a swatch
 * or its lack never two, an uncorrected error or a short print none beside the regular one.
 */
export function expand(release: Release): readonly Version[] {
	const versionsOf = versionMaker(release);
	return numberingsOf(release).flatMap((numbering) =>
		numbering.cards.flatMap(({ card, section }) => versionsOf(numbering.key, section, card))
	);
}

function isUniform(release: Release, section: Section): boolean {
	return release.parallels.every(({ runs }) =>
		runs.every(
			(rule) =>
				narrowness(rule) === 0 ||
				(rule.sections !== undefined && !rule.sections.includes(section.key))
		)
	);
}

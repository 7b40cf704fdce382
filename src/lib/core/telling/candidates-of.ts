import type { Card } from '../checklist/card.ts';
import type { Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import { expectedLettering } from '../checklist/strip-lettering.ts';
import type { Candidate, Tell } from '../checklist/tell.ts';
import type { Version } from '../checklist/versions/expand.ts';
import { runRuleFor } from '../checklist/parallel.ts';
import { parseVersionKey } from '../checklist/versions/version-key.ts';
import { featureName } from './features.ts';

/** A version that a card in the hand may be. */
export interface VersionOfCard {
	readonly release: Release;
	readonly section: Section;
	readonly card: Card;
	readonly version: Version;
}

/**
 * Versions as candidates: what a variant shows stands before what its finish shows, that before what its
 * section does; tells of other groups, places in the strip or tags are left out. The letters along the edge of a
 * strip are a tell as well. What was made often is likelier than what was made seldom: by the run, else by
 * stated odds (1:8 is an eighth of the base), else a base finish counts as 1,000, a parallel as 100, a
 * variant as a tenth of its card; figures without a run or odds are assumptions of ours. A finish that is
 * owned often is up to twice as likely, by its share of the release's copies; never so that what is rare
 * would not be asked for any more.
 *
 * @param owned version key → copies; left out: nothing is known
 */
export function candidatesOf(
	versions: readonly VersionOfCard[],
	owned: ReadonlyMap<string, number> = new Map()
): readonly Candidate[] {
	const shares = sharesOfFinishes(versions, owned);
	return versions.map((of) => {
		const { release, section, card, version } = of;
		const parallel = release.parallels.find(({ key }) => key === version.parallelKey);
		const variant = release.variants.find(({ key }) => key === version.variantKey);
		const letters = expectedLettering(section, card);
		const lettering: readonly Tell[] =
			letters === undefined ? [] : [{ feature: LETTERS, value: letters ?? 'none' }];
		const told = [
			variant?.tells ?? [],
			parallel?.tells ?? [],
			section.tells ?? [],
			lettering
		].flatMap((tells) => {
			const held = tells.filter((tell) => holdsFor(tell, card));
			// What is said of its group, place or tag stands before what is said of all.
			return [...held.filter(isNarrow), ...held.filter((tell) => !isNarrow(tell))];
		});
		const seen = new Set<string>();
		const tells = told.filter(({ feature }) => {
			const name = featureName(feature);
			if (seen.has(name)) return false;
			seen.add(name);
			return true;
		});
		const weight = weightOf(of) * (1 + (shares.get(version.parallelKey) ?? 0));
		return { key: version.key, weight, tells };
	});
}

/** What the letters along the edge of a strip are called as a feature. */
const LETTERS = 'letters along the edge';
const USUAL_RUN = { base: 1000, parallel: 100, variant: 0.1 } as const;

function weightOf({ release, section, card, version }: VersionOfCard): number {
	const { printRun, estimatedRun, parallelKey, variantKey } = version;
	const run = printRun ?? estimatedRun;
	if (run !== null) return run;
	const parallel = release.parallels.find(({ key }) => key === parallelKey);
	const odds = (parallel && runRuleFor(parallel, section, card)?.odds) ?? [];
	const made =
		odds.length > 0
			? USUAL_RUN.base * Math.min(1, Math.max(...odds.map(({ cards, packs }) => cards / packs)))
			: parallelKey === null
				? USUAL_RUN.base
				: USUAL_RUN.parallel;
	return variantKey === null ? made : made * USUAL_RUN.variant;
}

/** The share of each finish among the copies that are owned of the release; none owned: nothing. */
function sharesOfFinishes(
	versions: readonly VersionOfCard[],
	owned: ReadonlyMap<string, number>
): ReadonlyMap<string | null, number> {
	const counts = new Map<string | null, number>();
	let whole = 0;
	const prefix = `${versions[0]?.release.key ?? ''}/`;
	for (const [key, count] of owned) {
		const name = key.startsWith(prefix) ? parseVersionKey(key) : null;
		if (!name) continue;
		counts.set(name.parallel, (counts.get(name.parallel) ?? 0) + count);
		whole += count;
	}
	return new Map([...counts].map(([finish, count]) => [finish, whole > 0 ? count / whole : 0]));
}

const isNarrow = ({ groups, places, tags }: Tell) =>
	groups !== undefined || places !== undefined || tags !== undefined;

function holdsFor({ groups, places, tags = {} }: Tell, { group, place, tags: of }: Card): boolean {
	const bears = ([family, words]: [string, readonly string[]]) =>
		words.some((word) => of && Object.hasOwn(of, family) && of[family]?.includes(word));
	if (!Object.entries(tags).every(bears)) return false;
	if (groups && !groups.some((each) => each === group)) return false;
	return !places || (place !== undefined && places.includes(place));
}

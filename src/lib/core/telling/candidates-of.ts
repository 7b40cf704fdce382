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
 * section does; tells of other groups or places in the strip are left out. The letters along the edge of a
 * strip are a tell as well. What was made often is likelier than what was made seldom: by the run, else by
 * stated odds (1:8 is an eighth of the base), else a base finish counts as 1,000, a parallel as 100, a
 * variant as a tenth of its card. What this collector owns of the release counts as well: as many copies of
 * a finish or of a deviation as are owned, beside twenty that are shared out as they were made (figures
 * without a run or odds are assumptions of ours).
 *
 * @param owned version key → copies; left out: nothing is known
 */
export function candidatesOf(
	versions: readonly VersionOfCard[],
	owned: ReadonlyMap<string, number> = new Map()
): readonly Candidate[] {
	const made = versions.map(weightOf);
	const whole = made.reduce((sum, weight) => sum + weight, 0);
	const mine = ownedLike(versions, owned);
	return versions.map(({ release, section, card, version }, i) => {
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
			// What is said of its group or place stands before what is said of all.
			return [...held.filter(isNarrow), ...held.filter((tell) => !isNarrow(tell))];
		});
		const seen = new Set<string>();
		const tells = told.filter(({ feature }) => {
			const name = featureName(feature);
			if (seen.has(name)) return false;
			seen.add(name);
			return true;
		});
		const weight = mine ? (PRIOR_COPIES * (made[i] ?? 0)) / whole + (mine[i] ?? 0) : (made[i] ?? 0);
		return { key: version.key, weight, tells };
	});
}

/** What the letters along the edge of a strip are called as a feature. */
const LETTERS = 'letters along the edge';
const USUAL_RUN = { base: 1000, parallel: 100, variant: 0.1 } as const;

/** What is known of how often things are made counts as so many copies of one's own. */
const PRIOR_COPIES = 20;

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

/** Copies owned of the release in the finish of each, regular or deviating like it; null: none of any. */
function ownedLike(
	versions: readonly VersionOfCard[],
	owned: ReadonlyMap<string, number>
): readonly number[] | null {
	const kind = (parallel: string | null, variant: string | null) =>
		`${parallel ?? ''} ${variant === null ? 'regular' : 'deviates'}`;
	const counts = new Map<string, number>();
	const [first] = versions;
	const prefix = `${first?.release.key ?? ''}/`;
	for (const [key, count] of owned) {
		if (!key.startsWith(prefix)) continue;
		const name = parseVersionKey(key);
		if (!name) continue;
		const of = kind(name.parallel, name.variant);
		counts.set(of, (counts.get(of) ?? 0) + count);
	}
	if (counts.size === 0) return null;
	return versions.map(
		({ version }) => counts.get(kind(version.parallelKey, version.variantKey)) ?? 0
	);
}

const isNarrow = ({ groups, places }: Tell) => groups !== undefined || places !== undefined;

function holdsFor({ groups, places }: Tell, { group, place }: Card): boolean {
	if (groups && !groups.some((each) => each === group)) return false;
	return !places || (place !== undefined && places.includes(place));
}

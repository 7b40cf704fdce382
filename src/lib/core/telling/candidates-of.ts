import type { Card } from '../checklist/card.ts';
import type { Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import { expectedLettering } from '../checklist/strip-lettering.ts';
import type { Candidate, Tell } from '../checklist/tell.ts';
import type { Version } from '../checklist/versions/expand.ts';
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
 * strip are a tell as well. What was made often is likelier than what was made seldom: without a known run
 * a base finish counts as 1,000, a parallel as 100, a variant as a tenth of its card (assumptions of ours).
 */
export function candidatesOf(versions: readonly VersionOfCard[]): readonly Candidate[] {
	return versions.map(({ release, section, card, version }) => {
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
		return { key: version.key, weight: weightOf(version), tells };
	});
}

/** What the letters along the edge of a strip are called as a feature. */
const LETTERS = 'letters along the edge';
const USUAL_RUN = { base: 1000, parallel: 100, variant: 0.1 } as const;

function weightOf({ printRun, estimatedRun, parallelKey, variantKey }: Version): number {
	const made =
		printRun ?? estimatedRun ?? (parallelKey === null ? USUAL_RUN.base : USUAL_RUN.parallel);
	return variantKey !== null && printRun === null && estimatedRun === null
		? made * USUAL_RUN.variant
		: made;
}

const isNarrow = ({ groups, places }: Tell) => groups !== undefined || places !== undefined;

function holdsFor({ groups, places }: Tell, { group, place }: Card): boolean {
	if (groups && !groups.some((each) => each === group)) return false;
	return !places || (place !== undefined && places.includes(place));
}

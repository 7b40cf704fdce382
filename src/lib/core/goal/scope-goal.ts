import { expand, type Version } from '../checklist/expand.ts';
import { isNamed } from '../checklist/card-selector.ts';
import { cardsOf, type Release } from '../checklist/release.ts';
import { presetOf, type PresetKey } from './preset.ts';
import type { Slot } from './slot.ts';

/** What complete means, as rules over one release. */
export interface GoalRules {
	readonly preset: PresetKey;
	/** The parallel of a parallel run; ignored by the other presets. */
	readonly parallel?: string;
}

/** A slot with the version that names it: where it stands in the release. */
export interface ScopedSlot extends Slot {
	readonly version: Version;
}

/** Panels whose single cards are all asked for: panel and singles are alternatives, never both. */
function panelsInSingles(release: Release, asked: ReadonlySet<string>): ReadonlySet<string> {
	const cards = cardsOf(release).map(({ card }) => card);
	return new Set(
		cards
			.filter(
				({ panelOf }) =>
					panelOf.length > 0 &&
					panelOf.every((name) => cards.some((card) => isNamed(card, name) && asked.has(card.key)))
			)
			.map(({ key }) => key)
	);
}

/**
 * The slots of a goal over a release: one a version in scope, in the order of `expand`.
 * A parallel run without a (known) parallel has none.
 */
export function scopeGoal(release: Release, rules: GoalRules): readonly ScopedSlot[] {
	const preset = presetOf(rules.preset);
	const kinds = new Map(release.sections.map((section) => [section.key, section.kind]));
	const inScope = (version: Version): boolean => {
		const kind = kinds.get(version.sectionKey);
		if (kind === undefined || !preset.kinds.includes(kind)) return false;
		if (preset.finishes === 'all') return true;
		if (version.variantKey !== null) return false;
		if (preset.finishes === 'base') return version.parallelKey === null;
		return rules.parallel !== undefined && version.parallelKey === rules.parallel;
	};
	const versions = expand(release).filter(inScope);
	const pulledApart = panelsInSingles(release, new Set(versions.map(({ cardKey }) => cardKey)));
	return versions
		.filter(({ cardKey }) => !pulledApart.has(cardKey))
		.map((version) => ({ key: version.key, versions: [version.key], quantity: 1, version }));
}

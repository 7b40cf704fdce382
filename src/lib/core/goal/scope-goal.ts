import { expand, type Version } from '../checklist/expand.ts';
import type { Release } from '../checklist/release.ts';
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
	return expand(release)
		.filter(inScope)
		.map((version) => ({ key: version.key, versions: [version.key], quantity: 1, version }));
}

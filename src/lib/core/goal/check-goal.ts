import { cardsOf, type Release } from '../checklist/release.ts';
import { cardFinder } from '../checklist/versions/find-version.ts';
import { parseVersionKey } from '../checklist/versions/version-key.ts';
import type { Problem } from '../problem.ts';
import { resolveRules, type GoalChoice } from './goal-rules.ts';
import { presetOf } from './preset.ts';

/**
 * What cannot be asked for of these releases: a preset without what it needs chosen, parallels, sections
 * or cards that are not there. All problems at once; none: the goal can be set.
 *
 * @param releases all that the goal goes over
 */
export function checkGoal(releases: readonly Release[], choice: GoalChoice): readonly Problem[] {
	const rules = resolveRules(choice);
	const problem = (field: string, message: string, remedy: string): Problem => ({
		field,
		pointer: `/${field}`,
		message,
		remedy
	});
	const lacks = lackOf(choice);
	const parallels = new Set(releases.flatMap((release) => release.parallels.map(({ key }) => key)));
	const sections = new Set(
		releases.flatMap(({ key, sections: inRelease }) =>
			inRelease.map((section) => `${key}/${section.key}`)
		)
	);
	const strangers = (
		field: 'parallels' | 'picked' | 'sectionsIn' | 'sectionsOut' | 'series',
		known: Set<string>
	) =>
		(rules[field] ?? [])
			.filter((key) => !known.has(key))
			.slice(0, 50)
			.map((key) =>
				problem(field, `there is no "${key}" here`, 'Take it out, or choose another one.')
			);
	const series = new Set(
		releases.flatMap((release) =>
			release.sections.flatMap((section) => section.series.map(({ name }) => name))
		)
	);
	const cards = new Set(
		rules.picked?.length
			? releases.flatMap((release) =>
					cardsOf(release).map(({ card }) => `${release.key}/${card.key}`)
				)
			: []
	);
	return [
		...(lacks ? [problem(lacks.field, lacks.message, 'Choose one.')] : []),
		...strangers('parallels', parallels),
		...strangers('sectionsIn', sections),
		...strangers('sectionsOut', sections),
		...strangers('picked', cards),
		...strangers('series', series),
		...strangeVersions(releases, rules.versions)
	];
}

/** Versions that the releases do not make. */
function strangeVersions(
	releases: readonly Release[],
	versions: readonly string[]
): readonly Problem[] {
	if (versions.length === 0) return [];
	const finders = new Map(releases.map((release) => [release.key, cardFinder(release)]));
	return versions
		.filter((key) => !finders.get(parseVersionKey(key)?.release ?? '')?.(key))
		.slice(0, 50)
		.map((key) => ({
			field: 'versions',
			pointer: '/versions',
			message: `there is no "${key}" here`,
			remedy: 'Take it out, or choose another one.'
		}));
}

/** What a preset or a rule asks for and the choice does not give. */
function lackOf(choice: GoalChoice): { readonly field: string; readonly message: string } | null {
	const { asks, name } = presetOf(choice.preset);
	const { finishes, parallels, picked, subject, group, versions } = resolveRules(choice);
	if (parallels.length === 0 && (finishes === 'chosen' || asks === 'parallel')) {
		return { field: 'parallels', message: `"${name}" needs a parallel` };
	}
	switch (asks) {
		case 'card':
		case 'cards':
			return picked?.length || versions.length > 0
				? null
				: { field: 'picked', message: `"${name}" needs a card` };
		case 'subject':
			return subject ? null : { field: 'subject', message: `"${name}" needs a subject` };
		case 'group':
			return group ? null : { field: 'group', message: `"${name}" needs a group` };
		case 'parallel':
		case 'nothing':
			return null;
	}
}

import type { Release } from '../checklist/release.ts';
import { resolveRules, type GoalChoice } from './goal-rules.ts';
import { scopeGoals } from './scope-goal.ts';

/** Where a goal that is done may go on to. */
export interface Ring {
	readonly key: RingKey;
	readonly name: string;
	/** What it adds, in one line. */
	readonly meaning: string;
	readonly rules: GoalChoice;
	/** Slots that come in beside those of now. */
	readonly more: number;
}

const RINGS = {
	subsets: {
		name: 'Subsets',
		meaning: 'Every subset in its numbering.',
		grow: ({ kinds }) => ({ kinds: [...new Set([...kinds, 'base', 'subset'] as const)] })
	},
	inserts: {
		name: 'Inserts',
		meaning: 'Every insert set.',
		grow: ({ kinds }) => ({ kinds: [...new Set([...kinds, 'insert'] as const)] })
	},
	variations: {
		name: 'Variations',
		meaning: 'Each variation as a slot of its own.',
		grow: () => ({ variants: 'each' })
	},
	errors: {
		name: 'Errors',
		meaning: 'The error and the corrected card, both.',
		grow: () => ({ errors: 'both' })
	},
	extras: {
		name: 'Extras',
		meaning: 'Promos, stickers, re-issues: what the list omits.',
		grow: ({ kinds }) => ({ kinds: [...new Set([...kinds, 'extra'] as const)], editions: true })
	},
	parallels: {
		name: 'Parallels',
		meaning: 'Every finish of every card.',
		grow: () => ({ finishes: 'all' })
	},
	'another set': {
		name: 'Another set',
		meaning: 'The doubles become a set of their own.',
		grow: ({ sets }) => ({ sets: sets + 1 })
	}
} as const satisfies Record<
	string,
	{
		readonly name: string;
		readonly meaning: string;
		readonly grow: (rules: ReturnType<typeof resolveRules>) => Partial<GoalChoice>;
	}
>;

export type RingKey = keyof typeof RINGS;
export const RING_KEYS = Object.keys(RINGS) as RingKey[];
/** A goal has at most so many sets. */
const MOST_SETS = 100;

/**
 * The next rings around a goal: what more may be asked for, with how many slots it brings; those that
 * bring none are left out. Nearest first, as people go on.
 */
export function nextRings(releases: readonly Release[], choice: GoalChoice): readonly Ring[] {
	const rules = resolveRules(choice);
	// Every set asks for the same: one is counted.
	const countOf = (asked: GoalChoice) => scopeGoals(releases, { ...asked, sets: 1 }).slots.length;
	const now = countOf(choice);
	return RING_KEYS.flatMap((key): readonly Ring[] => {
		if (key === 'another set' && rules.sets >= MOST_SETS) return [];
		const { name, meaning, grow } = RINGS[key];
		const grown: GoalChoice = { ...choice, ...grow(rules) };
		const more = countOf(grown) * resolveRules(grown).sets - now * rules.sets;
		return more > 0 ? [{ key, name, meaning, rules: grown, more }] : [];
	});
}

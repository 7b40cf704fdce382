import { deepEqual } from 'fast-equals';
import { bad, good, type Outcome, type Problem } from '../problem.ts';
import { resolveRules, type GoalChoice, type GoalRules } from './goal-rules.ts';

/** What is decided of a goal. */
export interface DecidedGoal {
	readonly name: string;
	readonly rules: GoalChoice;
}

/** Words for the rules that two may decide otherwise. */
const RULE_WORDS: Partial<Record<keyof GoalRules | 'name' | 'preset' | 'parallel', string>> = {
	preset: 'the school',
	parallel: 'the parallel of the run',
	kinds: 'the kinds of sections',
	sectionsIn: 'the sections that count',
	sectionsOut: 'the sections that do not count',
	parallels: 'the parallels',
	leastRun: 'the least run',
	sectionConditions: 'the least condition by section',
	keepsOwn: 'whether it keeps its own copies',
	sets: 'how many sets',
	versions: 'single versions',
	collectibles: 'what is beside the cards'
};

/**
 * A goal that was decided in two windows at once: what this one changed of what it saw, on top of what is there now. A rule
 * that both decided, and otherwise, is a problem.
 *
 * @param seen what this window saw when it began
 */
export function mergeGoal(
	seen: DecidedGoal,
	wanted: DecidedGoal,
	present: DecidedGoal
): Outcome<DecidedGoal> {
	if (deepEqual(seen, present)) return good(wanted);
	const [was, mine, now] = [fieldsOf(seen), fieldsOf(wanted), fieldsOf(present)];
	const problems: Problem[] = [];
	const merged: Record<string, unknown> = {};
	for (const field of new Set([...Object.keys(was), ...Object.keys(mine), ...Object.keys(now)])) {
		const isMine = !deepEqual(was[field], mine[field]);
		const isTheirs = !deepEqual(was[field], now[field]);
		if (isMine && isTheirs && !deepEqual(mine[field], now[field])) {
			const words = RULE_WORDS[field as keyof GoalRules] ?? `the rule "${field}"`;
			problems.push({
				field,
				message: `${field === 'name' ? 'the name' : words} was decided otherwise meanwhile, in another window`,
				remedy: 'Reload the page to see it, and decide again.'
			});
		}
		merged[field] = isMine ? mine[field] : now[field];
	}
	if (problems.length > 0) return bad(problems);
	const { name, preset, parallel, ...rules } = merged as unknown as DecidedGoal &
		Pick<GoalChoice, 'preset' | 'parallel'> &
		GoalRules;
	const school = { preset, ...(parallel === undefined ? {} : { parallel }) };
	const usual = fieldsOf({ name, rules: school });
	const decided = Object.entries(rules).filter(([field, value]) => !deepEqual(usual[field], value));
	return good({ name, rules: { ...school, ...Object.fromEntries(decided) } });
}

/** Every rule as it is decided, by the school where the choice leaves it open. */
function fieldsOf({ name, rules }: DecidedGoal): Readonly<Record<string, unknown>> {
	const { preset, parallel } = rules;
	return { name, preset, parallel, ...resolveRules(rules) };
}

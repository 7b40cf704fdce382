import { formatProblem, type Outcome } from '../../core/problem.ts';

/** The demo's own files are right, or the program is broken. */
export function must<Value>(outcome: Outcome<Value>): Value {
	if (outcome.ok) return outcome.value;
	throw new RangeError(`loadDemo: ${outcome.problems.map(formatProblem).join('\n')}`);
}

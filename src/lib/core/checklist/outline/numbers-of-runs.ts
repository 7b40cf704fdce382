import type { Problem } from '../../problem.ts';
import { formatCardNumber, parseCardNumber, runStem } from '../numbers/card-number.ts';
import type { NumberRun } from './outline.ts';

/** All numbers of some runs, in their order. A run that goes backwards, mixes prefixes or is endless is a problem. */
export function numbersOfRuns(
	runs: readonly NumberRun[],
	line: number,
	problems: Problem[]
): string[] {
	return runs.flatMap(({ from, to }) => {
		const low = parseCardNumber(from);
		const typed = parseCardNumber(to);
		// "F1-15" and "2-1 to 18" leave out what both have.
		const high = {
			...typed,
			...(typed.prefix === '' && !typed.roman && !low.roman ? { prefix: low.prefix } : {}),
			...(typed.series === null ? { series: low.series } : {})
		};
		const count = (high.digits ?? 0) - (low.digits ?? 0) + 1;
		const fault =
			runStem(low) !== runStem(high)
				? `${from} and ${to} are not numbers of one run`
				: count < 1
					? `the range ${from}–${to} runs backwards`
					: null;
		if (fault) {
			problems.push({
				line,
				message: fault,
				remedy: count < 1 ? `Write ${to}-${from}.` : 'Write a run for each of them.'
			});
			return [];
		}
		return Array.from({ length: count }, (_, i) =>
			formatCardNumber({ ...low, digits: (low.digits ?? 0) + i, zeros: i === 0 ? low.zeros : 0 })
		);
	});
}

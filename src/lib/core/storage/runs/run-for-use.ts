import { wholeRun, type Run } from './run.ts';

/**
 * The run in which cards stand in boxes of their use: what is kept apart by its use stands release by release,
 * and so does what a checklist does not list any more.
 */
export function runForUse(isKeptApart: boolean, run: Run): Run {
	return isKeptApart || run.section === null ? wholeRun(run.release) : run;
}

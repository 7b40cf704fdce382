import type { BoxUse } from '../kinds/box-use.ts';
import { isKeptApart } from '../kinds/use-of-copy.ts';
import { wholeRun, type Run } from './run.ts';

/**
 * The run in which cards stand in boxes of a use: what is kept apart by its use stands release by release,
 * and so does what a checklist does not list any more.
 */
export function runForUse(use: BoxUse, run: Run): Run {
	return isKeptApart(use) || run.section === null ? wholeRun(run.release) : run;
}

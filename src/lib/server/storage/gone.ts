import type { Problem } from '../../core/problem.ts';

/** What is told of a row that is not there any more. */
export const gone = (what: string): Problem => ({
	message: `there is no such ${what}`,
	remedy: 'It may have been removed; undo brings it back.'
});

import { fail } from '@sveltejs/kit';
import type { Outcome } from '../core/problem.ts';

/** What a form of a page answers: which part of the page it was, and what went wrong or was done. */
export const answer = (part: string, done: Outcome<unknown>, told = '') =>
	done.ok ? { part, told } : fail(400, { part, problems: done.problems });

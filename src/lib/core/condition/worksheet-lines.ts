import { conditionOf } from '../copies/condition-word.ts';
import { bad, good, type Outcome, type Problem } from '../problem.ts';
import type { AspectLevel, CentringLimit } from './worksheet-levels.ts';

const MOST_LEVELS = 12;
const MOST_LETTERS = 200;

/**
 * The worst centring that a word still allows, a line each. Law: parse(format(x)) = x.
 *
 * @example formatLimitLines([{ word: 'mint', frontPercent: 60, backPercent: 75 }]) // 'mint: 60 front, 75 back'
 */
export function formatLimitLines(limits: readonly CentringLimit[]): string {
	return limits
		.map(
			({ word, frontPercent, backPercent }) => `${word}: ${frontPercent} front, ${backPercent} back`
		)
		.join('\n');
}

/** Reads such lines: `word ":" percent "front," percent "back"`, the best word first, each allowing more than the one before. */
export function parseLimitLines(text: string): Outcome<readonly CentringLimit[]> {
	const problems: Problem[] = [];
	const limits = linesOf(text).flatMap(({ line, at }): readonly CentringLimit[] => {
		const [, said = '', front, back] =
			/^([^:]+?)\s*:\s*(\d{1,3}(?:[.,]\d+)?)\s+front\s*,\s*(\d{1,3}(?:[.,]\d+)?)\s+back$/i.exec(
				line
			) ?? [];
		const word = conditionOf(said.toLowerCase());
		const [frontPercent, backPercent] = [front, back].map((each) =>
			Number((each ?? '').replace(',', '.'))
		);
		const isPercent = (value: number | undefined) =>
			value !== undefined && value >= 50 && value <= 100;
		if (word === null || !isPercent(frontPercent) || !isPercent(backPercent)) {
			const remedy = 'Write "mint: 60 front, 75 back"; the wider border makes 50 to 100 % of both.';
			problems.push({ message: `line ${at}: "${line.slice(0, 40)}" is not understood`, remedy });
			return [];
		}
		return [{ word, frontPercent: frontPercent ?? 0, backPercent: backPercent ?? 0 }];
	});
	limits.forEach(({ word, frontPercent, backPercent }, i) => {
		const before = limits[i - 1];
		if (!before || (frontPercent >= before.frontPercent && backPercent >= before.backPercent))
			return;
		const remedy = 'Put the best word first; a lesser word allows as much or more.';
		problems.push({ message: `${word} allows less than ${before.word}`, remedy });
	});
	problems.push(...twice(limits.map(({ word }) => word)));
	if (limits.length === 0 && problems.length === 0) problems.push(EMPTY);
	return problems.length > 0 ? bad(problems) : good(limits);
}

/**
 * What is looked for of an aspect, a line each, the best first. Law: parse(format(x)) = x.
 *
 * @example formatLevelLines([{ key: 'sharp', word: 'mint', lookFor: 'Comes to a point.' }]) // 'sharp, mint: Comes to a point.'
 */
export function formatLevelLines(levels: readonly AspectLevel[]): string {
	return levels.map(({ key, word, lookFor }) => `${key}, ${word}: ${lookFor}`).join('\n');
}

/** Reads such lines: `level "," word ":" what it looks like`. A level bears neither comma nor colon. */
export function parseLevelLines(text: string): Outcome<readonly AspectLevel[]> {
	const problems: Problem[] = [];
	const levels = linesOf(text).flatMap(({ line, at }): readonly AspectLevel[] => {
		const [, key = '', said = '', lookFor = ''] =
			/^([^,:]+?)\s*,\s*([^:]+?)\s*:\s*(.*)$/.exec(line) ?? [];
		const word = conditionOf(said.toLowerCase());
		if (key === '' || word === null || lookFor.length > MOST_LETTERS || key.length > 60) {
			const remedy = 'Write "sharp, mint: Comes to a point."';
			problems.push({ message: `line ${at}: "${line.slice(0, 40)}" is not understood`, remedy });
			return [];
		}
		return [{ key, word, lookFor }];
	});
	if (levels.length > MOST_LEVELS) {
		problems.push({ message: `${levels.length} levels`, remedy: `At most ${MOST_LEVELS}.` });
	}
	problems.push(...twice(levels.map(({ key }) => key)));
	if (levels.length === 0 && problems.length === 0) problems.push(EMPTY);
	return problems.length > 0 ? bad(problems) : good(levels);
}

const EMPTY: Problem = { message: 'nothing is written', remedy: 'Write a line for each.' };

function twice(names: readonly string[]): readonly Problem[] {
	return [...new Set(names.filter((name, i) => names.indexOf(name) < i))].map((name) => ({
		message: `"${name}" is there twice`,
		remedy: 'Name each once.'
	}));
}

function linesOf(text: string): readonly { readonly line: string; readonly at: number }[] {
	return text
		.split(/\r?\n/)
		.map((line, i) => ({ line: line.trim(), at: i + 1 }))
		.filter(({ line }) => line !== '');
}

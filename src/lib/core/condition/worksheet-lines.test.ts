import fc from 'fast-check';
import { expect, test } from 'vitest';
import { CONDITIONS } from '../copies/condition.ts';
import { stackThickness } from '../measuring/stack-thickness.ts';
import { ASPECT_LEVELS, ASPECTS, CENTRING_LIMITS } from './worksheet-levels.ts';
import {
	formatLevelLines,
	formatLimitLines,
	parseLevelLines,
	parseLimitLines
} from './worksheet-lines.ts';

test('for all tables: parse(format(x)) = x; the usual ones, too', () => {
	expect(parseLimitLines(formatLimitLines(CENTRING_LIMITS))).toMatchObject({
		value: CENTRING_LIMITS
	});
	for (const aspect of ASPECTS) {
		const levels = ASPECT_LEVELS[aspect];
		expect(parseLevelLines(formatLevelLines(levels))).toMatchObject({ value: levels });
	}
	const percents = fc.array(fc.integer({ min: 500, max: 1000 }), { minLength: 6, maxLength: 6 });
	fc.assert(
		fc.property(percents, percents, fc.integer({ min: 1, max: 6 }), (fronts, backs, count) => {
			const rising = (some: number[]) => some.sort((a, b) => a - b).map((each) => each / 10);
			const [front, back] = [rising(fronts), rising(backs)];
			const limits = CONDITIONS.slice(0, count).map((word, i) => ({
				...{ word, frontPercent: front[i] ?? 50, backPercent: back[i] ?? 50 }
			}));
			expect(parseLimitLines(formatLimitLines(limits))).toMatchObject({ value: limits });
		})
	);
});

test.each<[string, string, RegExp]>([
	['nothing', '', /nothing is written/],
	['below a half', 'mint: 40 front, 75 back', /line 1/],
	['no such word', 'superb: 60 front, 75 back', /line 1/],
	[
		'less than the better word',
		'mint: 70 front, 75 back\ngood: 60 front, 80 back',
		/good allows less than mint/
	],
	['twice', 'mint: 60 front, 75 back\nmint: 60 front, 75 back', /"mint" is there twice/]
])('limits, %s', (_, text, told) => {
	const read = parseLimitLines(text);
	expect(read.ok ? '' : read.problems.map(({ message }) => message).join()).toMatch(told);
});

test.each<[string, string, RegExp]>([
	['nothing', ' ', /nothing is written/],
	['no word', 'sharp: to a point', /line 1/],
	['no such word', 'sharp, superb: to a point', /line 1/],
	['twice', 'a, mint: x\na, good: y', /"a" is there twice/]
])('levels, %s', (_, text, told) => {
	const read = parseLevelLines(text);
	expect(read.ok ? '' : read.problems.map(({ message }) => message).join()).toMatch(told);
});

test('a stack: the more cards, the less a misreading counts', () => {
	// 20 cards of 18 pt: 20 × 18 × 0.0254 mm.
	expect(stackThickness({ cards: 20, heightMm: 9.144 })).toMatchObject({ pt: 18 });
	const [few, many] = [1, 100].map((cards) => stackThickness({ cards, heightMm: 0.4572 * cards }));
	expect(few?.pt).toBeCloseTo(many?.pt ?? 0, 4);
	expect(few?.offByPt).toBeCloseTo(100 * (many?.offByPt ?? 0), 3);
	expect(() => stackThickness({ cards: 0, heightMm: 1 })).toThrow(/0 cards/);
	expect(() => stackThickness({ cards: 1, heightMm: 0 })).toThrow(/0 mm/);
});

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { markLine } from './mark-line';

test.each([
	[
		'1 Q7 2',
		[[2, 4]],
		[],
		[
			['1 ', null],
			['Q7', 'problem'],
			[' 2', null]
		]
	],
	['Q7', [[0, 2]], [], [['Q7', 'problem']]],
	['1-9', [], [[0, 3]], [['1-9', 'note']]],
	['1 2', [], [], [['1 2', null]]],
	['', [], [], []]
] as const)('"%s"', (line, problems, notes, wanted) => {
	const places = (list: readonly (readonly [number, number])[]) =>
		list.map(([start, end]) => ({ start, end, message: '' }));
	const pieces = markLine(line, places(problems), places(notes));
	expect(pieces.map(({ text, mark }) => [text, mark])).toEqual(wanted);
});

test('for all places, even those that overlap, the pieces joined are the line', () => {
	const place = fc.tuple(fc.nat(12), fc.nat(12)).map(([a, b]) => ({
		start: Math.min(a, b),
		end: Math.max(a, b),
		message: ''
	}));
	fc.assert(
		fc.property(
			fc.string({ minLength: 12, maxLength: 20 }),
			fc.array(place),
			fc.array(place),
			(line, p, n) => {
				expect(
					markLine(line, p, n)
						.map(({ text }) => text)
						.join('')
				).toBe(line);
			}
		)
	);
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CONDITIONS } from '../copies/condition.ts';
import {
	conditionWorksheet,
	faultRates,
	USUAL_WORKSHEET_RULES,
	type Worksheet
} from './condition-worksheet.ts';
import type { ASPECTS } from './worksheet-levels.ts';
import { ASPECT_LEVELS } from './worksheet-levels.ts';

const answer = (sheet: Worksheet) => conditionWorksheet(sheet, USUAL_WORKSHEET_RULES);
const centred = (leftRight: number, topBottom = 50, offBy = 0) => ({ leftRight, topBottom, offBy });

describe('the condition worksheet', () => {
	test.each<[string, Worksheet, object]>([
		[
			'nothing was looked at',
			{},
			{ word: null, because: [], notLookedAt: ['centring', 'corners', 'edges', 'surface'] }
		],
		[
			'the worst decides, and says why',
			{
				front: centred(55),
				corners: ['sharp', 'sharp', 'soft', 'soft'],
				edges: ['clean'],
				surface: ['speck']
			},
			{
				word: 'excellent',
				because: [{ aspect: 'corners', reason: '2 of 4 corners soft' }],
				notLookedAt: []
			}
		],
		['a limit still counts as within', { front: centred(40) }, { word: 'mint' }],
		[
			'a hair beyond does not',
			{ front: centred(39.9) },
			{ word: 'near mint', because: [{ reason: '40:60 left to right on the front' }] }
		],
		[
			'a rough measurement may hide a better word',
			{ front: centred(50, 61, 2) },
			{ word: 'near mint', atBest: 'mint' }
		],
		[
			'the back may be further off',
			{ front: centred(50), back: centred(25, 50) },
			{ word: 'mint' }
		],
		[
			'two reasons for one word',
			{ corners: ['rounded'], surface: ['clean', 'scuffed'] },
			{
				word: 'very good',
				because: [{ aspect: 'corners' }, { aspect: 'surface', reason: 'scuffed' }]
			}
		]
	])('%s', (_, sheet, holds) => {
		expect(answer(sheet)).toMatchObject(holds);
	});

	test('for all sheets: no aspect allows a worse word, and looking closer never betters it', () => {
		const levels = (aspect: (typeof ASPECTS)[number]) =>
			fc.array(fc.constantFrom(...ASPECT_LEVELS[aspect].map(({ key }) => key)), { maxLength: 4 });
		const sheet = fc.record({
			corners: levels('corners'),
			edges: levels('edges'),
			surface: levels('surface')
		});
		fc.assert(
			fc.property(
				sheet,
				fc.constantFrom(...ASPECT_LEVELS.corners.map(({ key }) => key)),
				(said, more) => {
					const rank = (word: (typeof CONDITIONS)[number] | null) =>
						word === null ? -1 : CONDITIONS.indexOf(word);
					const { word, findings } = answer(said);
					expect(rank(word)).toBe(Math.max(-1, ...findings.map((finding) => rank(finding.word))));
					expect(
						rank(answer({ ...said, corners: [...said.corners, more] }).word)
					).toBeGreaterThanOrEqual(rank(word));
				}
			)
		);
	});

	test('fault rates by section: weak in 7 of 20, with the exact interval', () => {
		const sheets = Array.from({ length: 20 }, (_, i) => ({
			section: 'base',
			answer: answer({ corners: [i < 7 ? 'soft' : 'sharp'], edges: ['clean'] })
		}));
		const rates = faultRates([...sheets, { section: 'insert', answer: answer({}) }], 'excellent');
		expect(rates).toMatchObject([
			{ section: 'base', aspect: 'corners', weak: 7, looked: 20 },
			{ aspect: 'edges', weak: 0, looked: 20, low: 0 }
		]);
		// Clopper and Pearson for 7 of 20, from a table (from memory): 0.154 to 0.592.
		expect(rates[0]?.low).toBeCloseTo(0.154, 3);
		expect(rates[0]?.high).toBeCloseTo(0.592, 3);
	});

	test('a level that the table does not have is refused', () => {
		expect(() => answer({ edges: ['soft'] })).toThrow(/no level "soft" of edges/);
	});
});

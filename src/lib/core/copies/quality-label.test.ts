import fc from 'fast-check';
import { expect, test } from 'vitest';
import { CONDITIONS, GRADES } from './condition.ts';
import {
	compareQualities,
	formatQuality,
	parseQuality,
	type LabelledQuality
} from './quality-label.ts';

const qualifier = fc.option(fc.constantFrom('off centre', 'stained', 'ÖC 2'), { nil: undefined });
const graded = fc.record({ grade: fc.constantFrom(...GRADES), qualifier });
const authentic = fc.record({ isAuthentic: fc.constant(true), qualifier });
const raw = fc.record({ condition: fc.constantFrom(...CONDITIONS, undefined) });
const quality = fc
	.oneof(graded, authentic, raw)
	.map((said) => JSON.parse(JSON.stringify(said)) as LabelledQuality);

test('for all qualities: parse(format(x)) = x', () => {
	fc.assert(
		fc.property(quality, (said) => {
			expect(parsed(formatQuality(said))).toEqual(said);
		})
	);
});

const parsed = (text: string) => {
	const read = parseQuality(text);
	return read.ok ? read.value : { problem: read.problems[0]?.message };
};

test.each<[string, object]>([
	['VG', { condition: 'very good' }],
	['grade 9,5', { grade: 9.5 }],
	[' 8  (OC) ', { grade: 8, qualifier: 'OC' }],
	['10.5', { problem: '"10.5" is no grade or condition' }],
	['8.3', { problem: '"8.3" is no grade or condition' }],
	['mint (OC)', { problem: '"mint (OC)" is no grade or condition' }],
	['8 ()', { problem: '"8 ()" is no grade or condition' }],
	['', { problem: '"" is no grade or condition' }]
])('%s', (text, holds) => expect(parsed(text)).toEqual(holds));

test('the best first: graded before raw, clean before qualified, authentic last of the graded', () => {
	const labels = ['raw', 'authentic', '8 (OC)', 'mint', '8', '10'];
	expect(
		labels
			.map((label) => parsed(label) as LabelledQuality)
			.sort(compareQualities)
			.map(formatQuality)
	).toEqual(['10', '8', '8 (OC)', 'authentic', 'mint', 'raw']);
});

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { chancesByEye } from './grade-chances.ts';
import { eyeRecord } from './eye-record.ts';
import { checkSubmission, gradingCosts, type SubmissionDraft } from './submission.ts';

const DRAFT: SubmissionDraft = {
	...{ house: 'Lantern Room', tier: '', feeMinor: 0, postageMinor: 0 },
	...{ sentOn: '1996-09-01', dueOn: '1996-09-01' },
	cards: [
		{ name: 'Lamp', purpose: 'grade', insuredMinor: null, estimate: 8.5, isGraded: false },
		{ name: 'Mist', purpose: 're-holder', insuredMinor: 0, estimate: null, isGraded: true }
	]
};

test('a submission that goes, and all that cannot be of others', () => {
	expect(checkSubmission(DRAFT)).toEqual([]);
	const [lamp] = DRAFT.cards;
	const told = checkSubmission({
		...DRAFT,
		...{ house: ' ', dueOn: '1996-08-31' },
		cards: lamp ? [{ ...lamp, estimate: 8.25, purpose: 're-holder' }] : []
	});
	expect(told.map(({ field }) => field)).toEqual(['house', 'dueOn', 'estimate', 'purpose']);
	expect(checkSubmission({ ...DRAFT, cards: [] }).map(({ field }) => field)).toEqual(['copy']);
});

test('for all costs: the parts of the cards add up, and differ by one at most', () => {
	fc.assert(
		fc.property(
			fc.nat(10_000),
			fc.nat(10_000),
			fc.integer({ min: 1, max: 60 }),
			(fee, post, cards) => {
				const costs = gradingCosts({ feeMinor: fee, postageMinor: post }, cards);
				expect(costs).toHaveLength(cards);
				expect(costs.reduce((sum, cost) => sum + cost, 0)).toBe(fee * cards + post);
				expect(Math.max(...costs) - Math.min(...costs)).toBeLessThanOrEqual(1);
			}
		)
	);
	expect(() => gradingCosts(DRAFT, 0)).toThrow(/0 cards/);
});

test('the eye: differences of what has a number, and chances that follow from them', () => {
	expect(eyeRecord([])).toMatchObject({ checked: 0, graded: 0, meanDifference: null });
	const record = eyeRecord([
		{ estimate: 8, grade: 8 },
		{ estimate: 9, grade: 8.5 },
		{ estimate: 9, grade: 7 },
		{ estimate: 7, grade: null }
	]);
	expect(record).toMatchObject({ checked: 4, graded: 3, exact: 1, withinHalf: 2 });
	expect(record.meanDifference).toBeCloseTo(-2.5 / 3, 12);
	expect(chancesByEye(9, record.differences).map(({ grade }) => grade)).toEqual([9, 8.5, 7]);
});

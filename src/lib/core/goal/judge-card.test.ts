import fc from 'fast-check';
import { expect, test } from 'vitest';
import { CONDITIONS, conditionRank, qualityRank } from '../copies/condition.ts';
import { fillSlots } from './fill-slots.ts';
import { judgeCard, type StackSlot } from './judge-card.ts';

const slot = (key: string, heldRank: number | null, leastRank = 0): StackSlot => ({
	key,
	goal: 'G',
	versions: ['a'],
	leastRank,
	heldRank
});

test.each([
	['an open slot', [slot('1', null)], 'poor', { kind: 'needed', goal: 'G', slot: '1' }],
	['the open one of two', [slot('1', 14), slot('2', null)], 'poor', { kind: 'needed', slot: '2' }],
	[
		'better than the worst',
		[slot('1', 6), slot('2', 4)],
		'mint',
		{ kind: 'upgrade', slot: '2', from: 4 }
	],
	['as good as what is there', [slot('1', 14)], 'near mint', { kind: 'spare', copies: 3 }],
	['below what counts', [slot('1', null, 14)], 'good', { kind: 'spare', copies: 3 }],
	['nobody asks for it', [], 'mint', { kind: 'outside', copies: 3 }]
] as const)('%s', (_, slots, condition, verdict) => {
	expect(judgeCard('a', { condition }, slots, 2)).toMatchObject(verdict);
});

// Oracle: the matching. Card after card judged leaves the slots as filling them all at once does.
test('for all piles, what is judged card by card is what the matching comes to', () => {
	const pile = fc.array(fc.constantFrom(...CONDITIONS), { maxLength: 8 });
	const sets = fc.integer({ min: 1, max: 4 });
	fc.assert(
		fc.property(
			pile,
			sets,
			fc.constantFrom(undefined, 'good' as const),
			(conditions, count, least) => {
				const keys = Array.from({ length: count }, (_, i) => `s${i}`);
				let slots: readonly StackSlot[] = keys.map((key) => slot(key, null, conditionRank(least)));
				conditions.forEach((condition, i) => {
					const verdict = judgeCard('a', { condition }, slots, i);
					const seat = 'slot' in verdict ? verdict.slot : null;
					slots = slots.map((slot) =>
						slot.key === seat ? { ...slot, heldRank: qualityRank({ condition }) } : slot
					);
				});
				const held = slots.flatMap(({ heldRank }) => heldRank ?? []).sort((a, b) => b - a);
				const { placements } = fillSlots(
					keys.map((key, tier) => ({
						key,
						versions: ['a'],
						leastCondition: least,
						quantity: 1,
						tier
					})),
					conditions.map((condition, i) => ({
						key: String(i),
						version: 'a',
						condition,
						quantity: 1
					}))
				);
				const matched = placements
					.map(({ copy }) => qualityRank({ condition: conditions[Number(copy)] }))
					.sort((a, b) => b - a);
				expect(held).toEqual(matched);
			}
		)
	);
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { USUAL_TIERS } from '../holders/choose-holder.ts';
import { HOLDER_KEYS, holderKindOf } from '../kinds/holder-kind.ts';
import { keepingOf, USUAL_CLASSES, type KeptCopy } from './keeping.ts';
import type { ClassRule } from './storage-class.ts';

const usual = { classes: USUAL_CLASSES, tiers: USUAL_TIERS, currency: 'EUR' };
const plain: KeptCopy = { card: { status: 'kept' }, holder: null };
const is = (card: KeptCopy['card'], holder: string | null = null) => ({ card, holder });
const ada: ClassRule = { name: 'Ada Hale', where: { subjects: ['Ada Hale'] } };
const early: ClassRule = { name: 'Early days', where: { toYear: 1930 } };

describe('where copies are kept', () => {
	// ● Kept apart: graded, personal, to sell, valuables; 1 to 20 and 20 and up. Common practice, no source.
	test.each<[string, KeptCopy, string]>([
		['a common', plain, 'sets'],
		['sleeved', is({}, 'sleeve'), 'sets'],
		['in a top loader', is({}, 'top-loader-35'), 'valuables'],
		['worth 1', is({ valueMinor: 100 }), 'valuables'],
		['worth just less', is({ valueMinor: 99 }), 'sets'],
		['worth 20', is({ valueMinor: 2000 }), 'best'],
		['worth 20, still in its top loader', is({ valueMinor: 2000 }, 'top-loader-35'), 'valuables'],
		['in a magnetic case, whatever it is worth', is({ valueMinor: 5 }, 'magnetic-35'), 'best'],
		['in other money', is({ valueMinor: 5000, currency: 'JPY' }), 'sets'],
		['to sell', is({ status: 'to sell' }), 'to sell'],
		['to sell, in a loader', is({ status: 'to sell' }, 'top-loader-55'), 'to sell, in holders'],
		[
			'personal, whatever it is worth',
			is({ attributes: ['personal'], valueMinor: 9000 }),
			'personal'
		],
		['graded before personal', is({ isGraded: true, attributes: ['personal'] }, 'slab'), 'graded']
	])('%s', (_, copy, use) => {
		expect(keepingOf(usual).useOf(copy).use).toBe(use);
	});

	test('the order of the rules decides, and each says why', () => {
		const copy = is({ subjects: ['Ada Hale'], isGraded: true, year: '1926' }, 'slab');
		const by = (...classes: ClassRule[]) => keepingOf({ ...usual, classes }).useOf(copy);
		expect(by(...USUAL_CLASSES, ada)).toEqual({ use: 'graded', why: 'it is graded' });
		expect(by(ada, ...USUAL_CLASSES)).toEqual({
			use: 'Ada Hale, in holders',
			why: 'its subject is Ada Hale'
		});
		expect(by(early, ada)).toMatchObject({ use: 'Early days, in holders' });
	});

	test('rules for whole sets keep sets together, rules that pick cards do not', () => {
		const keeping = keepingOf({ ...usual, classes: [...USUAL_CLASSES, ada, early] });
		const told = keeping.uses.map((use) => [
			use,
			keeping.isKeptApart(use),
			keeping.sharedKind(use)
		]);
		expect(told).toEqual([
			['sets', false, '5000'],
			['graded', true, 'case-30'],
			['personal', false, '5000'],
			['personal, in holders', true, 'case-30'],
			['to sell', true, '800'],
			['to sell, in holders', true, 'case-30'],
			['Ada Hale', true, '800'],
			['Ada Hale, in holders', true, 'case-30'],
			['Early days', false, '5000'],
			['Early days, in holders', true, 'case-30'],
			['valuables', true, 'loaders-150'],
			['best', true, 'case-30'],
			['sealed packs', true, '800'],
			['supplies', true, '800']
		]);
		// What stood in boxes of a class that is no more stays apart; so do valuables of old.
		expect(keeping.isKeptApart('Wren')).toBe(true);
		expect(keepingOf({ ...usual, tiers: [], classes: [] }).isKeptApart('personal')).toBe(false);
	});

	test('only another holder or value makes a card leave its box', () => {
		const { mustLeave } = keepingOf(usual);
		expect(mustLeave('valuables', 'sets')).toBe(true);
		expect(mustLeave('best', 'valuables')).toBe(true);
		expect(mustLeave('sets', 'best')).toBe(true);
		expect(mustLeave('to sell', 'sets')).toBe(false);
		expect(mustLeave('sets', 'sets')).toBe(false);
	});

	test('for all copies: a rigid holder never stands in a row of bare cards, and its use is one of the list', () => {
		const some = <T>(value: T) => fc.option(fc.constant(value), { nil: undefined });
		const copies = fc.record({
			subjects: some(['Ada Hale']),
			year: some('1926'),
			isGraded: some(true),
			status: fc.constantFrom('kept' as const, 'spare' as const, 'to sell' as const),
			valueMinor: fc.option(fc.integer({ min: 0, max: 5000 }), { nil: undefined })
		});
		const orders = fc.shuffledSubarray([...USUAL_CLASSES, ada, early]);
		const holders = fc.option(fc.constantFrom(...HOLDER_KEYS));
		fc.assert(
			fc.property(copies, orders, holders, (card, classes, holder) => {
				const known = JSON.parse(JSON.stringify(card)) as KeptCopy['card'];
				const keeping = keepingOf({ ...usual, classes });
				const { use } = keeping.useOf({ card: known, holder });
				expect(keeping.uses).toContain(use);
				const isRigid = holder !== null && holderKindOf(holder).isRigid;
				if (isRigid) expect(['loaders-150', 'case-30']).toContain(keeping.sharedKind(use));
			})
		);
	});
});

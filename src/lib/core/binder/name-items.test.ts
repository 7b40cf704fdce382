import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { nameItems, type CopyInPocket } from './name-items.ts';

describe('nameItems', () => {
	const at = (copy: string, slot: string, pocket: string): CopyInPocket => ({ copy, slot, pocket });
	test('of a pile, those that lie where one belongs stay; then those of the same slot', () => {
		const now = [at('7', 'x', '1'), at('7', 'y', '2'), at('8', 'z', '3')];
		const target = [at('7', 'y', '4'), at('7', 'x', '2'), at('9', 'w', '5'), at('7', 'v', '6')];
		const named = nameItems(now, target);
		expect(named.now.map(({ item, pocket }) => `${item} ${pocket}`)).toEqual([
			'7 1',
			'7#2 2',
			'8 3'
		]);
		expect(named.target.map(({ item, pocket }) => `${item} ${pocket}`)).toEqual([
			'7 4',
			'7#2 2',
			'9 5',
			'7#3 6'
		]);
	});

	test('for all piles: names are unique, and as many stay as can', () => {
		const some = (pockets: readonly string[]) =>
			fc
				.tuple(
					fc.shuffledSubarray([...pockets]),
					fc.array(fc.constantFrom('1', '2'), { minLength: 6, maxLength: 6 })
				)
				.map(([places, copies]) =>
					places.map((pocket, i) => at(copies[i] ?? '1', `s${pocket}`, pocket))
				);
		const pockets = ['a', 'b', 'c', 'd', 'e', 'f'];
		fc.assert(
			fc.property(some(pockets), some(pockets), (now, target) => {
				const named = nameItems(now, target);
				for (const list of [named.now, named.target]) {
					expect(new Set(list.map(({ item }) => item)).size).toBe(list.length);
				}
				const stay = target.filter((card) =>
					now.some(({ copy, pocket }) => copy === card.copy && pocket === card.pocket)
				).length;
				const stays = named.target.filter((card) =>
					named.now.some(({ item, pocket }) => item === card.item && pocket === card.pocket)
				);
				expect(stays).toHaveLength(stay);
			})
		);
	});
});

import { expect, test } from 'vitest';
import { lackingInPacks } from './lacking-in-packs.ts';
import type { LackingSource } from './pack-finishes.ts';

const source = (pack: string, chance: number | null): LackingSource => ({
	pack,
	odds: null,
	chance
});
const sources: Readonly<Record<string, readonly LackingSource[]>> = {
	'a ': [source('hobby', 0.01), source('retail', 0.02)],
	'a gold': [source('hobby', 0.03)],
	'b ': [source('hobby', null)],
	'c ': []
};

test('each pack is told by the slots it may fill, the likeliest version of each counting once', () => {
	const { slots, prospects } = lackingInPacks(
		(card, finish) => sources[`${card} ${finish ?? ''}`] ?? [],
		[['r/a', 'r/a~gold', 'r/a!error'], ['r/b'], ['r/c'], ['nonsense']],
		['retail', 'hobby', 'tin']
	);
	expect(
		slots.map(({ packs }) => packs.map(({ pack, version, chance }) => [pack, version, chance]))
	).toEqual([
		[
			['hobby', 'r/a~gold', 0.03],
			['retail', 'r/a', 0.02]
		],
		[['hobby', 'r/b', null]],
		[],
		[]
	]);
	expect(prospects).toEqual([
		{ pack: 'retail', slots: 1, stated: 1, expected: 0.02 },
		{ pack: 'hobby', slots: 2, stated: 1, expected: 0.03 },
		{ pack: 'tin', slots: 0, stated: 0, expected: 0 }
	]);
});

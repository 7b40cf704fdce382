import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { Copy } from '../copies/copy.ts';
import type { Slot } from './slot.ts';
import { wholeSets } from './whole-sets.ts';

const slot = (key: string, versions: readonly string[], quantity = 1): Slot => ({
	key,
	versions,
	quantity
});
const copy = (key: string, version: string, quantity = 1): Copy => ({ key, version, quantity });

test.each([
	['no slots', [], [copy('a', '1')], 0, []],
	['no copies', [slot('1', ['1'])], [], 0, [['1', 1]]],
	[
		'two of one, three of the other',
		[slot('1', ['1']), slot('2', ['2'])],
		[copy('a', '1', 2), copy('b', '2', 3)],
		2,
		[['1', 1]]
	],
	['two a set', [slot('1', ['1'], 2)], [copy('a', '1', 5)], 2, [['1', 1]]],
	[
		'either will do, and the other is needed elsewhere',
		[slot('any', ['1', '2']), slot('2', ['2'])],
		[copy('a', '1', 1), copy('b', '2', 3)],
		2,
		[['any', 2]]
	]
] as const)('%s', (_, slots, copies, sets, lacking) => {
	const found = wholeSets(slots, copies);
	expect(found.sets).toBe(sets);
	const count = (list: readonly (readonly [string, number])[]) =>
		list.reduce((total, [, quantity]) => total + quantity, 0);
	expect(count(found.lacking.map(({ slot: key, quantity }) => [key, quantity]))).toBe(
		count(lacking)
	);
});

/** The most places that can be filled, by trying every copy in every place; a card may be of several versions. */
function mostFilled(
	places: readonly (readonly string[])[],
	cards: readonly (readonly string[])[]
): number {
	const [first, ...rest] = places;
	if (!first) return 0;
	let most = mostFilled(rest, cards);
	const tried = new Set<string>();
	cards.forEach((card, i) => {
		if (tried.has(card.join()) || !card.some((version) => first.includes(version))) return;
		tried.add(card.join());
		most = Math.max(most, 1 + mostFilled(rest, cards.toSpliced(i, 1)));
	});
	return most;
}

test('for all small goals and holdings, against trying everything', () => {
	const versions = ['1', '2', '3'];
	fc.assert(
		fc.property(
			fc.array(
				fc.record({
					versions: fc.uniqueArray(fc.constantFrom(...versions), { minLength: 1, maxLength: 3 }),
					quantity: fc.integer({ min: 1, max: 2 })
				}),
				{ minLength: 1, maxLength: 3 }
			),
			fc.array(
				fc.tuple(
					fc.uniqueArray(fc.constantFrom(...versions), { minLength: 1, maxLength: 2 }),
					fc.integer({ min: 1, max: 2 })
				),
				{ maxLength: 4 }
			),
			(drawnSlots, drawnCopies) => {
				const slots = drawnSlots.map((drawn, i) => slot(String(i), drawn.versions, drawn.quantity));
				const copies = drawnCopies.map(([[version = '', ...alsoVersions], quantity], i) => ({
					...copy(`c${i}`, version, quantity),
					alsoVersions
				}));
				const cards = drawnCopies.flatMap(([ofCard, quantity]) =>
					Array.from({ length: quantity }, () => ofCard)
				);
				const places = (sets: number) =>
					Array.from({ length: sets }, () =>
						drawnSlots.flatMap((drawn) =>
							Array.from({ length: drawn.quantity }, () => drawn.versions)
						)
					).flat();
				let sets = 0;
				while (mostFilled(places(sets + 1), cards) === places(sets + 1).length) sets++;
				const lacking = places(sets + 1).length - mostFilled(places(sets + 1), cards);
				const found = wholeSets(slots, copies);
				expect(found.sets).toBe(sets);
				expect(found.lacking.reduce((total, { quantity }) => total + quantity, 0)).toBe(lacking);
			}
		),
		{ numRuns: 300 }
	);
});

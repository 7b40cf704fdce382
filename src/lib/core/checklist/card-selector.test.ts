import fc from 'fast-check';
import { expect, test } from 'vitest';
import { callFinder, isNamed, nameFinder } from './card-selector.ts';

const word = fc.constantFrom(
	'1',
	'01',
	'7a',
	'7A',
	'F1',
	'f01',
	'F01',
	'IV',
	'iv',
	'Fog',
	'fog',
	'½',
	''
);
const cards = fc.array(
	fc.record({
		key: fc.constant('k'),
		number: fc.option(word),
		otherNumbers: fc.array(word, { maxLength: 2 }),
		title: word,
		subjects: fc.constant([]),
		marks: fc.constant([]),
		panelOf: fc.constant([])
	}),
	{ maxLength: 4 }
);

test('for all cards and names, finding many at once says the same as asking one by one', () => {
	fc.assert(
		fc.property(cards, fc.array(word, { maxLength: 4 }), (some, names) => {
			const isMeant = nameFinder(names);
			expect(some.map(isMeant)).toEqual(
				some.map((card) => names.some((name) => isNamed(card, name)))
			);
			const isCalled = callFinder(some);
			expect(names.map(isCalled)).toEqual(
				names.map((name) => some.some((card) => isNamed(card, name)))
			);
		}),
		{ numRuns: 500 }
	);
});

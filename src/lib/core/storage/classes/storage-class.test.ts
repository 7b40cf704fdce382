import { describe, expect, test } from 'vitest';
import { storageClass, type ClassRule, type ClassTest, type KeptCard } from './storage-class.ts';

const card: KeptCard = {
	release: 'lights-1994',
	maker: 'Gullhaven Card Works',
	year: '1994-95',
	sectionKind: 'base',
	subjects: ['Ada Hale', 'Fog'],
	group: 'Saltmarsh',
	tags: { role: ['keeper'], school: [] },
	marks: ['rookie'],
	finish: 'Brass',
	isNumbered: true,
	status: 'kept',
	attributes: ['autograph'],
	valueMinor: 2000,
	currency: 'EUR'
};
const keptBy = (where: ClassTest, of: KeptCard = card) => storageClass(of, [{ name: 'x', where }]);

describe('storageClass', () => {
	test.each<[string, ClassTest, string | null]>([
		['nothing asked', {}, 'it is for every card'],
		['a subject, whatever its capitals', { subjects: ['ADA hale'] }, 'its subject is ADA hale'],
		['another subject', { subjects: ['Wren'] }, null],
		['no subject at all', { subjects: [] }, null],
		['a group', { groups: ['Wick', 'Saltmarsh'] }, 'its group is Saltmarsh'],
		['a tag', { tags: { role: ['pilot', 'keeper'] } }, 'its role is keeper'],
		[
			'two tags, of which it lacks the second',
			{ tags: { role: ['keeper'], school: ['North'] } },
			null
		],
		['a family that it has not', { tags: { constructor: ['x'] } }, null],
		['an era, from', { fromYear: 1994 }, 'it is from 1994 on'],
		['an era, to', { toYear: 1993 }, null],
		[
			'an era of one year: a season counts by its first',
			{ fromYear: 1994, toYear: 1994 },
			'it is from 1994 to 1994'
		],
		['a kind of section', { sectionKinds: ['insert'] }, null],
		['a mark', { marks: ['key', 'rookie'] }, 'it is marked rookie'],
		['a finish', { finishes: ['brass'] }, 'its finish is Brass'],
		['any parallel', { finishes: ['any parallel'] }, 'its finish is Brass'],
		['not a variant', { isVariant: false }, 'it is the regular card'],
		['numbered', { isNumbered: true }, 'it bears a serial number'],
		['graded', { isGraded: true }, null],
		['a status', { statuses: ['to sell'] }, null],
		['an attribute', { attributes: ['autograph'] }, 'it is marked autograph'],
		['a value, just', { leastValueMinor: 2000, currency: 'EUR' }, 'it is worth 20.00 EUR or more'],
		['a value, just not', { leastValueMinor: 2001, currency: 'EUR' }, null],
		[
			'everything named has to hold',
			{ makers: ['gullhaven card works'], releases: ['lights-1994'], isGraded: false },
			'it is of lights-1994, it was made by gullhaven card works, it is not graded'
		]
	])('%s', (_, where, why) => {
		expect(keptBy(where)).toEqual(
			why === null
				? { name: null, rule: null, why: 'no rule holds: it stays with its set', undecided: [] }
				: { name: 'x', rule: 0, why, undecided: [] }
		);
	});

	test('● under 1, 1 to 20, 20 and up (common practice, no source): the first rule that holds', () => {
		const tiers: readonly ClassRule[] = [
			{ name: 'case', where: { leastValueMinor: 2000, currency: 'EUR' } },
			{ name: 'loader', where: { leastValueMinor: 100, currency: 'EUR' } },
			{ name: 'box', where: {} }
		];
		const kept = (valueMinor?: number) =>
			storageClass({ ...(valueMinor === undefined ? {} : { valueMinor, currency: 'EUR' }) }, tiers)
				.name;
		expect([99, 100, 1999, 2000, undefined].map(kept)).toEqual([
			'box',
			'loader',
			'loader',
			'case',
			'box'
		]);
	});

	test('other money is never compared: the rule is passed over and named', () => {
		const rules: readonly ClassRule[] = [
			{ name: 'dear', where: { leastValueMinor: 100, currency: 'USD' } },
			// What fails otherwise is not undecided.
			{
				name: 'dear inserts',
				where: { leastValueMinor: 100, currency: 'USD', sectionKinds: ['insert'] }
			},
			{ name: 'rookies', where: { marks: ['rookie'] } }
		];
		expect(storageClass(card, rules)).toEqual({
			name: 'rookies',
			rule: 2,
			why: 'it is marked rookie',
			undecided: [0]
		});
		expect(storageClass({}, rules)).toMatchObject({ name: null, undecided: [] });
	});
});

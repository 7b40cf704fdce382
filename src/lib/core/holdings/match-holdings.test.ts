import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { Release } from '../checklist/release.ts';
import type { HoldingRow } from './holding-row.ts';
import { matchHoldings } from './match-holdings.ts';
import { matchSet, sureOf } from './match-sets.ts';

function release(name: string, year: string, maker = 'Gullhaven Card Works'): Release {
	const cards = [1, 2, 3, 4, 5].map((n) => ({
		number: String(n),
		title: `Keeper ${n}`,
		subjects: [n > 3 ? 'Ada Hale' : `Keeper ${n}`]
	}));
	const outcome = resolveRelease({
		release: { name, maker, year },
		sections: [
			{ name: 'Base', cards },
			{ name: 'Ink', kind: 'insert', cards: cards.slice(0, 2) },
			{ name: 'Log', kind: 'insert', cards: [{ title: 'Bread Before Dawn' }] },
			{
				name: 'Tilt',
				kind: 'extra',
				noBaseFinish: true,
				cards: [{ number: 'T1' }, { number: 'T2' }]
			}
		],
		parallels: [
			{ name: 'Verdigris', runs: [{ sections: ['base'], printRun: 65 }] },
			{ name: 'Brass', runs: [{ sections: ['ink'] }, { sections: ['tilt'] }] },
			{ name: 'Rust', runs: [{ sections: ['tilt'], cards: ['T1'] }] }
		],
		variants: [
			{ kind: 'error', name: 'home town', sections: ['base'], cards: ['3'] },
			{ kind: 'print variation', name: 'red line', sections: ['base'], cards: ['3', '4'] }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const releases = [
	release('Harbour Lights 1994', '1994'),
	release('Harbour Lights 1995', '1995'),
	release('Signal Year', '2019', 'Tern & Daughters')
];

const row = (rest: Partial<HoldingRow>): HoldingRow => ({
	line: 1,
	year: '1994',
	maker: '',
	set: 'Harbour Lights',
	section: 'Base',
	number: '',
	subject: '',
	parallel: '',
	attributes: [],
	fields: { quantity: 1 },
	...rest
});

describe('which release a set is', () => {
	test.each([
		['Harbour Lights 1994', '', '', 'harbour-lights-1994'],
		['Harbour Lights', '1995', '', 'harbour-lights-1995'],
		['HARBOR LIGHTS', '1994', '', 'harbour-lights-1994'],
		['Lights, Harbour', '1995', 'Gullhaven', 'harbour-lights-1995'],
		['1994 Harbour Lights', '1994', '', 'harbour-lights-1994'],
		['Signal Year', '2019-20', '', 'signal-year-2019'],
		// Two years fit as well: a person has to say.
		['Harbour Lights', '', '', null],
		['Harbour', '1994', '', null],
		['Something Else', '1994', '', null]
	])('%s, %s, %s', (set, year, maker, key) => {
		const candidates = matchSet({ set, year, maker }, releases);
		expect(sureOf(candidates)).toBe(key);
		for (const { score } of candidates) expect(score).toBeLessThanOrEqual(1);
	});

	test('the likeliest comes first, and what has nothing in common is not offered', () => {
		const keys = matchSet({ set: 'Harbour', year: '1994', maker: '' }, releases).map(
			({ key }) => key
		);
		expect(keys[0]).toBe('harbour-lights-1994');
		expect(keys).not.toContain('signal-year-2019');
	});
});

describe('which card a row is', () => {
	test.each<[string, Partial<HoldingRow>, string]>([
		['number', { number: '4' }, 'base-4'],
		['number with a mark', { number: '#4' }, 'base-4'],
		['number and section', { number: '2', section: 'Ink' }, 'ink-2'],
		[
			'number, section among the attributes',
			{ number: '2', section: '', attributes: ['Ink'] },
			'ink-2'
		],
		['parallel', { number: '4', parallel: 'verdigris' }, 'base-4~verdigris'],
		[
			'parallel among the attributes',
			{ number: '4', attributes: ['Verdigris'] },
			'base-4~verdigris'
		],
		['base named as a finish', { number: '4', parallel: 'Base' }, 'base-4'],
		['error', { number: '3', attributes: ['home town'] }, 'base-3!home-town'],
		['the only finish where there is no base', { number: 'T2', section: '' }, 'tilt-t2~brass'],
		[
			'the finish that is named where there is no base',
			{ number: 'T1', section: '', parallel: 'Rust' },
			'tilt-t1~rust'
		],
		['title alone', { subject: 'bread  before dawn', section: '' }, 'log-bread-before-dawn'],
		['title where there is a number too', { subject: 'Keeper 5', section: '' }, 'base-5']
	])('%s', (_, rest, version) => {
		const { matched, unmatched } = matchHoldings([row(rest)], releases);
		expect(unmatched).toEqual([]);
		expect(matched[0]?.version).toBe(`harbour-lights-1994/${version}`);
	});

	test.each<[string, Partial<HoldingRow>, RegExp]>([
		['no such number', { number: '99' }, /has no 99/],
		['several places', { number: '1', section: '' }, /several places: Base, Ink/],
		['several cards of a subject', { subject: 'Ada Hale', section: '' }, /several places/],
		['no such parallel', { number: '1', parallel: 'Gold' }, /no parallel "Gold"/],
		['not made', { number: '1', parallel: 'Brass' }, /Brass was not made of 1/],
		[
			'a serial of another run',
			{ number: '1', parallel: 'Verdigris', fields: { quantity: 1, serial: '9/99' } },
			/print run of 65, not 99/
		],
		['no base finish', { number: 'T1', section: '' }, /no base finish: is it Brass or Rust/],
		['neither number nor subject', {}, /without number and subject/],
		['no such release', { set: 'Nothing Like It', number: '1' }, /which release/]
	])('%s is kept with its reason', (_, rest, reason) => {
		const { matched, unmatched } = matchHoldings([row(rest)], releases);
		expect(matched).toEqual([]);
		expect(unmatched).toMatchObject([
			{ line: 1, reason: expect.stringMatching(reason) as unknown }
		]);
	});

	test('a choice for a set counts, as does the choice of none; no row is lost', () => {
		const rows = [
			row({ line: 1, number: '1', set: 'HL' }),
			row({ line: 2, number: '2', set: 'HL' }),
			row({ line: 3, number: '1' })
		];
		const asked = matchHoldings(rows, releases);
		expect(asked.sets.map(({ name, rows: count, release: key }) => [name, count, key])).toEqual([
			['1994||HL', 2, null],
			['1994||Harbour Lights', 1, 'harbour-lights-1994']
		]);
		const chosen = matchHoldings(rows, releases, {
			'1994||HL': 'harbour-lights-1995',
			'1994||Harbour Lights': ''
		});
		expect(chosen.matched.map(({ version }) => version)).toEqual([
			'harbour-lights-1995/base-1',
			'harbour-lights-1995/base-2'
		]);
		expect(chosen.unmatched).toHaveLength(1);
		for (const { matched, unmatched } of [asked, chosen]) {
			expect(matched.length + unmatched.length).toBe(rows.length);
		}
	});

	test('what the list says of the copy comes along; words that mean nothing stay attributes', () => {
		const fields = { quantity: 2, condition: 'good' as const, valueMinor: 250, currency: 'EUR' };
		const { matched } = matchHoldings(
			[row({ number: '3', attributes: ['rookie', 'home town'], fields })],
			releases
		);
		expect(matched[0]).toEqual({
			line: 1,
			version: 'harbour-lights-1994/base-3!home-town',
			fields: { ...fields, attributes: ['rookie'] }
		});
	});

	test('several deviations of a copy, and a printing nobody looked at', () => {
		const attributes = ['red line', 'home town', 'autograph', 'Printing not looked at'];
		const { matched } = matchHoldings([row({ number: '3', attributes })], releases);
		expect(matched[0]).toEqual({
			line: 1,
			version: 'harbour-lights-1994/base-3!red-line',
			fields: {
				quantity: 1,
				alsoVariants: ['home-town'],
				isPrintingUnseen: true,
				attributes: ['autograph']
			}
		});
	});
});

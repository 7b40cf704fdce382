import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { contextOf } from '../../shorthand/entry-context.fixture.ts';
import { formatPrice, parsePrice } from '../../worth/prices/price.ts';
import { formatPricePhrase, parsePriceLine, type PricePhrase } from './price-phrase.ts';
import { readPriceLine, type PriceGround } from './read-price-line.ts';
import type { SheetWant } from './sheet-want.ts';

const minor = fc.integer({ min: 0, max: 500_000 });
const price = fc
	.tuple(minor, minor)
	.map(([a, b]) => ({ lowMinor: Math.min(a, b), highMinor: Math.max(a, b) }));

describe('a price', () => {
	test('for all prices, parse(format(x)) = x, in currencies of 0, 2 and 3 decimals', () => {
		fc.assert(
			fc.property(price, fc.constantFrom('EUR', 'JPY', 'KWD'), (said, currency) => {
				expect(parsePrice(formatPrice(said, currency), currency)).toMatchObject({
					ok: true,
					value: said
				});
			})
		);
	});

	test.each([
		['4–4.50', 400, 450],
		['4-4,5', 400, 450],
		['€4 – €5', 400, 500],
		['4 EUR to 5 EUR', 400, 500],
		['0', 0, 0]
	])('%s is %i to %i', (text, lowMinor, highMinor) => {
		expect(parsePrice(text, 'EUR')).toMatchObject({ ok: true, value: { lowMinor, highMinor } });
	});

	test.each([
		['-3', /below nothing/],
		['5–4', /upper price is below/],
		['4–5 USD', /in USD, not in EUR/],
		['x–y', /no amount/],
		['', /no amount/]
	])('%j is refused', (text, message) => {
		const read = parsePrice(text, 'EUR');
		expect(read.ok ? '' : read.problems[0]?.message).toMatch(message);
	});
});

describe('a line of prices', () => {
	test.each([
		['27 grade 8 40', { cards: '27', grade: 8 }],
		['27 40 grade 8,5', { cards: '27', grade: 8.5 }],
		['27 authentic 12', { cards: '27', isAuthentic: true }],
		['27 grade 8.3 40', /"grade 8.3" is no grade/],
		['27 grade 8 40 grade 9', /beside another/],
		['27 authentic 40 grade 9', /beside another/]
	])('a grade stands with the card or behind the price: %s', (line, wanted) => {
		const { phrases, problems } = parsePriceLine(line, 'EUR');
		if (wanted instanceof RegExp) expect(problems[0]?.message).toMatch(wanted);
		else expect(phrases).toMatchObject([wanted]);
	});

	const cards = fc.constantFrom(
		'5',
		'1-12',
		'7, 9',
		'brass 5',
		'"Bread; (old)"',
		'all commons',
		'all'
	);
	const phrase: fc.Arbitrary<PricePhrase> = fc.record(
		{
			cards,
			price,
			of: fc.constantFrom('each' as const, 'together' as const),
			condition: fc.constantFrom('mint' as const, 'near mint' as const, 'good' as const),
			grade: fc.constantFrom(1, 8, 8.5, 10),
			reason: fc.constantFrom('also in a fixed product', 'creased; cheap')
		},
		{ requiredKeys: ['cards', 'price', 'of'] }
	);

	test('for all phrases, parse(format(x)) = x, however many in a line', () => {
		fc.assert(
			fc.property(fc.array(phrase, { minLength: 1, maxLength: 4 }), (phrases) => {
				const line = phrases.map((each) => formatPricePhrase(each, 'EUR')).join('; ');
				const { phrases: read, problems } = parsePriceLine(line, 'EUR');
				expect(problems).toEqual([]);
				expect(read.map(({ start: _, end: __, ...said }) => said)).toEqual(phrases);
			})
		);
	});

	test('for all texts, every stretch is a phrase or a problem with its place', () => {
		const words = fc.constantFrom(
			'5',
			'24',
			'nm',
			';',
			'(',
			')',
			'-',
			'–',
			'all',
			'"',
			'each',
			'x'
		);
		fc.assert(
			fc.property(fc.array(words, { maxLength: 9 }), (parts) => {
				const line = parts.join(' ');
				const { phrases, problems } = parsePriceLine(line, 'EUR');
				const covered = [...phrases, ...problems].map(({ start = 0, end = 0 }) => end - start);
				const said = line.replace(/\s/g, '').replace(/;/g, '');
				expect(covered.length > 0).toBe(said.length > 0);
				for (const { start = -1, end = -1 } of problems) {
					expect(start >= 0 && end > start && end <= line.length).toBe(true);
				}
			})
		);
	});

	test.each([
		['5 24 fine', /"fine" is said behind the price/],
		['5 24 nm ex', /"nm" is said beside another one/],
		['5', /lacks cards or a price/],
		['all commons', /lacks cards or a price/],
		['5 -24', /below nothing/],
		['5 24 grade 11', /no grade/],
		['5 24 (because', /bracket is not closed/],
		['5 4.50–4', /upper price is below/]
	])('%j is refused', (line, message) => {
		const { phrases, problems } = parsePriceLine(line, 'EUR');
		expect(phrases).toEqual([]);
		expect(problems[0]?.message).toMatch(message);
	});
});

const numbers = (from: number, to: number, more: object = {}) =>
	Array.from({ length: to - from + 1 }, (_, i) => ({ number: String(from + i), ...more }));
const context = contextOf({
	release: { name: 'R', maker: 'M', year: '1994' },
	rarities: ['Ripple', 'Rogue wave'],
	sections: [
		{
			name: 'Base',
			cards: [...numbers(1, 8), { number: '9', marks: ['key'] }, { number: '10', rarity: 'Ripple' }]
		},
		{ name: 'Fresnel', kind: 'insert', cards: [{ number: 'F1' }, { number: 'F2' }] }
	],
	parallels: [{ name: 'Brass', runs: [{ sections: ['base'] }] }]
});
const want = (card: string, more: Partial<SheetWant> = {}): SheetWant => ({
	key: `r-1994/${card}`,
	versions: [`r-1994/${card}`],
	quantity: 1,
	release: 'r-1994',
	section: card.startsWith('f') ? 'fresnel' : 'base',
	kind: card.startsWith('f') ? 'insert' : 'base',
	parallel: card.includes('~') ? 'brass' : null,
	isVariant: false,
	marks: [],
	...more
});
const ground = (more: Partial<PriceGround> = {}): PriceGround => ({
	...context,
	wants: [
		want('base-2'),
		want('base-5', { quantity: 2 }),
		want('base-9', { marks: ['key'] }),
		want('base-10', { rarity: 'Ripple' }),
		want('base-3~brass'),
		want('fresnel-f1')
	],
	priced: new Set(),
	currency: 'EUR',
	...more
});
/** "base-5 2400–2400 near mint" of each price, then the sums. */
const told = (line: string, more: Partial<PriceGround> = {}) => {
	const { prices, lumps, problems } = readPriceLine(line, ground(more));
	const of = (version: string) => version.replace('r-1994/', '');
	return [
		...prices.map((said) =>
			[of(said.version), said.price.lowMinor, said.price.highMinor, said.condition, said.reason]
				.filter((word) => word !== undefined)
				.join(' ')
		),
		...lumps.map(
			({ versions, cards, price: sum }) =>
				`${versions.map(of).join('+')} ×${cards} = ${sum.lowMinor}`
		),
		...problems.map(({ start = 0, end = 0, message }) => `${line.slice(start, end)}: ${message}`)
	];
};

describe('what a line of prices says of a release', () => {
	test.each<[string, readonly string[]]>([
		['5 24 nm', ['base-5 2400 2400 near mint']],
		['7 4–4.50', ['base-7 400 450']],
		['2 9 nm; 2 4 gd', ['base-2 900 900 near mint', 'base-2 400 400 good']],
		['2 nm 9', ['base-2 900 900 near mint']],
		['2 1; 2 3 (signed by a keeper)', ['base-2 300 300 signed by a keeper']],
		['1-3 0.20', ['base-1 20 20', 'base-2 20 20', 'base-3 20 20']],
		['2, 5 3 together', ['base-2+base-5 ×3 = 300']],
		['brass 3 7', ['base-3~brass 700 700']],
		['all commons 30', ['base-2+base-5+base-10 ×4 = 3000']],
		['all commons 0.30 each', ['base-2 30 30', 'base-5 30 30', 'base-10 30 30']],
		['2 9; all commons 30', ['base-2 900 900', 'base-5+base-10 ×3 = 3000']],
		['all 60', ['base-2+base-5+base-9+base-10+base-3~brass+fresnel-f1 ×7 = 6000']],
		['all the rest 60', ['base-2+base-5+base-9+base-10+base-3~brass+fresnel-f1 ×7 = 6000']],
		['all inserts 4', ['fresnel-f1 400 400']],
		['all ripples 4', ['base-10 400 400']],
		['all inserts and ripples 4', ['base-10+fresnel-f1 ×2 = 400']],
		['all Fresnel & brass 1 each', ['base-3~brass 100 100', 'fresnel-f1 100 100']],
		['all brass 11', ['base-3~brass 1100 1100']],
		['all fresnel 8', ['fresnel-f1 800 800']]
	])('%s', (line, expected) => {
		expect(told(line)).toEqual(expected);
	});

	test.each<[string, RegExp]>([
		['99 3', /^99: there is no card 99/],
		['5 3; 99 3', /^99: there is no card 99/],
		['5x3 0.40', /a price is of one card/],
		['brass 3 4/65 7', /serial number|no copy|run/],
		['2 @tray 7', /a serial number or a place/],
		['2 nm 9 gd', /two conditions/],
		['2 nm, 5 9', /two conditions/],
		['all subsets 3', /nothing of "all subsets" is missing|neither a number nor a word/],
		['all rogue waves 3', /nothing of "all rogue waves" is missing/],
		['all wonders 3', /wonders/],
		['all commons and wonders 3', /wonders/],
		['; ;', /^$/]
	])('%s names nothing', (line, message) => {
		expect(told(line).join('\n')).toMatch(message);
		expect(readPriceLine(line, ground()).prices).toEqual([]);
	});

	test('what has a price is left out of "all", and what is not missing is pointed out', () => {
		const priced = new Set(['r-1994/base-2', 'r-1994/base-10', 'r-1994/base-9', 'r-1994/base-5']);
		expect(told('all commons 3', { priced })).toEqual([
			'all commons: all of these have a price already'
		]);
		const { notes, prices } = readPriceLine('1 3', ground());
		expect(notes).toMatchObject([{ start: 0, end: 1, message: 'this is not missing' }]);
		expect(prices).toHaveLength(1);
	});
});

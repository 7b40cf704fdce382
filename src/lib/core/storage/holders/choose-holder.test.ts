import { describe, expect, test } from 'vitest';
import { freeName } from '../plan/free-name.ts';
import { boxLabel, dividerTab, shelfTag } from '../labels/label-text.ts';
import { holdersTaken, holdersToBuy, tierMoves } from './tier-moves.ts';
import { ownHolder } from '../kinds/holder-kind.ts';
import { chooseHolder, USUAL_TIERS } from './choose-holder.ts';

const shelf = (level: number, more: { lengthMm?: number; ratingG?: number | null } = {}) => ({
	key: `s${level}`,
	room: 'Basement',
	unit: 'Rack A',
	level,
	lengthMm: 1000,
	ratingG: null,
	...more
});
describe('holders and uses', () => {
	test('values and names move cards up and down, another thickness refits; sleeves come with rigid ones', () => {
		const card = (key: string, valueMinor: number, holder: string | null, stockPt = 18) => ({
			key,
			quantity: 1,
			valueMinor,
			holder,
			format: { stockPt },
			words: [key, 'Keepers’ Dogs']
		});
		const cards = [
			card('up', 150, null),
			card('down', 60, 'top-loader-35'),
			card('refit', 300, 'top-loader-35', 60),
			card('right', 2500, 'magnetic-35'),
			card('slab', 9000, 'slab')
		];
		const moves = tierMoves(cards, USUAL_TIERS);
		expect(moves.map(({ card: key, direction, to }) => [key, direction, to])).toEqual([
			['refit', 'refit', 'top-loader-75'],
			['up', 'up', 'top-loader-35'],
			['down', 'down', 'sleeve']
		]);
		expect(
			tierMoves(cards.slice(0, 1), USUAL_TIERS, { names: [{ word: 'DOGS', tier: 'best' }] })[0]?.to
		).toBe('magnetic-35');
		expect(holdersToBuy(moves, { 'top-loader-35': 3 })).toEqual([
			{ holder: 'sleeve', needed: 1, buy: 1 },
			{ holder: 'top-loader-35', needed: 1, buy: 0 },
			{ holder: 'top-loader-75', needed: 1, buy: 1 }
		]);
	});

	test.each([
		[null, 'sleeve', ['sleeve']],
		[null, 'top-loader-35', ['sleeve', 'top-loader-35']],
		[null, 'magnetic-35', ['magnetic-35']],
		['magnetic-35', 'top-loader-55', ['sleeve', 'top-loader-55']],
		['sleeve', 'top-loader-35', ['top-loader-35']],
		['top-loader-35', 'magnetic-35', ['magnetic-35']],
		['top-loader-35', 'sleeve', []],
		['top-loader-35', null, []],
		['sleeve', 'sleeve', []]
	] as const)(
		'● a top loader takes a card in its sleeve, a case the bare card: %s to %s takes %j',
		(from, to, taken) => {
			expect(holdersTaken(from, to)).toEqual(taken);
		}
	);

	test.each<[string, object, object]>([
		['standard', {}, { holder: 'top-loader-35', isSleeved: true }],
		['on its side', { widthMm: 88.9, heightMm: 63.5 }, { holder: 'top-loader-35' }],
		['a tenth over', { widthMm: 63.6, heightMm: 89 }, { holder: 'top-loader-35' }],
		['as far as there is play', { widthMm: 64.5, heightMm: 89.9 }, { holder: 'top-loader-35' }],
		['a large one', { widthMm: 70, heightMm: 100 }, { holder: null, oddity: /1 mm of play/ }],
		['35 pt with a sleeve', { stockPt: 35 }, { holder: 'top-loader-55' }],
		['thicker than all', { stockPt: 178 }, { holder: null, oddity: /thicker than any/ }]
	])('a top loader for a card: %s', (_, format, wanted) => {
		expect(chooseHolder({ valueMinor: 500, format })).toMatchObject(wanted);
	});

	const loader = (key: string, widthMm: number, heightMm: number, takesPt = 75) =>
		ownHolder({
			...{ key, name: key, sort: 'top-loader', takesPt, addsUm: 1000, addsG: 8 },
			...{ innerWidthMm: widthMm, innerHeightMm: heightMm }
		});
	test('holders of one’s own: a small card gets the snug one, a large one is taken, what still fits none is named', () => {
		const holders = [loader('wide', 110, 160), loader('strip', 40, 62, 55), loader('mini', 42, 64)];
		const chosen = (format: object) =>
			chooseHolder({ valueMinor: 500, format }, USUAL_TIERS, holders);
		expect(chosen({ widthMm: 38, heightMm: 60 })).toMatchObject({ holder: 'strip' });
		expect(chosen({ widthMm: 38, heightMm: 60 })).not.toHaveProperty('caution');
		// Too thick for the snuggest with its sleeve, and on its side.
		expect(chosen({ widthMm: 60, heightMm: 38, stockPt: 60 })).toMatchObject({ holder: 'mini' });
		expect(chosen({ widthMm: 105, heightMm: 148 })).toMatchObject({ holder: 'wide' });
		expect(chosen({ widthMm: 200, heightMm: 148 }).oddity).toMatch(/larger than any holder here/);
		expect(chosen({})).toMatchObject({ holder: 'top-loader-35' });
		expect(chooseHolder({ valueMinor: 500, format: { widthMm: 38, heightMm: 60 } })).toMatchObject({
			holder: 'top-loader-35',
			caution: expect.stringMatching(/30 mm of play/)
		});
		const card = { key: 'a', quantity: 1, valueMinor: 500, words: [], holder: null };
		const [move] = tierMoves([{ ...card, format: { widthMm: 38, heightMm: 60 } }], USUAL_TIERS, {
			holders
		});
		expect(move).toMatchObject({ to: 'strip', direction: 'up' });
		expect(holdersToBuy(move ? [move] : [], {}, holders)).toMatchObject([
			{ holder: 'sleeve' },
			{ holder: 'strip' }
		]);
	});

	test('a case goes by the bare card; below the lowest tier it says so; what nothing takes is not moved down', () => {
		expect(chooseHolder({ valueMinor: 3000, format: { stockPt: 35 } })).toMatchObject({
			holder: 'magnetic-35',
			isSleeved: false
		});
		const tiers = [{ name: 'dear', fromMinor: 1000, holder: 'top-loader' as const }];
		expect(chooseHolder({ valueMinor: 5 }, tiers).rule).toMatch(/less than 1000, where the lowest/);
		const thick = { quantity: 1, holder: 'top-loader-180', words: [], format: { stockPt: 190 } };
		expect(tierMoves([{ key: 'a', valueMinor: 5000, ...thick }], USUAL_TIERS)).toEqual([]);
	});

	test('a value in other money than the tiers moves nothing; a name rule does', () => {
		const card = { key: 'a', quantity: 1, valueMinor: 5000, holder: null, words: ['Dog'] };
		const dear = { ...card, currency: 'JPY' };
		expect(tierMoves([dear], USUAL_TIERS, { currency: 'EUR' })).toEqual([]);
		expect(
			tierMoves([dear], USUAL_TIERS, { names: [{ word: 'dog', tier: 'best' }], currency: 'EUR' })
		).toHaveLength(1);
		expect(
			tierMoves([{ ...card, currency: 'EUR' }, card], USUAL_TIERS, { currency: 'EUR' })
		).toHaveLength(2);
	});
});

describe('labels', () => {
	const set = {
		name: 'Harbour Lights 1994',
		have: 236,
		total: 240,
		missing: ['11', '12', '13', '97'],
		elsewhere: [{ place: 'Bank box', numbers: ['201'] }]
	};

	test('● a box says have of total, what is missing as runs, what is kept elsewhere; common practice, no source', () => {
		expect(
			boxLabel({ name: 'HL', isForSets: true, link: 'http://x/boxes/1' }, [set], '1996-10-06')
		).toEqual({
			title: 'Harbour Lights 1994',
			lines: ['HL · 236 of 240 · 1996-10-06', 'Missing: 11–13, 97', 'Bank box: 201'],
			link: 'http://x/boxes/1'
		});
		const many = boxLabel(
			{ name: 'Long box 4', isForSets: true },
			[set, set, set, set],
			'1996-10-06'
		);
		expect(many.lines).toHaveLength(5);
		expect(boxLabel({ name: 'Empty', isForSets: true }, [], '1996-10-06')).toEqual({
			title: 'Empty',
			lines: ['1996-10-06']
		});
		expect(boxLabel({ name: 'Graded 1', isForSets: false }, [set], '1996-10-06').lines).toEqual([
			'Harbour Lights 1994',
			'1996-10-06'
		]);
	});

	test('a tab says from which number to which, a tag what its shelf bears', () => {
		const at = { box: 'Long box 4', row: 2 };
		expect(dividerTab('HL', ['1', '2', '60'], at)).toEqual({
			title: 'HL',
			lines: ['1–60', 'Long box 4, row 2']
		});
		expect(dividerTab('HL', ['7'], at).lines[0]).toBe('7');
		expect(dividerTab('HL', [], at).lines).toEqual(['Long box 4, row 2']);
		expect(shelfTag(shelf(2, { ratingG: 60_000 }), ['A', 'B'])).toEqual({
			title: 'Basement: Rack A, shelf 2',
			lines: ['A, B', 'bears 60 kg, says its maker']
		});
		expect(freeName('Long box', new Set(['Long box 1']), 1)).toBe('Long box 2');
		expect(freeName('A', new Set())).toBe('A');
	});
});

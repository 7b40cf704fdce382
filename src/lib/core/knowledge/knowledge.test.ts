import fc from 'fast-check';
import { expect, test } from 'vitest';
import { draftOfRelease } from '../checklist/draft/draft-of-release.ts';
import { oddReleaseDraft } from '../checklist/draft/release.arbitrary.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import { compareKnowledge } from './compare-knowledge.ts';
import { inWords } from './in-words.ts';
import type { Knowledge, KnownPrice } from './knowledge.ts';
import { takeKnowledge } from './take-knowledge.ts';

const bare = (checklist: ReleaseDraft): Knowledge => ({
	...{ checklist, pictures: [], prices: [], lookAlikes: [] }
});
/** A release with every key, as its file states it. */
function known(draft: ReleaseDraft): Knowledge {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return bare(draftOfRelease(outcome.value));
}
const ids = (mine: Knowledge, theirs: Knowledge) =>
	compareKnowledge(mine, theirs).map(({ id }) => id);

const cards = (numbers: readonly number[], title = 'Card') =>
	numbers.map((n) => ({ key: `base-${n}`, number: String(n), title: `${title} ${n}` }));
const MINE = known({
	release: { key: 'r', name: 'R', maker: 'M', year: '1994', note: 'mine' },
	packTypes: [{ key: 'hobby', name: 'Hobby', cardsPerPack: 10 }],
	sections: [
		{ key: 'base', name: 'Base', cards: cards([1, 2, 4]), odds: { hobby: '1:1' } },
		{ key: 'own', name: 'Only here', cards: [{ key: 'own-1', number: 'X1' }] }
	],
	variants: [
		{ key: 'red', kind: 'print variation', name: 'red', cards: ['1'], source: 'my own eyes' }
	]
});
const THEIRS = known({
	release: { key: 'r', name: 'R', maker: 'M', year: '1994', theme: 'Sea' },
	packTypes: [{ key: 'hobby', name: 'Hobby', cardsPerPack: 12, packsPerBox: 36 }],
	sections: [
		{
			...{ key: 'base', name: 'Base', odds: { hobby: '1:1' } },
			cards: [...cards([1]), ...cards([2], 'Keeper'), ...cards([3, 4])]
		},
		{ key: 'lens', name: 'Lens', kind: 'insert', cards: [{ key: 'lens-1', number: 'L1' }] }
	],
	parallels: [{ key: 'brass', name: 'Brass', runs: [{ sections: ['base'], printRun: 120 }] }],
	variants: [
		{
			...{ key: 'red', kind: 'print variation', name: 'red', cards: ['1'], source: 'Mara' },
			tells: [{ feature: 'line', value: 'red', where: 'back' }]
		}
	],
	hunts: [{ key: 'h', name: 'A blue one', source: 'hearsay', lastLooked: '1996-05-01' }]
});

test('each thing and each field is a line, with its kind, who says it, and what is known here', () => {
	const lines = compareKnowledge(MINE, THEIRS).map(
		({ id, kind, mine, theirs, source, on }) =>
			`${id} | ${kind} | ${mine ?? '-'} | ${theirs} | ${source ?? '-'} ${on ?? ''}`
	);
	expect(lines).toEqual([
		'release#theme | release | - | Sea | - ',
		'packTypes/hobby#cardsPerPack | odds and runs | 10 | 12 | - ',
		'packTypes/hobby#packsPerBox | odds and runs | - | 36 | - ',
		'sections/base/cards/base-2#title | cards | Card 2 | Keeper 2 | - ',
		'sections/base/cards/base-3 | cards | - | on their list | - ',
		'sections/lens | sections | - | 1 card; kind insert | - ',
		'parallels/brass | finishes | - | runs sections base, print run 120 | - ',
		'variants/red#source | errors and variations | my own eyes | Mara | Mara ',
		'variants/red#tells | tells | - | feature line, value red, where back | Mara ',
		'hunts/h | hunts | - | source hearsay, last looked 1996-05-01 | hearsay 1996-05-01'
	]);
});

test('what is taken stands where it stands in theirs; what is left stays, and what is known here alone', () => {
	const taken = takeKnowledge(
		MINE,
		THEIRS,
		new Set(['sections/base/cards/base-3', 'sections/lens', 'packTypes/hobby#cardsPerPack'])
	).checklist;
	expect(taken.sections.map(({ key }) => key)).toEqual(['base', 'lens', 'own']);
	expect(taken.sections[0]?.cards.map(({ key }) => key)).toEqual(
		[1, 2, 3, 4].map((n) => `base-${n}`)
	);
	expect(taken.sections[0]?.cards[1]?.title).toBe('Card 2');
	expect(taken.packTypes).toMatchObject([{ cardsPerPack: 12 }]);
	expect(taken.packTypes?.[0]?.packsPerBox).toBeUndefined();
	expect(taken.release).toMatchObject({ note: 'mine' });
	expect(taken.release.theme).toBeUndefined();
});

test('for all releases: nothing differs from itself, none taken is as before, all taken knows all of theirs', () => {
	fc.assert(
		fc.property(oddReleaseDraft, oddReleaseDraft, (left, right) => {
			const [mine, theirs] = [known(left), known(right)];
			expect(ids(mine, mine)).toEqual([]);
			expect(takeKnowledge(mine, theirs, new Set()).checklist).toEqual(mine.checklist);
			const all = new Set(ids(mine, theirs));
			const after = bare(takeKnowledge(mine, theirs, all).checklist);
			expect(ids(after, theirs)).toEqual([]);
			// Nothing that was known here alone is gone.
			const keys = ({ checklist }: Knowledge) =>
				checklist.sections.flatMap(({ key, cards: list }) => [
					key,
					...list.map((card) => card.key)
				]);
			expect(keys(after)).toEqual(expect.arrayContaining(keys(mine)));
		}),
		{ numRuns: 60 }
	);
});

test('of prices, pictures and look-alikes only what is new is told, and once', () => {
	const price: KnownPrice = {
		...{ version: 'r/base-1', kind: 'sale', lowMinor: 100, highMinor: 150, currency: 'EUR' },
		...{ saidOn: '1996-01-02', source: 'A fair', condition: 'mint' }
	};
	const picture = { of: 'r/base-1', side: 'front', hash: 'a'.repeat(64) } as const;
	const alike = { name: 'Two', keys: ['r/base-1', 'r/base-2'] };
	const theirs: Knowledge = {
		...THEIRS,
		prices: [price, price, { ...price, lowMinor: 90 }],
		pictures: [picture, { ...picture, side: 'back', source: 'Mara' }],
		lookAlikes: [alike, { name: 'The same', keys: ['r/base-2', 'r/base-1'] }]
	};
	const mine = { ...THEIRS, prices: [price], pictures: [picture] };
	const found = compareKnowledge(mine, theirs);
	expect(found.map(({ kind, what, source, on }) => [kind, what, source, on])).toEqual([
		['look-alikes', 'Two', null, null],
		['pictures', 'r/base-1: back', 'Mara', null],
		['prices', 'r/base-1: sale', 'A fair', '1996-01-02']
	]);
	const taken = takeKnowledge(mine, theirs, new Set(found.map(({ id }) => id)));
	expect([taken.prices, taken.pictures.length]).toEqual([[{ ...price, lowMinor: 90 }], 1]);
});

test.each([
	['text', 'text'],
	[12, '12'],
	[true, 'yes'],
	[['a', 'b'], 'a; b'],
	[{ hobby: '1:6', retail: undefined }, 'hobby 1:6'],
	[{ isPanel: true, printRun: 5 }, 'is panel, print run 5'],
	[[], '']
])('%j reads %s', (value, words) => {
	expect(inWords(value)).toBe(words);
});

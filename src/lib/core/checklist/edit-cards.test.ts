import { describe, expect, test } from 'vitest';
import { editCards, type CardEdits } from './edit-cards.ts';
import { wholeSections } from './edition.ts';
import { completeDraft } from './draft/resolve-release.ts';

const { release } = completeDraft({
	release: { name: 'R', maker: 'M', year: '1994' },
	sections: [
		{
			name: 'Base',
			cards: [
				{ number: '1', title: 'Ada', group: 'G' },
				{ number: '2', title: 'Bram' }
			]
		},
		{ name: 'Sub', kind: 'subset', numberedIn: 'base', cards: [{ number: '3' }] }
	]
});
const none: CardEdits = { change: [], remove: [], add: [] };

test('fields change, keys stay, empty texts take a field away, new cards get keys of their own', () => {
	const outcome = editCards(release, {
		change: [
			{ card: 'base-1', number: '11', group: '' },
			{ card: 'base-3', title: ' Cora ', marks: ['rookie'], rarity: 'Swell' }
		],
		remove: ['base-2'],
		add: [
			{ section: 'sub', number: '2', title: '' },
			{ section: 'base', number: '', title: 'Unnumbered' }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	const told = outcome.value.sections.flatMap(({ cards }) =>
		cards.map(({ key, number, title, group, marks, rarity }) =>
			[key, number, title, group, rarity, ...marks].join('|')
		)
	);
	// 2 was removed in the same edit; its key is not given to another card.
	expect(told).toEqual([
		'base-1|11|Ada||',
		'base-unnumbered||Unnumbered||',
		'base-3|3|Cora||Swell|rookie',
		'base-2-2|2|||'
	]);
	expect(editCards(release, none)).toMatchObject({ ok: true, value: release });
});

test('everything that cannot be is named at once', () => {
	const outcome = editCards(release, {
		change: [{ card: 'nix' }, { card: 'base-3', number: ' ' }],
		remove: ['nox'],
		add: [{ section: 'nowhere', number: '', title: '' }]
	});
	expect(outcome.ok ? [] : outcome.problems.map(({ field }) => field)).toEqual([
		'nix',
		'nox',
		'section',
		'number',
		'base-3'
	]);
});

describe('cards that an edition repeats', () => {
	const { release: issued } = completeDraft({
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				cards: [
					{ number: '1', title: 'Ada', tags: { role: ['keeper'] } },
					{ number: '2', title: 'Bram' },
					{ number: '3', title: 'Cora' }
				]
			},
			{ name: 'Again', cards: [{ number: '3', title: 'Dora' }] },
			{
				name: 'Foil',
				kind: 'extra',
				edition: { of: ['base', 'again'] },
				cards: [{ number: 'X1' }]
			}
		]
	});
	const edit = (edits: Partial<CardEdits>) => editCards(issued, { ...none, ...edits });

	test('what differs becomes a change, what is taken away is left out; the cards repeated stay', () => {
		const outcome = edit({
			change: [
				{ card: 'foil-1', title: 'Ada in foil', group: 'G' },
				{ card: 'foil-x1', title: 'Ten' },
				{ card: 'base-1', record: { note: 'first', tags: '' } }
			],
			remove: ['foil-2']
		});
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		expect(outcome.value.sections[2]?.edition).toEqual({
			of: ['base', 'again'],
			changes: [{ card: '1', title: 'Ada in foil', group: 'G' }],
			without: ['2']
		});
		const told = wholeSections(outcome.value).map(({ cards }) =>
			cards.map(({ key, title, note }) => [key, title, note ?? ''].join('|'))
		);
		expect(told).toEqual([
			['base-1|Ada|first', 'base-2|Bram|', 'base-3|Cora|'],
			['again-3|Dora|'],
			['foil-1|Ada in foil|', 'foil-3|Cora|', 'foil-3-2|Dora|', 'foil-x1|Ten|']
		]);
		expect(outcome.value.sections[0]?.cards[0]).not.toHaveProperty('tags');
	});

	test('an empty text of an edition is that of the card it repeats; a change of nothing is none', () => {
		const titled = edit({
			change: [{ card: 'foil-1', title: 'Ada in foil', group: 'G', number: '101' }]
		});
		if (!titled.ok) throw new RangeError(JSON.stringify(titled.problems));
		const cleared = (change: Partial<CardEdits['change'][number]>) => {
			const outcome = editCards(titled.value, { ...none, change: [{ card: 'foil-1', ...change }] });
			return outcome.ok ? outcome.value.sections[2]?.edition?.changes : outcome.problems;
		};
		expect(cleared({ group: ' ', number: '' })).toEqual([{ card: '1', title: 'Ada in foil' }]);
		expect(cleared({ group: '', number: '', title: '' })).toEqual([]);
		expect(cleared({ number: ' 7 ' })).toEqual([
			{ card: '1', title: 'Ada in foil', group: 'G', number: '7' }
		]);
		// What is stored is a file that can be read again.
		const [again] = wholeSections(titled.value).slice(-1);
		expect(again?.cards[0]).toMatchObject({ number: '101', title: 'Ada in foil', group: 'G' });
	});

	test('two of one number, and fields that an edition takes over, are refused with their remedy', () => {
		const outcome = edit({
			change: [
				{ card: 'foil-1', marks: ['key'], record: { note: 'n' } },
				{ card: 'base-1', record: { tags: 'x' } }
			],
			remove: ['foil-3']
		});
		const problems = outcome.ok ? [] : outcome.problems;
		expect(problems.map(({ field }) => field)).toEqual(['foil-3', 'foil-1', 'foil-1', 'Tags of 1']);
		for (const { remedy } of problems) expect(remedy).toMatch(/\S/);
	});
});

test.each<[string, Partial<CardEdits['change'][number]>, string]>([
	['another title meanwhile', { title: 'Mine', seen: { title: 'Old' } }, 'title of 1'],
	['another group meanwhile', { group: 'Mine', seen: { group: '' } }, 'group of 1'],
	['other marks meanwhile', { marks: ['key'], seen: { marks: ['rookie'] } }, 'marks of 1'],
	[
		'another subject meanwhile',
		{ subjects: ['Wren'], seen: { subjects: ['Pell'] } },
		'subjects of 1'
	]
])('%s: it is told, and nothing is changed', (_, edit, field) => {
	const outcome = editCards(release, { ...none, change: [{ card: 'base-1', ...edit }] });
	expect(outcome).toMatchObject({ ok: false, problems: [{ field }] });
});

test.each<[string, Partial<CardEdits['change'][number]>]>([
	['nobody changed it', { title: 'Mine', seen: { title: 'Ada' } }],
	['somebody wrote the same', { title: 'Ada', seen: { title: 'Old' } }],
	['somebody changed another field', { title: 'Mine', seen: { title: 'Ada', group: 'Other' } }],
	['nothing is said of what was seen', { title: 'Mine' }]
])('%s: it is changed', (_, edit) => {
	expect(editCards(release, { ...none, change: [{ card: 'base-1', ...edit }] }).ok).toBe(true);
});

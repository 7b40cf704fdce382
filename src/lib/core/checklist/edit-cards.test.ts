import { expect, test } from 'vitest';
import { editCards } from './edit-cards.ts';
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
const none = { change: [], remove: [], add: [] };

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

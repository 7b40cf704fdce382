import { describe, expect, test } from 'vitest';
import type { ReleaseDraft, SectionDraft } from './draft.ts';
import { numberingsOf, seriesOf } from '../numbering.ts';
import { resolveRelease } from './resolve-release.ts';
import { formatVersionKey, parseVersionKey } from '../versions/version-key.ts';

const head = { name: 'Harbour', maker: 'M', year: '1994' };
const base: SectionDraft = { name: 'Base', cards: [{ number: '1' }, { number: '2' }] };
const draft = (rest: Partial<ReleaseDraft>): ReleaseDraft => ({
	release: head,
	sections: [base],
	...rest
});

describe('resolveRelease', () => {
	test.each<[string, Partial<ReleaseDraft>, string[]]>([
		['no section', { sections: [] }, ['/sections']],
		[
			'the same number twice in one numbering, across a subset',
			{
				sections: [
					base,
					{ name: 'Sub', kind: 'subset', numberedIn: 'base', cards: [{ number: '02' }] }
				]
			},
			['/sections/1/cards/0/number']
		],
		[
			'a subset that lives nowhere, and one in a section that is not there',
			{
				sections: [
					base,
					{ name: 'A', kind: 'subset', cards: [] },
					{ name: 'B', kind: 'subset', numberedIn: 'x', cards: [] }
				]
			},
			['/sections/1/numberedIn', '/sections/2/numberedIn']
		],
		[
			'a series that runs backwards',
			{ sections: [{ ...base, series: [{ name: '1', from: '160', to: '1' }] }] },
			['/sections/0/series/0']
		],
		[
			'a parallel of an unknown section, and one section in two runs',
			{
				parallels: [
					{ name: 'A', runs: [{ sections: ['nix'] }] },
					{ name: 'B', runs: [{ sections: ['base'] }, { sections: ['base'], printRun: 5 }] }
				]
			},
			['/parallels/0/runs/0/sections/0', '/parallels/1/runs/1/sections/0']
		],
		[
			'a card without number and title',
			{ sections: [{ ...base, cards: [{}] }] },
			['/sections/0/cards/0']
		],
		[
			'odds of a pack type that is not there',
			{ packTypes: [{ name: 'Hobby' }], sections: [{ ...base, odds: { retail: '1:6' } }] },
			['/sections/0/odds/retail']
		]
	])('%s is named with its place', (_, rest, pointers) => {
		const outcome = resolveRelease(draft(rest));
		expect(outcome.ok).toBe(false);
		expect(outcome.ok ? [] : outcome.problems.map(({ pointer }) => pointer)).toEqual(pointers);
	});

	test('keys are made of names and numbers, clear of those that are given', () => {
		const outcome = resolveRelease(
			draft({
				sections: [
					{
						...base,
						cards: [{ number: 'F01' }, { title: 'Keeper’s "Ink"' }, { title: 'Keepers Ink' }]
					},
					{ name: 'Base', key: 'other', cards: [] }
				]
			})
		);
		expect(outcome).toMatchObject({
			ok: true,
			value: {
				key: 'harbour-1994',
				sections: [
					{
						key: 'base',
						cards: [{ key: 'base-f1' }, { key: 'base-keepers-ink' }, { key: 'base-keepers-ink-2' }]
					},
					{ key: 'other' }
				]
			}
		});
	});
});

describe('numberings', () => {
	test('a subset is filed within the numbering it lives in, and series are ranges of it', () => {
		const outcome = resolveRelease(
			draft({
				sections: [
					{
						...base,
						series: [
							{ name: 'I', from: '1', to: '3' },
							{ name: 'II', from: '4', to: '9' }
						],
						cards: [
							{ number: '10' },
							{ number: '1' },
							{ title: 'Zed' },
							{ number: '4' },
							{ title: 'Abe' }
						]
					},
					{ name: 'Sub', kind: 'subset', numberedIn: 'base', cards: [{ number: '2' }] }
				]
			})
		);
		if (!outcome.ok) throw new RangeError('the draft is right');
		const [numbering, ...more] = numberingsOf(outcome.value);
		expect(more).toEqual([]);
		expect(numbering?.cards.map(({ card }) => card.number ?? card.title)).toEqual([
			'1',
			'2',
			'4',
			'10',
			'Abe',
			'Zed'
		]);
		const series = numbering?.cards.map(({ card }) => seriesOf(numbering.owner, card.number)?.name);
		expect(series).toEqual(['I', 'I', 'II', undefined, undefined, undefined]);
	});
});

test.each(['r-1994/base-12', 'r-1994/base-12~brass', 'a.b/c-1~d'])('version key %s', (key) => {
	const name = parseVersionKey(key);
	expect(name && formatVersionKey(name)).toBe(key);
});

test.each(['', 'r', 'r/', 'r/a~', 'R/a', 'r/a/b', 'r/a~b~c', 'r/a b'])(
	'"%s" is no version key',
	(key) => {
		expect(parseVersionKey(key)).toBeNull();
	}
);

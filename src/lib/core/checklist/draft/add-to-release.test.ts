import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { readCardListRowsOf } from '../../../formats/card-list.fixture.ts';
import { expand } from '../versions/expand.ts';
import { cardsOf, type Release } from '../release.ts';
import { addToRelease } from './add-to-release.ts';
import { checkRelease } from './check-release.ts';
import { oddReleaseDraft, releaseDraft } from './release.arbitrary.ts';
import { resolveRelease } from './resolve-release.ts';
import type { ReleaseDraft } from './draft.ts';

function resolved(draft: ReleaseDraft): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const before = resolved({
	release: { key: 'small', name: 'Small', maker: 'M', year: '1994' },
	sections: [
		{
			name: 'Base',
			cards: [
				{ number: '1', title: 'Ada' },
				{ number: '2', subjects: ['Bram'] }
			]
		},
		{ name: 'Dogs', kind: 'subset', numberedIn: 'base', cards: [{ number: '3', title: 'Rex' }] }
	],
	parallels: [{ name: 'Red', runs: [{ sections: ['base'], printRun: 50 }] }],
	variants: [{ kind: 'error', name: 'back', cards: ['1'] }]
});
const list = (rows: string) => readCardListRowsOf(`release,maker,year,${rows}`)[0] as Release;
const told = (release: Release) =>
	release.sections.map(
		({ name, cards }) =>
			`${name}: ${cards.map(({ key, number, title, subjects }) => [key, number ?? '', title, subjects.join('+')].join('|')).join(' ')}`
	);

describe('a list of cards added to a release', () => {
	test('new cards and sections, what is lacking filled in, what is there left', () => {
		const after = addToRelease(
			before,
			list(
				[
					'section,kind,number,title,subjects,group,parallels',
					'Small,M,1994,Base,,2,Bram on watch,Cliff,Keepers,Red /50; Blue /9',
					',,,Base,,3,Not Rex,,,-',
					',,,Base,,4,Dory,,,Red /50',
					',,,Ink,insert,K1,Ada signs,Ada,,'
				].join('\n')
			)
		);
		expect(told(after)).toEqual([
			'Base: base-1|1|Ada| base-2|2|Bram on watch|Bram+Cliff base-4|4|Dory|',
			'Dogs: base-3|3|Rex|',
			'Ink: ink-k1|K1|Ada signs|Ada'
		]);
		expect(after.variants).toEqual(before.variants);
		expect(
			expand(after).flatMap(({ key, parallelKey, printRun }) =>
				parallelKey ? [`${key} ${printRun}`] : []
			)
		).toEqual([
			'small/base-1~red 50',
			'small/base-2~red 50',
			'small/base-2~blue 9',
			'small/base-4~red 50'
		]);
		expect(checkRelease(after)).toEqual([]);
	});

	test('of two cards of one title each gets what the list says of it', () => {
		const twins = resolved({
			release: { name: 'Aaa', maker: 'M', year: '1994' },
			sections: [
				{
					name: 'Log',
					kind: 'insert',
					cards: [{ title: 'Fog', subjects: ['Bram'] }, { title: 'Fog' }]
				}
			]
		});
		expect(told(addToRelease(twins, twins))).toEqual(told(twins));
	});

	test('for all releases: nothing of a release goes, its own cards added change nothing, twice is once', () => {
		fc.assert(
			fc.property(oddReleaseDraft, releaseDraft, (grown, list) => {
				const [first, second] = [resolved(grown), resolved(list)];
				const after = addToRelease(first, second);
				const keys = new Set(expand(after).map(({ key }) => key));
				for (const { key } of expand(first)) expect(keys).toContain(key);
				const numbers = new Set(cardsOf(after).map(({ card }) => card.number ?? card.title));
				for (const { card } of cardsOf(second))
					expect(numbers).toContain(card.number ?? card.title);
				expect(new Set(cardsOf(after).map(({ card }) => card.key)).size).toBe(
					cardsOf(after).length
				);
				expect(told(addToRelease(first, first))).toEqual(told(first));
				expect(told(addToRelease(after, second))).toEqual(told(after));
			}),
			{ numRuns: 60 }
		);
	});
});

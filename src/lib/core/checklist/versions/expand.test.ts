import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { ReleaseDraft } from '../draft/draft.ts';
import { expand } from './expand.ts';
import { cardsOf, type Release } from '../release.ts';
import { oddReleaseDraft, releaseDraft } from '../draft/release.arbitrary.ts';
import { resolveRelease } from '../draft/resolve-release.ts';
import { variantFinder, variantsOf } from '../variant.ts';

function release(draft: ReleaseDraft): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

/** Worked by hand: 5 base and 2 rookies in one numbering, 2 inserts, two parallels. */
const small: ReleaseDraft = {
	release: { name: 'Small', maker: 'M', year: '1994' },
	sections: [
		{ key: 'base', name: 'Base', cards: ['1', '2', '5', '6', '7'].map((number) => ({ number })) },
		{
			key: 'rookies',
			name: 'Rookies',
			kind: 'subset',
			numberedIn: 'base',
			cards: [{ number: '3' }, { number: '4' }]
		},
		{
			key: 'inserts',
			name: 'Inserts',
			kind: 'insert',
			printRun: 99,
			cards: [{ title: 'B' }, { title: 'A' }]
		}
	],
	parallels: [
		{
			key: 'silver',
			name: 'Silver',
			runs: [
				{ sections: ['base'], printRun: 120 },
				{ sections: ['rookies'], printRun: 80 }
			]
		},
		{ key: 'gold', name: 'Gold', runs: [{ sections: ['rookies'] }] }
	]
};

describe('expand', () => {
	test('a small release, version by version', () => {
		const line = ({ key, printRun }: { key: string; printRun: number | null }) =>
			`${key.replace('small-1994/', '')} ${printRun ?? '-'}`;
		expect(expand(release(small)).map(line)).toEqual([
			'base-1 -',
			'base-1~silver 120',
			'base-2 -',
			'base-2~silver 120',
			'base-3 -',
			'base-3~silver 80',
			'base-3~gold -',
			'base-4 -',
			'base-4~silver 80',
			'base-4~gold -',
			'base-5 -',
			'base-5~silver 120',
			'base-6 -',
			'base-6~silver 120',
			'base-7 -',
			'base-7~silver 120',
			'inserts-a 99',
			'inserts-b 99'
		]);
	});

	// ● Print runs differ by section within one parallel: /120 veterans, /80 rookies, /30 a subset,
	// another year half of that. Common practice, no source; totals worked by hand.
	test.each([
		[1, 5 * 120 + 2 * 80],
		[2, 5 * 60 + 2 * 40]
	])('copies made of a parallel whose runs are divided by %i: %i', (divisor, total) => {
		const parallels = (small.parallels ?? []).map((parallel) => ({
			...parallel,
			runs: parallel.runs.map(({ sections, printRun }) => ({
				sections,
				...(printRun ? { printRun: printRun / divisor } : {})
			}))
		}));
		const made = expand(release({ ...small, parallels }))
			.filter(({ parallelKey }) => parallelKey === 'silver')
			.reduce((sum, { printRun }) => sum + (printRun ?? 0), 0);
		expect(made).toBe(total);
	});

	test('for all releases: a version exists once, and their number follows from the rules', () => {
		fc.assert(
			fc.property(releaseDraft, (draft) => {
				const { sections, parallels } = release(draft);
				const versions = expand(release(draft));
				expect(new Set(versions.map(({ key }) => key)).size).toBe(versions.length);
				const expected = sections.reduce((sum, { key, cards }) => {
					const finishes = parallels.filter(({ runs }) =>
						runs.some((run) => run.sections?.includes(key))
					);
					return sum + cards.length * (1 + finishes.length);
				}, 0);
				expect(versions.length).toBe(expected);
			})
		);
	});

	test('for all releases: keys stay when titles change, cards move and parallels come', () => {
		fc.assert(
			fc.property(releaseDraft, (draft) => {
				const before = release(draft);
				const after: Release = {
					...before,
					sections: before.sections.map((section) => ({
						...section,
						cards: section.cards.map((card) => ({ ...card, title: `${card.title}!` })).reverse()
					})),
					parallels: [
						...before.parallels,
						{ key: 'late', name: 'Late', runs: [{ sections: ['base'] }] }
					]
				};
				const keys = new Set(expand(after).map(({ key }) => key));
				expect(expand(before).filter(({ key }) => !keys.has(key))).toEqual([]);
			})
		);
	});

	test('a release without cards has no versions', () => {
		const empty = { ...small, sections: [{ name: 'Base', cards: [] }], parallels: [] };
		expect(expand(release(empty))).toEqual([]);
	});
});

test('for all releases and cards, looking variants up by name finds those that going through them all finds', () => {
	fc.assert(
		fc.property(oddReleaseDraft, (draft) => {
			const outcome = resolveRelease(draft);
			if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
			const { value: release } = outcome;
			const find = variantFinder(release.variants);
			for (const { section, card } of cardsOf(release)) {
				expect(find(section, card)).toEqual(variantsOf(release.variants, section, card));
			}
		}),
		{ numRuns: 50 }
	);
});

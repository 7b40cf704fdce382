import fc from 'fast-check';
import { expect, test } from 'vitest';
import { recordedReleaseDraft } from '../checklist/draft/release.arbitrary.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { expand } from '../checklist/versions/expand.ts';
import { jobSize } from './job-size.ts';
import { scopeGoals } from './scope-goal.ts';
import { release } from './small-release.fixture.ts';

test('cards once, slots by finish, what is dear for each of its reasons; two sets are twice the slots', () => {
	const outcome = resolveRelease({
		release: { key: 'q', name: 'Q', maker: 'M', year: '1994' },
		rarities: ['Calm', 'Gale'],
		sections: [
			{
				name: 'Base',
				cards: [
					{ number: '1', marks: ['key'], rarity: 'Gale' },
					{ number: '2', marks: ['short print'], rarity: 'Calm' },
					{ number: '3' }
				]
			}
		],
		parallels: [
			{ name: 'Red', runs: [{ sections: ['base'], printRun: 99, swatch: 'with' }] },
			{ name: 'Blue', runs: [{ sections: ['base'], cards: ['3'], printRun: 100 }] }
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	const size = (sets: number) => {
		const releases = [outcome.value, release];
		return jobSize(releases, scopeGoals(releases, { preset: 'strict-master', sets }).slots);
	};
	// By hand: 3 base, 3 Red, 1 Blue here; there 22 base, 20 Brass and 3 Ten of 10.
	expect(size(1)).toEqual({
		releases: 2,
		cards: 25,
		slots: 52,
		finishes: [
			{ name: 'base finish', count: 25 },
			{ name: 'Brass', count: 20 },
			{ name: 'Red', count: 3 },
			{ name: 'Ten', count: 3 },
			{ name: 'Blue', count: 1 }
		],
		rarities: [
			{ name: 'Calm', count: 2 },
			{ name: 'Gale', count: 2 }
		],
		dear: [
			{ name: 'key cards and rookies', count: 2 },
			{ name: 'short prints', count: 2 },
			{ name: 'made 99 times or less', count: 6 },
			{ name: 'with a swatch', count: 3 }
		]
	});
	expect(size(2)).toMatchObject({ cards: 25, slots: 104 });
	expect(jobSize([], [])).toEqual({
		releases: 0,
		cards: 0,
		slots: 0,
		finishes: [],
		rarities: [],
		dear: []
	});
});

test('for all releases, finishes sum to the slots, and classes to no more', () => {
	fc.assert(
		fc.property(recordedReleaseDraft, (draft) => {
			const outcome = resolveRelease(draft);
			if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
			const { slots } = scopeGoals([outcome.value], { preset: 'strict-master' });
			const { finishes, rarities, dear, cards } = jobSize([outcome.value], slots);
			const total = (rows: readonly { readonly count: number }[]) =>
				rows.reduce((sum, { count }) => sum + count, 0);
			expect(total(finishes)).toBe(slots.length);
			expect(total(rarities)).toBeLessThanOrEqual(slots.length);
			for (const { count } of dear) expect(count).toBeLessThanOrEqual(slots.length);
			expect(cards).toBeLessThanOrEqual(
				new Set(expand(outcome.value).map(({ cardKey }) => cardKey)).size
			);
		}),
		{ numRuns: 40 }
	);
});

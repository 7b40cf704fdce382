import { Bench } from 'tinybench';
import { planBoxes } from '../src/lib/core/storage/plan/plan-boxes.ts';
import { pullList } from '../src/lib/core/storage/slips/put-away.ts';
import { pairGroups } from '../src/lib/core/binder/pair-groups.ts';
import { compareReleases } from '../src/lib/core/checklist/compare/compare-releases.ts';
import { CONDITIONS } from '../src/lib/core/copies/condition.ts';
import { fillSlots } from '../src/lib/core/goal/fill-slots.ts';
import { scopeGoal } from '../src/lib/core/goal/scope-goal.ts';
import { madeUpRelease } from './made-up-release.ts';
import { report } from './report.ts';

const many = <Value>(count: number, make: (i: number) => Value) =>
	Array.from({ length: count }, (_, i) => make(i));
const copies = (count: number, versionOf: (i: number) => string) =>
	many(count, (i) => ({
		key: `c${i}`,
		version: versionOf(i),
		quantity: 1,
		condition: CONDITIONS[(i * 13) % 7]
	}));

/** Sizes that once took from six seconds to no answer at all; wanted: a second each at size 1. */
export async function benchLimits(): Promise<void> {
	for (const size of [1, 2]) {
		const keys = many(20_000 * size, (i) => `key ${(i * 7919) % 20_011}`);
		const release = madeUpRelease(5000 * size, 0);
		const slots = {
			sets: many(100 * size, (i) => ({ key: `s${i}`, versions: ['a'], quantity: 1, tier: i })),
			anyOf: many(200 * size, (i) => ({ key: `s${i}`, versions: ['a', `b${i}`], quantity: 1 })),
			equal: many(2000 * size, (i) => ({ key: `s${i}`, versions: ['a'], quantity: 1 }))
		};
		const piles = {
			sets: copies(150 * size, () => 'a'),
			anyOf: copies(400 * size, (i) => (i % 2 === 0 ? 'a' : `b${i % (200 * size)}`)),
			equal: copies(2000 * size, () => 'a')
		};
		const sets = many(20_000 * size, (i) => {
			const cards = 50 + (i % 300);
			const name = `Release ${i}`;
			const year = String(1900 + (i % 100));
			return { key: name, name, year, maker: `Maker ${i % 40}`, cards, need: 300, have: cards };
		}).map((set) => ({ ...set, have: Math.min(set.cards, set.need) }));
		const place = {
			box: 'Long box 1',
			row: 1,
			divider: 'd',
			set: 'a',
			numbers: many(20_000 * size, (i) => String(i + 1))
		};
		const stack = place.numbers.map((number) => ({ key: number, set: 'a', number, title: '' }));
		const groups = many(300 * size, (i) => ({ key: `g${i}`, size: 1 + ((i * 7) % 9) }));
		const bench = new Bench({ time: 200, iterations: 2, warmup: false });
		bench
			.add('plain sort', () => void [...keys].sort())
			.add('fill 100 sets of a card from 150', () => void fillSlots(slots.sets, piles.sets))
			.add('fill 200 any-of slots', () => void fillSlots(slots.anyOf, piles.anyOf))
			.add('fill 2,000 slots of one version', () => void fillSlots(slots.equal, piles.equal))
			.add(
				'scope 5,000 cards in 100 sets',
				() => void scopeGoal(release, { preset: 'complete', sets: 100 })
			)
			.add('plan 20,000 sets into boxes', () => void planBoxes(sets))
			.add('pull 20,000 of a set', () => void pullList(stack, [place]))
			.add('compare 5,000 with 5,000', () => void compareReleases(release, release))
			.add('pair 300 groups', () => void pairGroups(groups, 9));
		await bench.run();
		report(`the sizes that are named, times ${size}`, bench);
	}
}

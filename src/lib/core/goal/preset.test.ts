import { describe, expect, test } from 'vitest';
import { release } from './small-release.fixture.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { scopeGoal } from './scope-goal.ts';

const numbers = (from: number, to: number) =>
	Array.from({ length: to - from + 1 }, (_, i) => ({ number: String(from + i) }));

describe('scopeGoal', () => {
	// 17 base, 3 subset, 2 insert; Brass on 20, Ten on 3. Worked by hand.
	test.each([
		['base', undefined, 17],
		['complete', undefined, 20],
		['with-inserts', undefined, 22],
		['parallel-run', 'brass', 20],
		['parallel-run', 'ten', 3],
		['parallel-run', undefined, 0],
		['parallel-run', 'nix', 0],
		['strict-master', undefined, 45]
	] as const)('%s %s has %i slots', (preset, parallel, count) => {
		expect(scopeGoal(release, { preset, parallel })).toHaveLength(count);
	});
});

test('a panel and its single cards are alternatives: where the singles are asked for, it is not', () => {
	const outcome = resolveRelease({
		release: { name: 'P', maker: 'M', year: '1948' },
		sections: [
			{ name: 'Base', cards: numbers(1, 4) },
			{
				name: 'Panels',
				kind: 'extra',
				cards: [
					{ number: 'P1', panelOf: ['1', '2'] },
					{ number: 'P2', title: 'Loose' }
				]
			}
		]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	const keys = scopeGoal(outcome.value, { preset: 'strict-master' }).map(({ key }) => key);
	expect(keys).toEqual(
		['base-1', 'base-2', 'base-3', 'base-4', 'panels-p2'].map((card) => `p-1948/${card}`)
	);
});

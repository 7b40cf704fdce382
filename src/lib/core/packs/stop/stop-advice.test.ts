import { expect, test } from 'vitest';
import { stopAdvice } from './stop-advice.ts';
import type { CostAt, OptionCurve, StopPlan } from './when-to-stop.ts';

const at = (packs: number, totalMinor: number): CostAt => ({
	...{ packs, totalMinor, packsMinor: 0, singlesMinor: 0, broughtMinor: 0 },
	...{ lowMinor: 0, highMinor: 0, missing: 0 }
});
const option = (key: string, best: CostAt, together: number, isAtMost = false): OptionCurve => ({
	...{ key, best, isAtMost, curve: [], newAPack: 0 },
	next: { packs: together, costMinor: 0, bringsMinor: 0 }
});
const plan = (options: readonly OptionCurve[], isNone = false): StopPlan => ({
	...{ options, isNone, noneMinor: 30_000 },
	best: { packs: [], totalMinor: 0, savedMinor: 0 }
});

test.each([
	['singles cost less', plan([option('pack', at(0, 30_000), 1)], true), { sort: 'none' }],
	['no packs', plan([]), { sort: 'none' }],
	['no boxes', plan([option('pack', at(41, 20_000), 1)]), { sort: 'packs', packs: 41 }],
	[
		'two boxes cost a hundredth more than the best',
		plan([option('pack', at(70, 20_000), 1), option('box', at(72, 20_200), 36)]),
		{ sort: 'boxes', boxes: 2 }
	],
	[
		'a box costs much more',
		plan([option('pack', at(12, 20_000), 1), option('box', at(36, 21_000), 36)]),
		{ sort: 'packs', packs: 12 }
	],
	[
		'no box pays, some packs do',
		plan([option('pack', at(3, 20_000), 1), option('box', at(0, 20_001), 36)]),
		{ sort: 'packs', packs: 3 }
	],
	['as many as there are', plan([option('pack', at(120, -5), 1, true)]), { sort: 'all' }]
])('%s', (_, stop, advice) => {
	expect(stopAdvice(stop)).toEqual(advice);
});

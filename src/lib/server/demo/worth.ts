import type { WorthDemo } from '../../schemas/worth-demo.ts';
import { USUAL_CURRENCY as currency } from '../places/holder-tiers.ts';
import { keepHouse } from '../worth/houses.ts';
import { keepPopulation } from '../worth/populations/keep-population.ts';
import { notePrices } from '../worth/prices/note-prices.ts';
import type { DemoStep } from './demo-step.ts';
import { must } from './must.ts';

/** What the demo's collector heard of prices and populations. */
export function worthSteps({ houses, prices, populations }: WorthDemo): readonly DemoStep[] {
	return [
		...houses.map(({ at, ...house }): DemoStep => ({
			when: at,
			take: async (then) => must(await keepHouse(then, house))
		})),
		...prices.map(({ at, ...said }): DemoStep => ({
			when: at,
			take: async (then) => must(await notePrices(then, { ...said, currency }))
		})),
		...populations.map(({ at, ...said }): DemoStep => ({
			when: at,
			take: async (then) => must(await keepPopulation(then, said))
		}))
	];
}

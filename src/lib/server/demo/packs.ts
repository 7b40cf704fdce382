import type { PacksDemo } from '../../schemas/packs-demo.ts';
import { agreeShares, beginOpening } from '../packs/openings/change-opening.ts';
import { logOpened } from '../packs/openings/log-opened.ts';
import { keepSealed } from '../packs/sealed/change-sealed.ts';
import { USUAL_CURRENCY as currency } from '../places/holder-tiers.ts';
import type { DemoStep } from './demo-step.ts';
import { must } from './must.ts';

/** What the demo's collector opened, and keeps sealed. */
export function packsSteps({ openings, sealed }: PacksDemo): readonly DemoStep[] {
	return [
		...openings.map(({ at, pack, name, price, shares, keeper, piles }): DemoStep => ({
			when: at,
			take: async (then) => {
				const { id } = must(await beginOpening(then, { pack, name, price, currency }));
				if (shares !== '') must(await agreeShares(then, id, { rules: shares, keeper }));
				for (const pile of piles) must(await logOpened(then, id, pile));
			}
		})),
		...sealed.map(({ at, ...lot }): DemoStep => ({
			when: at,
			take: async (then) => must(await keepSealed(then, { ...lot, lot: null, currency }))
		}))
	];
}

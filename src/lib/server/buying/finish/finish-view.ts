import { costToFinish } from '../../../core/buying/finish/cost-to-finish.ts';
import { nextRings } from '../../../core/goal/next-ring.ts';
import { isBought } from '../../../core/copies/copy-record.ts';
import type { Reader } from '../../database/open.ts';
import { goalChoices, releases } from '../../database/tables/index.ts';
import { workOutGoals } from '../../goals/work-out-goals.ts';
import { BUYING_RULES } from '../buying-rules.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { finishSlots } from '../finish-slots.ts';
import { readPriceBook } from '../prices/read-price-book.ts';

/** All goals beside each other: what finishing each takes, ranked by the rule that is set, with what was decided. */
export async function finishView(db: Reader) {
	const rules = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const states = await workOutGoals(db, () => true, isBought);
	const heads = await db.select({ id: releases.id, key: releases.key }).from(releases);
	const asked = new Set(states.flatMap((state) => state.releases.map(({ key }) => key)));
	const keys = new Map(
		heads.flatMap(({ id, key }) => (asked.has(key) ? [[id, key] as const] : []))
	);
	const { points, lumps, problems } = await readPriceBook(db, keys, rules.currency);
	const costs = costToFinish(
		states.map((state) => ({
			key: String(state.goal.id),
			name: state.goal.name,
			slots: finishSlots(state, points, { currency: rules.currency, rates }),
			lumps: lumps.get(state.goal.id) ?? []
		})),
		rules
	);
	const choices = new Map(
		(await db.select().from(goalChoices)).map((choice) => [String(choice.goalId), choice])
	);
	const stateOf = new Map(states.map((state) => [String(state.goal.id), state]));
	return {
		rules,
		problems,
		goals: costs.map((cost) => {
			const state = stateOf.get(cost.key);
			const [ring] = state ? nextRings(state.releases, state.goal.rules) : [];
			const choice = choices.get(cost.key);
			return {
				...cost,
				releaseName: state?.releases[0]?.name ?? '',
				preset: state?.goal.rules.preset ?? null,
				ring: ring ? { name: ring.name, more: ring.more } : null,
				choice: choice?.choice ?? null,
				priority: choice?.priority ?? 2,
				mostMinor: choice?.mostMinor ?? null,
				mostCurrency: choice?.currency ?? rules.currency
			};
		})
	};
}

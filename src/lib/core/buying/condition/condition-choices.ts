import type { Condition } from '../../copies/condition.ts';
import { qualityRank } from '../../copies/condition.ts';
import { middleOf } from '../../worth/prices/price.ts';
import { typicalPrice } from '../prices/typical-price.ts';
import type { PricePoint } from '../../worth/prices/price-point.ts';
import type { ConditionChoice } from './budget-condition.ts';

/** Conditions that are chosen among, best first. */
export const BUDGET_CONDITIONS = ['near mint', 'excellent', 'very good', 'good'] as const;
export type BudgetCondition = (typeof BUDGET_CONDITIONS)[number];

/**
 * What a card in each condition costs of one near mint, in percent. ● A lightly played (excellent) one costs about
 * half: common practice, no source; the others are invented, for everybody to set.
 */
export const USUAL_PERCENTS: Readonly<Record<BudgetCondition, number>> = {
	'near mint': 100,
	excellent: 50,
	'very good': 30,
	good: 20
};

/** How good a condition is, 1 to 10 as grades are. */
export const qualityOf = (condition: Condition): number => qualityRank({ condition }) / 2;

/**
 * The conditions a card may be bought in, with what each costs: what was said of that condition, else a part of the
 * price near mint. Where only other conditions are known, near mint is reckoned back from the best of them; a price
 * without a condition is one near mint. Null: nothing is known.
 *
 * @param estimateMinor what it costs by its neighbours, where nothing is said of itself
 */
export function conditionChoices(
	version: string,
	points: readonly PricePoint[],
	percents: Readonly<Record<BudgetCondition, number>>,
	estimateMinor: number | null
): readonly ConditionChoice[] | null {
	const raw = points.filter(({ grade }) => grade === undefined);
	const said = (condition: BudgetCondition) => {
		const some = raw.filter((point) => (point.condition ?? 'near mint') === condition);
		const price = typicalPrice(some, { versions: [version] });
		return price ? middleOf(price) : null;
	};
	const known = BUDGET_CONDITIONS.map((name) => ({ name, minor: said(name) }));
	const best = known.find(({ minor }) => minor !== null);
	const whole =
		best?.minor != null && percents[best.name] > 0
			? (100 * best.minor) / percents[best.name]
			: estimateMinor;
	if (whole === null) return null;
	return known.map(({ name, minor }) => ({
		name,
		minor: Math.round(minor ?? (whole * percents[name]) / 100),
		quality: qualityOf(name)
	}));
}

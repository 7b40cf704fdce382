import { eq } from 'drizzle-orm';
import { sum } from 'd3-array';
import {
	budgetCondition,
	type ConditionSlot
} from '../../../core/buying/condition/budget-condition.ts';
import {
	BUDGET_CONDITIONS,
	conditionChoices,
	type BudgetCondition
} from '../../../core/buying/condition/condition-choices.ts';
import { neighbourPrices } from '../../../core/buying/prices/neighbour-price.ts';
import { middleOf } from '../../../core/worth/prices/price.ts';
import { isKeyCard } from '../../../core/buying/prices/sheet-want.ts';
import { isBought } from '../../../core/copies/copy-record.ts';
import type { GoalId } from '../../../core/row-id.ts';
import type { Reader } from '../../database/open.ts';
import { goals, releases } from '../../database/tables/index.ts';
import { workOutGoals } from '../../goals/work-out-goals.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { BUYING_RULES } from '../buying-rules.ts';
import { finishSlots } from '../finish-slots.ts';
import { readPriceBook } from '../prices/read-price-book.ts';

/** What a set is asked for. */
export interface ConditionAsk {
	readonly goal: GoalId | null;
	/** The most all of it may cost, and the least average, 1 to 10; left out: not asked. */
	readonly budgetMinor?: number;
	readonly average?: number;
	readonly percents: Readonly<Record<BudgetCondition, number>>;
	/** Key cards near mint in any case. */
	readonly arePinned: boolean;
	/** The whole set, as if nothing were here; else what is missing. */
	readonly isWhole: boolean;
	/** What an old pack costs; left out: not asked. */
	readonly packMinor?: number;
}

/** Points of the curve that are drawn. */
const SHOWN = 120;

/** The best set for a budget, the cheapest of an average, and what each step in condition costs. */
export async function conditionView(db: Reader, ask: ConditionAsk) {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const all = await db.select({ id: goals.id, name: goals.name }).from(goals);
	const goal = all.find(({ id }) => id === ask.goal) ?? all[0];
	const [state] = goal ? await workOutGoals(db, ({ id }) => id === goal.id, isBought) : [];
	if (!goal || !state) return { currency, goals: all, goal: null };
	const keys = state.releases.map(({ key }) => key);
	const ids = new Map<(typeof releases.$inferSelect)['id'], string>();
	for (const key of keys) {
		const [head] = await db.select({ id: releases.id }).from(releases).where(eq(releases.key, key));
		if (head) ids.set(head.id, key);
	}
	const { points, lumps, problems } = await readPriceBook(db, ids, currency);
	const slots = finishSlots(state, points, { currency, rates });
	const estimate = neighbourPrices(slots, lumps.get(goal.id) ?? []);
	const asked = slots.flatMap((slot) => {
		const quantity = ask.isWhole ? slot.need : slot.quantity;
		return Array.from({ length: quantity }, (_, i) => ({ slot, key: `${slot.key} ${i}` }));
	});
	const open: ConditionSlot[] = [];
	const versionOf = new Map<string, string>();
	let unknown = 0;
	for (const { slot, key } of asked) {
		const [version = ''] = slot.versions;
		const near = estimate(slot);
		const choices = conditionChoices(
			version,
			slot.versions.flatMap((each) => points.get(each) ?? []),
			ask.percents,
			near && middleOf(near)
		);
		if (!choices) {
			unknown++;
			continue;
		}
		versionOf.set(key, version);
		const isPinned = ask.arePinned && isKeyCard(slot);
		open.push({ key, choices, ...(isPinned ? { pinned: 'near mint' } : {}) });
	}
	const { best, cheapest, curve } = budgetCondition(open, {
		...(ask.budgetMinor === undefined ? {} : { budgetMinor: ask.budgetMinor }),
		...(ask.average === undefined ? {} : { average: ask.average })
	});
	const names = await nameVersions(db, [...versionOf.values()]);
	const written = (plan: typeof best) =>
		plan && {
			...{ minor: plan.minor, average: plan.average },
			/** Cards by condition, best first. */
			parts: BUDGET_CONDITIONS.flatMap((condition) => {
				const cards = plan.choices.filter(({ name }) => name === condition);
				if (cards.length === 0) return [];
				const called = cards.map(({ key }) => {
					const version = versionOf.get(key) ?? '';
					return names.get(version)?.card ?? version;
				});
				return [{ condition, cards: called }];
			})
		};
	const step = Math.max(1, Math.ceil(curve.length / SHOWN));
	const allIn = (condition: BudgetCondition) =>
		sum(open, ({ choices }) => choices.find(({ name }) => name === condition)?.minor ?? 0);
	return {
		...{ currency, goals: all, goal, problems, unknown, cards: open.length },
		...{ best: written(best), cheapest: written(cheapest) },
		curve: curve.filter((_, i) => i % step === 0 || i === curve.length - 1),
		/** All of it in one condition. */
		alike: BUDGET_CONDITIONS.map((condition) => ({ condition, minor: allIn(condition) })),
		packs: ask.packMinor ? allIn('near mint') / ask.packMinor : null
	};
}
export type ConditionView = Awaited<ReturnType<typeof conditionView>>;

import { eq } from 'drizzle-orm';
import { neighbourPrices } from '../../core/buying/prices/neighbour-price.ts';
import { middleOf } from '../../core/worth/prices/price.ts';
import type { PackType, Release } from '../../core/checklist/release.ts';
import { isBought } from '../../core/copies/copy-record.ts';
import type { PackWant } from '../../core/packs/plan-packs.ts';
import type { Problem } from '../../core/problem.ts';
import type { GoalId, ReleaseId } from '../../core/row-id.ts';
import { convertMinor, type ExchangeRate } from '../../core/money/exchange-rates.ts';
import { BUYING_RULES } from '../buying/buying-rules.ts';
import { finishSlots } from '../buying/finish-slots.ts';
import { readPriceBook } from '../buying/prices/read-price-book.ts';
import type { Reader } from '../database/open.ts';
import { goals, releases } from '../database/tables/index.ts';
import { workOutGoals } from '../goals/work-out-goals.ts';
import { EXCHANGE_RATES } from '../preferences/exchange-rates.ts';
import { readPreference } from '../preferences/preferences.ts';

/** What packs are reckoned against: a goal, what it lacks, and what that costs. */
export interface PackGround {
	readonly currency: string;
	readonly rates: readonly ExchangeRate[];
	readonly goals: readonly { readonly id: GoalId; readonly name: string }[];
	/** null: there is no goal. */
	readonly goal: { readonly id: GoalId; readonly name: string } | null;
	readonly releases: readonly Release[];
	readonly wants: readonly PackWant[];
	readonly problems: readonly Problem[];
}

/** Reads a goal with what it lacks and the price sheet says of it; null: the first goal. */
export async function readPackGround(db: Reader, goal: GoalId | null): Promise<PackGround> {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const all = await db.select({ id: goals.id, name: goals.name }).from(goals);
	const chosen = all.find(({ id }) => id === goal) ?? all[0];
	const [state] = chosen ? await workOutGoals(db, ({ id }) => id === chosen.id, isBought) : [];
	const ground = { currency, rates, goals: all };
	if (!chosen || !state) return { ...ground, goal: null, releases: [], wants: [], problems: [] };
	const ids = new Map<ReleaseId, string>();
	for (const { key } of state.releases) {
		const [row] = await db.select({ id: releases.id }).from(releases).where(eq(releases.key, key));
		if (row) ids.set(row.id, key);
	}
	const { points, lumps, problems } = await readPriceBook(db, ids, currency);
	const slots = finishSlots(state, points, { currency, rates });
	const estimate = neighbourPrices(slots, lumps.get(chosen.id) ?? []);
	const wants = slots.map((slot): PackWant => {
		const price = slot.price ?? estimate(slot);
		return {
			...{ versions: slot.versions, quantity: slot.quantity },
			cardMinor: price && middleOf(price)
		};
	});
	return { ...ground, goal: chosen, releases: state.releases, wants, problems };
}

/** What a pack costs as the release says, in another currency; null: it does not say, or no rate leads there. */
export function statedPrice(
	{ priceMinor, currency }: PackType,
	to: string,
	rates: readonly ExchangeRate[]
): number | null {
	return priceMinor === undefined ? null : convertMinor(priceMinor, currency ?? to, to, rates);
}

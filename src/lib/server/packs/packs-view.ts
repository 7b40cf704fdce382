import { eq } from 'drizzle-orm';
import { neighbourPrices } from '../../core/buying/prices/neighbour-price.ts';
import { middleOf } from '../../core/buying/prices/price.ts';
import { isBought } from '../../core/copies/copy-record.ts';
import { planPacks, type PackWant } from '../../core/packs/plan-packs.ts';
import { profileOfRelease } from '../../core/packs/profile/profile-of-release.ts';
import type { GoalId, ReleaseId } from '../../core/row-id.ts';
import { convertMinor } from '../../core/worth/exchange-rates.ts';
import { BUYING_RULES } from '../buying/buying-rules.ts';
import { finishSlots } from '../buying/finish-slots.ts';
import { readPriceBook } from '../buying/prices/read-price-book.ts';
import type { Reader } from '../database/open.ts';
import { goals, releases } from '../database/tables/index.ts';
import { workOutGoals } from '../goals/work-out-goals.ts';
import { EXCHANGE_RATES } from '../preferences/exchange-rates.ts';
import { readPreference } from '../preferences/preferences.ts';

/** What is asked of packs. */
export interface PacksAsk {
	readonly goal: GoalId | null;
	/** "release pack": keys; null: the first. */
	readonly pack: string | null;
	/** Packs that may be opened; null: a box, or ten. */
	readonly packs: number | null;
	/** What a pack costs; null: as the release says. */
	readonly priceMinor: number | null;
	/** What a single costs beside its price: its share of postage. */
	readonly postageMinor: number;
	/** What a double brings, in percent of what it costs, if it costs so much. */
	readonly extraPercent: number;
	readonly extraFromMinor: number;
}

/** What packs promise for what a goal lacks. */
export async function packsView(db: Reader, ask: PacksAsk) {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const all = await db.select({ id: goals.id, name: goals.name }).from(goals);
	const chosen = all.find(({ id }) => id === ask.goal) ?? all[0];
	const [state] = chosen ? await workOutGoals(db, ({ id }) => id === chosen.id, isBought) : [];
	if (!chosen || !state) return { currency, goals: all, goal: null, problems: [] };
	const kinds = state.releases.flatMap((release) =>
		release.packTypes
			.filter(({ packs }) => packs === undefined)
			.filter((pack) => profileOfRelease(release, pack, () => 0).profile.groups.length > 0)
			.map((pack) => ({
				...{ key: `${release.key} ${pack.key}`, release, pack },
				name: `${release.name}: ${pack.name}`
			}))
	);
	const kind = kinds.find(({ key }) => key === ask.pack) ?? kinds[0];
	const head = {
		...{ currency, goals: all, goal: chosen },
		kinds: kinds.map(({ key, name }) => ({ key, name }))
	};
	if (!kind) return { ...head, kind: null, plan: null, problems: [] };
	const ids = new Map<ReleaseId, string>();
	for (const { key } of state.releases) {
		const [row] = await db.select({ id: releases.id }).from(releases).where(eq(releases.key, key));
		if (row) ids.set(row.id, key);
	}
	const { points, lumps, problems: misfits } = await readPriceBook(db, ids, currency);
	const problems = [...misfits];
	const slots = finishSlots(state, points, { currency, rates });
	const estimate = neighbourPrices(slots, lumps.get(chosen.id) ?? []);
	const wants = slots.map((slot): PackWant => {
		const price = slot.price ?? estimate(slot);
		return {
			...{ versions: slot.versions, quantity: slot.quantity },
			cardMinor: price && middleOf(price)
		};
	});
	const { pack, release } = kind;
	const stated =
		pack.priceMinor === undefined
			? null
			: convertMinor(pack.priceMinor, pack.currency ?? currency, currency, rates);
	if (ask.priceMinor === null && pack.priceMinor !== undefined && stated === null) {
		const code = pack.currency ?? currency;
		problems.push({
			field: 'price',
			message: `the release says what a pack costs in ${code}, and no rate leads from there to ${currency}`,
			remedy: 'Keep a rate under Holders, or say what a pack costs here.'
		});
	}
	const priceMinor = ask.priceMinor ?? stated;
	const packs = ask.packs ?? pack.packsPerBox ?? 10;
	const plan = planPacks({
		...{ release, pack, wants, packs, priceMinor },
		postageMinor: ask.postageMinor,
		extra: { share: ask.extraPercent / 100, fromMinor: ask.extraFromMinor }
	});
	return {
		...head,
		kind: {
			...{ key: kind.key, name: kind.name, packName: pack.name, packs, priceMinor },
			packsPerBox: pack.packsPerBox ?? null,
			cardsPerPack: pack.cardsPerPack ?? null,
			isPriceStated: ask.priceMinor === null
		},
		...{ plan, problems }
	};
}
export type PacksView = Awaited<ReturnType<typeof packsView>>;

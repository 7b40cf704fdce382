import { asc, eq } from 'drizzle-orm';
import { sum } from 'd3-array';
import { packsBring } from '../../../core/packs/compare-kinds.ts';
import { compareSealed } from '../../../core/packs/sealed/compare-sealed.ts';
import { packsIn } from '../../../core/packs/sealed/sealed-unit.ts';
import type { GoalId } from '../../../core/row-id.ts';
import { convertMinor } from '../../../core/money/exchange-rates.ts';
import type { Reader } from '../../database/open.ts';
import { releases, sealedLots } from '../../database/tables/index.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { loadRelease } from '../../releases/load-release.ts';
import { packKinds } from '../pack-kinds.ts';
import { readPackGround } from '../pack-ground.ts';
import { rulesIn, SEALED_RULES } from './sealed-rules.ts';

export interface SealedAsk {
	/** What its cards are wanted for; null: the first goal. */
	readonly goal: GoalId | null;
	/** What a double brings, in percent of what it costs, if it costs so much. */
	readonly extraPercent: number;
	readonly extraFromMinor: number;
}

/** Sealed stock with keep, open and sell beside each other. */
export async function sealedView(db: Reader, ask: SealedAsk) {
	const ground = await readPackGround(db, ask.goal);
	const { currency, rates, goals, goal, wants } = ground;
	const kept = await readPreference(db, SEALED_RULES);
	const rules = rulesIn(kept, currency, rates);
	const rows = await db
		.select({ lot: sealedLots, key: releases.key })
		.from(sealedLots)
		.innerJoin(releases, eq(releases.id, sealedLots.releaseId))
		.orderBy(asc(releases.name), asc(sealedLots.id));
	const problems = [...ground.problems];
	const lots = [];
	for (const { lot, key } of rows) {
		const release = (await loadRelease(db, key))?.release;
		const pack = release?.packTypes.find((each) => each.key === lot.packType);
		const packs = pack ? packsIn(lot.unit, pack) : null;
		const convert = (minor: number | null) => {
			if (minor === null) return null;
			const converted = convertMinor(minor, lot.currency, currency, rates);
			if (converted === null) {
				const message = `${release?.name ?? key}: no rate leads from ${lot.currency} to ${currency}`;
				const remedy = 'Keep a rate under Holders, or write its amounts in your currency.';
				if (!problems.some((known) => known.message === message)) {
					problems.push({ message, remedy });
				}
			}
			return converted;
		};
		const wanted = ground.releases.some((each) => each.key === key);
		const brings =
			release && pack && packs !== null && wanted
				? packsBring(
						{ release, pack, packs },
						{
							...{ wants, postageMinor: 0 },
							extra: { share: ask.extraPercent / 100, fromMinor: ask.extraFromMinor }
						}
					)
				: null;
		const { quantity, trust } = lot;
		const said = {
			...{ quantity, trust, packs: packs ?? 0 },
			costMinor: convert(lot.costMinor),
			valueMinor: convert(lot.valueMinor)
		};
		lots.push({
			...lot,
			packKey: `${key} ${lot.packType}`,
			name: `${release?.name ?? key}: ${pack?.name ?? lot.packType}`,
			...{ packs, isWanted: wanted, inCurrency: said },
			compared: compareSealed(said, brings, rules)
		});
	}
	return {
		...{ currency, goals, goal, lots, problems, kept },
		valueMinor: sum(
			lots,
			({ inCurrency: { quantity, valueMinor } }) => quantity * (valueMinor ?? 0)
		),
		costMinor: sum(lots, ({ inCurrency: { quantity, costMinor } }) => quantity * (costMinor ?? 0)),
		kinds: await packKinds(db, true)
	};
}
export type SealedView = Awaited<ReturnType<typeof sealedView>>;

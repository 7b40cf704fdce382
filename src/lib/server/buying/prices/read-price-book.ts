import { group, rollup } from 'd3-array';
import { inArray, sql } from 'drizzle-orm';
import type { Lump } from '../../../core/buying/prices/priced-want.ts';
import type { Price } from '../../../core/worth/prices/price.ts';
import type { PricePoint } from '../../../core/worth/prices/price-point.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import type { Problem } from '../../../core/problem.ts';
import type { GoalId, ReleaseId } from '../../../core/row-id.ts';
import { convertMinor, type ExchangeRate } from '../../../core/money/exchange-rates.ts';
import type { Reader } from '../../database/open.ts';
import { readRows } from '../../database/read-rows.ts';
import { priceLumps, pricePoints } from '../../database/tables/index.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';

/** What is known of prices, all in the currency that is reckoned in. */
export interface PriceBook {
	/** Points by version, as they were said. */
	readonly points: ReadonlyMap<string, readonly PricePoint[]>;
	readonly lumps: ReadonlyMap<GoalId, readonly Lump[]>;
	/** What no kept rate leads to that currency: it is left out of all sums. */
	readonly problems: readonly Problem[];
}

/** Reads the prices of some releases, and the sums said for several cards together. */
export async function readPriceBook(
	db: Reader,
	releaseKeys: ReadonlyMap<ReleaseId, string>,
	currency: string
): Promise<PriceBook> {
	const rates = await readPreference(db, EXCHANGE_RATES);
	const isAsked = [...releaseKeys.keys()];
	const points = await readRows(
		db,
		pricePoints,
		inArray(pricePoints.releaseId, isAsked),
		sql`${pricePoints.id}`
	);
	const lumps = await readRows(
		db,
		priceLumps,
		inArray(priceLumps.releaseId, isAsked),
		sql`${priceLumps.id}`
	);
	const inCurrency = converter(currency, rates);
	const known = points.flatMap((row): readonly PricePoint[] => {
		const price = inCurrency(row);
		const release = releaseKeys.get(row.releaseId);
		if (!price || release === undefined) return [];
		const { cardKey: card, parallelKey: parallel, variantKey: variant } = row;
		const {
			condition,
			grade,
			isAuthentic,
			qualifier,
			house,
			kind,
			saidOn: on,
			source,
			reason
		} = row;
		return [
			{
				version: formatVersionKey({ release, card, parallel, variant }),
				...price,
				...{ kind, on },
				...(condition === null ? {} : { condition }),
				...(grade === null ? {} : { grade }),
				...(isAuthentic ? { isAuthentic } : {}),
				...(qualifier === null ? {} : { qualifier }),
				...(house === null ? {} : { house }),
				...(source === null ? {} : { source }),
				...(reason === null ? {} : { reason })
			}
		];
	});
	const sums = lumps.flatMap((row) => {
		const price = inCurrency(row);
		if (!price) return [];
		const { id, goalId, words, versions, cards, reason } = row;
		const lump: Lump = {
			...{ key: `lump ${id}`, words, versions, cards, ...price },
			...(reason === null ? {} : { reason })
		};
		return [{ goalId, lump }];
	});
	return {
		points: group(known, ({ version }) => version),
		lumps: rollup(
			sums,
			(some) => some.map(({ lump }) => lump),
			({ goalId }) => goalId
		),
		problems: withoutRate([...points, ...lumps], currency, rates)
	};
}

/** A price in the currency that is reckoned in; null where no rate leads there. */
function converter(currency: string, rates: readonly ExchangeRate[]) {
	return (row: Price & { readonly currency: string }): Price | null => {
		const low = convertMinor(row.lowMinor, row.currency, currency, rates);
		const high = convertMinor(row.highMinor, row.currency, currency, rates);
		return low === null || high === null ? null : { lowMinor: low, highMinor: high };
	};
}

function withoutRate(
	rows: readonly { readonly currency: string }[],
	currency: string,
	rates: readonly ExchangeRate[]
): readonly Problem[] {
	const counts = rollup(
		rows,
		(some) => some.length,
		(row) => row.currency
	);
	return [...counts].flatMap(([code, count]) =>
		convertMinor(1, code, currency, rates) === null
			? [
					{
						field: 'rates',
						message: `${count === 1 ? 'a price is' : `${count} prices are`} in ${code}, and no rate leads to ${currency}`,
						remedy: `Keep a rate under Holders: 1 ${code} = … ${currency}.`
					}
				]
			: []
	);
}

import { asc, count, desc, eq, inArray } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { ExchangeRate } from '../../core/money/exchange-rates.ts';
import type { Problem } from '../../core/problem.ts';
import type { PopulationReportId, ReleaseId } from '../../core/row-id.ts';
import type { PopulationReport } from '../../core/worth/population/population.ts';
import type { PricePoint } from '../../core/worth/prices/price-point.ts';
import type { WorthRules } from '../../core/worth/value/set-worth.ts';
import { BUYING_RULES } from '../buying/buying-rules.ts';
import { readPriceBook } from '../buying/prices/read-price-book.ts';
import type { Reader } from '../database/open.ts';
import { populationReports, pricePoints, releases } from '../database/tables/index.ts';
import { EXCHANGE_RATES } from '../preferences/exchange-rates.ts';
import { readPreference } from '../preferences/preferences.ts';
import { listReleases } from '../releases/list-releases.ts';
import { loadRelease } from '../releases/load-release.ts';
import type { WorthRulesKept } from '../../schemas/worth-rules.ts';
import { WORTH_RULES, worthRulesOf } from './worth-rules.ts';

/** What the worth of a release is reckoned from. */
export interface WorthGround {
	readonly currency: string;
	readonly rates: readonly ExchangeRate[];
	readonly kept: WorthRulesKept;
	readonly rules: WorthRules;
	readonly releases: readonly { readonly key: string; readonly name: string }[];
	/** null: there is none. */
	readonly stored: { readonly id: ReleaseId; readonly release: Release } | null;
	readonly points: readonly PricePoint[];
	readonly reports: readonly (PopulationReport & { readonly id: PopulationReportId })[];
	readonly problems: readonly Problem[];
}

/** Reads prices and populations of a release; null: of the one that most is known of, or the first. */
export async function readWorthGround(db: Reader, key: string | null): Promise<WorthGround> {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const kept = await readPreference(db, WORTH_RULES);
	const known = (await listReleases(db)).map(({ key: each, name }) => ({ key: each, name }));
	const head = { currency, rates, kept, rules: worthRulesOf(kept), releases: known };
	const wanted = key ?? (await releaseWithPrices(db));
	const chosen = known.find((each) => each.key === wanted) ?? known[0];
	const stored = chosen ? await loadRelease(db, chosen.key) : null;
	if (!stored) return { ...head, stored: null, points: [], reports: [], problems: [] };
	const { id, release } = stored;
	const book = await readPriceBook(db, new Map([[id, release.key]]), currency);
	return {
		...head,
		stored: { id, release },
		points: [...book.points.values()].flat(),
		reports: await readReports(db, new Map([[id, release.key]])),
		problems: book.problems
	};
}

/** Populations of some releases, in the order in which they were noted. */
export async function readReports(
	db: Reader,
	releaseKeys: ReadonlyMap<ReleaseId, string>
): Promise<WorthGround['reports']> {
	const rows = await db
		.select()
		.from(populationReports)
		.where(inArray(populationReports.releaseId, [...releaseKeys.keys()]))
		.orderBy(asc(populationReports.id));
	return rows.map((row) => {
		const { cardKey: card, parallelKey: parallel, variantKey: variant } = row;
		const release = releaseKeys.get(row.releaseId) ?? '';
		return {
			id: row.id,
			version: formatVersionKey({ release, card, parallel, variant }),
			...{ house: row.house, on: row.saidOn, counts: row.counts },
			...(row.source ? { source: row.source } : {}),
			...(row.statedTotal === null ? {} : { total: row.statedTotal })
		};
	});
}

/** The release that houses report most of, else the one that most prices are known of; null: none. */
async function releaseWithPrices(db: Reader): Promise<string | null> {
	for (const table of [populationReports, pricePoints]) {
		const [known] = await db
			.select({ key: releases.key })
			.from(releases)
			.innerJoin(table, eq(releases.id, table.releaseId))
			.groupBy(releases.id)
			.orderBy(desc(count()), asc(releases.id))
			.limit(1);
		if (known) return known.key;
	}
	return null;
}

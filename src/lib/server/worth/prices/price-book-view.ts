import { desc, eq } from 'drizzle-orm';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { formatQuality } from '../../../core/copies/quality-label.ts';
import { versionNamer } from '../../../core/copies/name-version.ts';
import { priceCurves } from '../../../core/worth/prices/price-curve.ts';
import { eachSlipOnce, tenFoldSlips } from '../../../core/worth/prices/ten-fold.ts';
import type { Reader } from '../../database/open.ts';
import { pricePoints } from '../../database/tables/index.ts';
import { formatRateLine } from '../../../core/money/exchange-rates.ts';
import { listHouses } from '../houses.ts';
import { readWorthGround } from '../read-worth-ground.ts';

/** The most prices that are listed, the last noted first. */
const MOST_LISTED = 200;

/** The price book of a release: what was noted last, and what looks wrong in it. */
export async function priceBookView(db: Reader, key: string | null, today: string) {
	const ground = await readWorthGround(db, key);
	const { stored, currency, releases, problems, points, rules, kept, rates } = ground;
	const houses = (await listHouses(db)).map(({ name }) => name);
	const head = { currency, releases, problems, houses, kept, rates: rates.map(formatRateLine) };
	if (!stored) {
		return { ...head, release: null, count: 0, listed: [], inversions: [], slips: [] };
	}
	const { id, release } = stored;
	const nameOf = versionNamer(release);
	const rows = await db
		.select()
		.from(pricePoints)
		.where(eq(pricePoints.releaseId, id))
		.orderBy(desc(pricePoints.saidOn), desc(pricePoints.id));
	const called = (version: string) => {
		const { name, title } = nameOf(version);
		return { name, title };
	};
	return {
		...head,
		release: release.key,
		count: rows.length,
		listed: rows.slice(0, MOST_LISTED).map((row) => {
			const { cardKey: card, parallelKey: parallel, variantKey: variant } = row;
			const version = formatVersionKey({ release: release.key, card, parallel, variant });
			const { condition, grade, isAuthentic, qualifier } = row;
			return {
				...{ id: row.id, ...called(version), house: row.house, kind: row.kind, on: row.saidOn },
				...{ lowMinor: row.lowMinor, highMinor: row.highMinor, currency: row.currency },
				...{ source: row.source, reason: row.reason },
				label: formatQuality({
					...(condition === null || grade !== null ? {} : { condition }),
					...(grade === null ? {} : { grade }),
					...(isAuthentic ? { isAuthentic } : {}),
					...(qualifier === null ? {} : { qualifier })
				})
			};
		}),
		inversions: priceCurves(points, today, rules).flatMap(({ version, house, inversions }) =>
			inversions.map(({ better, worse }) => ({
				...called(version),
				...{ house, better: formatQuality(better), betterMinor: better.typicalMinor },
				...{ betterOn: better.on, worse: formatQuality(worse), worseMinor: worse.typicalMinor },
				worseOn: worse.on
			}))
		),
		slips: eachSlipOnce(tenFoldSlips(points)).map(({ point, againstMinor, others }) => ({
			...called(point.version),
			...{ label: formatQuality(point), lowMinor: point.lowMinor, highMinor: point.highMinor },
			...{ on: point.on, againstMinor, others }
		}))
	};
}
export type PriceBookView = Awaited<ReturnType<typeof priceBookView>>;

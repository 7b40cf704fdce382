import { desc, eq } from 'drizzle-orm';
import { cardsOf } from '../../../core/checklist/release.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { buildToSell } from '../../../core/selling/building/build-to-sell.ts';
import { formatPartLine, formatSaleSteps } from '../../../core/selling/building/part-line.ts';
import { suggestParts } from '../../../core/selling/building/suggest-build.ts';
import { setWorth } from '../../../core/worth/value/set-worth.ts';
import { BuildKeptSchema, type BuildKept } from '../../../schemas/build.ts';
import { checkAgainst } from '../../../schemas/validator.ts';
import type { Reader } from '../../database/open.ts';
import { builds, releases } from '../../database/tables/index.ts';
import { readWorthGround, type WorthGround } from '../../worth/read-worth-ground.ts';

export interface BuildAsk {
	/** Key of the release; null: the first. */
	readonly release: string | null;
	/** The number of sets that is looked at closely; null: the best. */
	readonly sets: number | null;
	/** ISO 8601 date */
	readonly today: string;
}

/** What a set brings of what its cards are worth one by one, to begin with. An assumption of ours. */
const SET_SHARE = 0.7;
const USUAL_MOST = 10;

/** Building sets of a release to sell: what it takes and leaves, by how many. */
export async function buildView(db: Reader, { release: key, sets, today }: BuildAsk) {
	const ground = await readWorthGround(db, key ?? (await lastKept(db)));
	const { stored, releases: known, currency } = ground;
	if (!stored) return { releases: known, release: null };
	const [row] = await db.select().from(builds).where(eq(builds.releaseId, stored.id));
	// What an older program kept otherwise counts as not kept.
	const isKept = row !== undefined && checkAgainst(BuildKeptSchema, row.plan).length === 0;
	const kept = isKept ? row.plan : suggested(ground, stored.release, today);
	const plan = buildToSell({ ...kept, feeShare: kept.feePercent / 100 });
	const wanted = sets ?? plan.bestSets ?? plan.outcomes.at(-1)?.sets ?? null;
	const close = plan.outcomes.find((outcome) => outcome.sets === wanted) ?? null;
	return {
		releases: known,
		release: { key: stored.release.key, name: stored.release.name },
		isKept,
		/** A plan that was kept in another currency says its own. */
		isForeign: kept.currency !== currency,
		kept,
		parts: kept.parts.map((part) => formatPartLine(part, kept.currency)).join('\n'),
		sales: formatSaleSteps(kept.sales, kept.currency),
		plan,
		close
	};
}
export type BuildView = Awaited<ReturnType<typeof buildView>>;

/** The release whose plan was kept last; null: none was. */
async function lastKept(db: Reader): Promise<string | null> {
	const [row] = await db
		.select({ key: releases.key })
		.from(builds)
		.innerJoin(releases, eq(releases.id, builds.releaseId))
		.orderBy(desc(builds.id))
		.limit(1);
	return row?.key ?? null;
}

/** A plan to begin with, out of the price book. */
function suggested(
	{ points, rules, currency }: WorthGround,
	release: NonNullable<WorthGround['stored']>['release'],
	today: string
): BuildKept {
	const cards = cardsOf(release).filter(
		({ section }) => section.kind === 'base' || section.kind === 'subset'
	);
	const worth = setWorth(
		cards.map(({ card }) => ({
			key: card.key,
			version: formatVersionKey({
				...{ release: release.key, card: card.key, parallel: null, variant: null }
			}),
			...{ quantity: 1, isKey: false, group: '', condition: 'near mint' as const }
		})),
		points,
		today,
		rules
	);
	const parts = suggestParts(
		cards.map(({ card }, i) => {
			const line = worth.lines[i];
			return {
				name: [card.number, card.title].filter(Boolean).join(' ').replaceAll(':', ' '),
				isKey: card.marks.some((mark) => mark === 'key' || mark === 'rookie'),
				eachMinor: line && line.basis !== 'unknown' ? line.eachMinor : null
			};
		})
	);
	const priceMinor = Math.round(SET_SHARE * worth.totalMinor);
	return {
		currency,
		parts: parts.map((part) => ({ ...part, offers: [...part.offers] })),
		sales: priceMinor > 0 ? [{ sets: USUAL_MOST, priceMinor }] : [],
		...{ feePercent: 10, suppliesMinor: 150, packingMinor: 100, postageMinor: 0, fixedMinor: 0 },
		...{ hoursFixed: 1, hoursPerSet: 1.5, mostSets: USUAL_MOST }
	};
}

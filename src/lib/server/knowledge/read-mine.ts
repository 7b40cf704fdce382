import { asc, eq } from 'drizzle-orm';
import { draftOfRelease } from '../../core/checklist/draft/draft-of-release.ts';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { Knowledge, KnownPrice } from '../../core/knowledge/knowledge.ts';
import type { Reader } from '../database/open.ts';
import { pricePoints, referencePictures } from '../database/tables/index.ts';
import type { StoredRelease } from '../releases/load-release.ts';
import { listLookAlikes } from '../telling/look-alikes.ts';

/** What is known here of a release; nothing of what is owned of it. */
export async function readMine(db: Reader, { id, release }: StoredRelease): Promise<Knowledge> {
	const pictures = await db
		.select()
		.from(referencePictures)
		.where(eq(referencePictures.releaseId, id))
		.orderBy(asc(referencePictures.id));
	const points = await db
		.select()
		.from(pricePoints)
		.where(eq(pricePoints.releaseId, id))
		.orderBy(asc(pricePoints.id));
	const alike = await listLookAlikes(db, { release: release.key });
	return {
		checklist: draftOfRelease(release),
		pictures: pictures.map(({ of, side, hash, source }) => ({
			...{ of, side, hash },
			...(source === null ? {} : { source })
		})),
		prices: points.map((point) => priceOf(release.key, point)),
		lookAlikes: alike.map(({ name, keys, note }) => ({
			...{ name, keys },
			...(note === null ? {} : { note })
		}))
	};
}

function priceOf(release: string, point: typeof pricePoints.$inferSelect): KnownPrice {
	const { kind, lowMinor, highMinor, currency, saidOn, isAuthentic } = point;
	const { source, condition, grade, house, reason } = point;
	return {
		version: formatVersionKey({
			...{ release, card: point.cardKey },
			...{ parallel: point.parallelKey, variant: point.variantKey }
		}),
		...{ kind, lowMinor, highMinor, currency, saidOn },
		...(source ? { source } : {}),
		...(condition === null ? {} : { condition }),
		...(grade === null ? {} : { grade }),
		...(isAuthentic ? { isAuthentic } : {}),
		...(house === null ? {} : { house }),
		...(reason === null ? {} : { reason })
	};
}

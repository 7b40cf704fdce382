import { count, countDistinct, inArray, isNull } from 'drizzle-orm';
import type { Reader } from '../../database/open.ts';
import { discrepancies, outings, slipLines } from '../../database/tables/index.ts';

/** How many slips are under way, how many questions of stock-takes are open, and what is out. */
export async function readTabCounts(db: Reader) {
	const [slips] = await db
		.select({ open: countDistinct(slipLines.slipId) })
		.from(slipLines)
		.where(inArray(slipLines.state, ['open', 'skipped']));
	const [questions] = await db.select({ open: count() }).from(discrepancies);
	const [out] = await db.select({ open: count() }).from(outings).where(isNull(outings.backOn));
	return { slips: slips?.open ?? 0, questions: questions?.open ?? 0, out: out?.open ?? 0 };
}

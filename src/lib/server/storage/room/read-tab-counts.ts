import { count, countDistinct, inArray } from 'drizzle-orm';
import type { Reader } from '../../database/open.ts';
import { discrepancies, slipLines } from '../../database/tables/index.ts';

/** How many slips are under way, and how many questions of stock-takes are open. */
export async function readTabCounts(db: Reader) {
	const [slips] = await db
		.select({ open: countDistinct(slipLines.slipId) })
		.from(slipLines)
		.where(inArray(slipLines.state, ['open', 'skipped']));
	const [questions] = await db.select({ open: count() }).from(discrepancies);
	return { slips: slips?.open ?? 0, questions: questions?.open ?? 0 };
}

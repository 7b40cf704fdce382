import { and, asc, count, countDistinct, eq, inArray, isNull, sum } from 'drizzle-orm';
import type { ShelvedSet } from '../../core/boxes/plan-boxes.ts';
import type { Reader } from '../database/open.ts';
import { binderPockets, cards, copies, releases, sections } from '../database/tables/index.ts';

/**
 * The releases as they would stand in boxes: every copy that is here, but for what lies in binders or has
 * a place of its own. A set is as complete as the share of its cards of which there is a copy in any
 * version; cards of editions, which are rules, are not counted.
 */
export async function shelvedSets(db: Reader): Promise<readonly ShelvedSet[]> {
	const heads = await db.select().from(releases).orderBy(asc(releases.year), asc(releases.name));
	const isHere = inArray(copies.status, ['kept', 'spare', 'to sell']);
	const there = await db
		.select({
			id: copies.releaseId,
			cards: sum(copies.quantity).mapWith(Number),
			have: countDistinct(copies.cardKey)
		})
		.from(copies)
		.where(and(isHere, isNull(copies.place)))
		.groupBy(copies.releaseId);
	const inBinders = await db
		.select({ id: copies.releaseId, cards: count() })
		.from(binderPockets)
		.innerJoin(copies, eq(binderPockets.copyId, copies.id))
		.groupBy(copies.releaseId);
	const listed = await db
		.select({ id: cards.releaseId, cards: count() })
		.from(cards)
		.groupBy(cards.releaseId);
	const formats = await db
		.select({ id: sections.releaseId, format: sections.format })
		.from(sections)
		.where(eq(sections.kind, 'base'));
	const find = <Row extends { readonly id: number }>(rows: readonly Row[]) => {
		const known = new Map(rows.map((row) => [row.id, row]));
		return (id: number) => known.get(id);
	};
	const [here, laid, all] = [find(there), find(inBinders), find(listed)];
	const format = find(formats.filter((row) => row.format?.stockPt !== undefined));
	return heads.map(({ id, key, name, year, maker }) => {
		const stockPt = format(id)?.format?.stockPt;
		const inPockets = laid(id)?.cards ?? 0;
		const need = all(id)?.cards ?? 0;
		return {
			key,
			name,
			year,
			maker,
			cards: Math.max(0, (here(id)?.cards ?? 0) - inPockets),
			need: Math.max(0, need - inPockets),
			have: Math.max(0, Math.min(need, here(id)?.have ?? 0) - inPockets),
			...(stockPt === undefined ? {} : { stockPt })
		};
	});
}

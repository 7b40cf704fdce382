import { eq, type SQL } from 'drizzle-orm';
import type { Keeping } from '../../core/storage/classes/keeping.ts';
import type { Reader } from '../database/open.ts';
import { boxCards, boxes, copies, dividers } from '../database/tables/index.ts';
import { keptColumns } from './kept-columns.ts';

/** Cards that stand in boxes, with what decides where they are kept, and what the box is for. */
export function standingCopies(db: Reader, keeping: Keeping, where: SQL) {
	return db
		.select({
			id: boxCards.id,
			copyId: copies.id,
			um: boxCards.um,
			mg: boxCards.mg,
			boxUse: boxes.use,
			releaseId: copies.releaseId,
			cardKey: copies.cardKey,
			parallelKey: copies.parallelKey,
			variantKey: copies.variantKey,
			...keptColumns(keeping)
		})
		.from(boxCards)
		.innerJoin(copies, eq(boxCards.copyId, copies.id))
		.innerJoin(dividers, eq(boxCards.dividerId, dividers.id))
		.innerJoin(boxes, eq(dividers.boxId, boxes.id))
		.where(where);
}

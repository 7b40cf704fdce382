import { inArray } from 'drizzle-orm';
import type { Reader } from '../../database/open.ts';
import { boxCards } from '../../database/tables/index.ts';
import { readBinder } from '../../binders/read-binder.ts';
import { type BinderId, type CopyId, rowId } from '../../../core/row-id.ts';

/** Copies that a binder's plan puts into its pockets and that still stand in boxes. */
export async function copiesForBinder(db: Reader, binderId: BinderId): Promise<readonly CopyId[]> {
	const state = await readBinder(db, binderId);
	if (!state) return [];
	const lying = new Set(state.now.map(({ copy }) => copy));
	const wanted = state.target.map(({ copy }) => copy).filter((copy) => !lying.has(copy));
	const standing = await db
		.selectDistinct({ copyId: boxCards.copyId })
		.from(boxCards)
		.where(
			inArray(
				boxCards.copyId,
				wanted.map((copy) => rowId<'copies'>(Number(copy)))
			)
		);
	return standing.map(({ copyId }) => copyId);
}

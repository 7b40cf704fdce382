import { asc, eq } from 'drizzle-orm';
import { BOX_KINDS, type BoxKind } from '../../core/storage/kinds/box-kind.ts';
import type { Reader } from '../database/open.ts';
import { ownKinds } from '../database/tables/index.ts';

/** Kinds of boxes: those that come with the program, and one's own. */
export async function readBoxKinds(db: Reader): Promise<readonly BoxKind[]> {
	const rows = await db
		.select({ kind: ownKinds.kind })
		.from(ownKinds)
		.where(eq(ownKinds.sort, 'box'))
		.orderBy(asc(ownKinds.id));
	return [...BOX_KINDS, ...rows.map(({ kind }) => kind as BoxKind)];
}

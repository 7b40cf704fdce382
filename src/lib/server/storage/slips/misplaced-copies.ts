import { setImmediate } from 'node:timers/promises';
import { inArray } from 'drizzle-orm';
import { USES_WITHOUT_CARDS } from '../../../core/storage/kinds/box-use.ts';
import { chunks } from '../../database/chunks.ts';
import type { Reader } from '../../database/open.ts';
import { copies, releases } from '../../database/tables/index.ts';
import { keptAs } from '../../places/kept-columns.ts';
import { readFacts } from '../../places/kept-facts.ts';
import { standingCopies } from '../../places/standing-copies.ts';
import { readKeeping } from '../../places/keeping.ts';
import type { CopyId } from '../../../core/row-id.ts';

/** Releases read at a time; others are answered in between. */
const RELEASES_A_CHUNK = 20;

/** Copies that stand in boxes of another use than the rules give them now: of a class, a tier, or sets. At most so many. */
export async function misplacedCopies(db: Reader, most: number): Promise<readonly CopyId[]> {
	const keeping = await readKeeping(db);
	const all = await db.select({ id: releases.id }).from(releases);
	const found = new Set<CopyId>();
	for (const some of chunks(all, RELEASES_A_CHUNK)) {
		const ids = some.map(({ id }) => id);
		const rows = await standingCopies(db, keeping, inArray(copies.releaseId, ids));
		const factsOf = await readFacts(db, keeping, ids);
		for (const { copyId, boxUse, ...row } of rows) {
			// What a person put among sealed packs or supplies stays there.
			if (USES_WITHOUT_CARDS.some((use) => use === boxUse)) continue;
			if (keptAs(row, null, keeping, factsOf(row)).use !== boxUse) found.add(copyId);
		}
		if (found.size >= most) break;
		await setImmediate();
	}
	return [...found].slice(0, most);
}

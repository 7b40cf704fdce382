import { eq } from 'drizzle-orm';
import { readShorthand } from '../../core/shorthand/read-shorthand.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { Collection } from '../database/open.ts';
import { copies, unmatchedRows } from '../database/tables/index.ts';
import { entryContext } from '../copies/entry-context.ts';
import { fieldsAsRow, placeOf } from '../copies/copy-rows.ts';
import { makeChange, refused } from '../journal/change.ts';
import { keptAttributes, keptFields } from './kept-rows.ts';
import { loadRelease } from '../releases/load-release.ts';
import type { UnmatchedId } from '../../core/row-id.ts';

/**
 * Settles a kept row: `line` says as an entry line which card of the release it is; everything else
 * that the row says of the copy is taken over.
 */
export function settleRow(
	collection: Collection,
	id: UnmatchedId,
	releaseKey: string,
	line: string
): Promise<Outcome<{ readonly version: string }>> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx.select().from(unmatchedRows).where(eq(unmatchedRows.id, id));
		const stored = await loadRelease(tx, releaseKey);
		if (!row || !stored) return refused([{ message: 'this row, or the release, is not there' }]);
		const { release } = stored;
		const context = await entryContext(tx, release, {
			numberingKey: null,
			parallelKey: null,
			owned: new Map()
		});
		const reading = readShorthand(line, context);
		if (reading.problems.length > 0) return refused(reading.problems);
		const [only, ...more] = reading.additions;
		if (!only || more.length > 0) {
			return refused([
				{ message: 'this names no single card', remedy: 'Write one, as in: 27 brass' }
			]);
		}
		const fields = keptFields(row);
		const { version: _, quantity, ...said } = only;
		const attributes = keptAttributes(row);
		await record.insert(copies, [
			{
				...placeOf(stored.id, only.version),
				loggedAt: collection.now(),
				// What the line says of the copy counts before what the row said.
				...fieldsAsRow({ ...fields, attributes, ...said }),
				quantity: quantity > 1 ? quantity : fields.quantity
			}
		]);
		await record.remove(unmatchedRows, [id]);
		return {
			value: good({ version: only.version }),
			label: `Settle line ${row.line} of ${row.source}`
		};
	});
}

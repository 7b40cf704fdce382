import { max } from 'd3-array';
import { adviseShelves } from '../../../core/storage/shelves/advise-shelves.ts';
import { type BoxId, type ShelfId, rowId } from '../../../core/row-id.ts';
import type { Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { boxes } from '../../database/tables/index.ts';
import { readBoxes, readShelves } from '../room/read-storage.ts';

/** Puts new boxes on shelves, heavy ones low, each behind those that stand there. */
export async function putOnShelves(
	record: Recorder,
	tx: Transaction,
	ids: readonly BoxId[]
): Promise<void> {
	const all = await readBoxes(tx);
	const shelves = await readShelves(tx);
	const { advice } = adviseShelves(
		all
			.filter(
				({ id, shelfId, insideId }) => insideId === null && (shelfId !== null || ids.includes(id))
			)
			.map(({ id, grams, kind, shelfId }) => ({
				key: String(id),
				grams,
				lengthMm: kind.lengthMm,
				shelf: shelfId === null ? null : String(shelfId)
			})),
		shelves
	);
	const next = new Map(
		shelves.map(({ id }) => [
			id,
			1 +
				(max(
					all.filter((box) => box.shelfId === id),
					({ position }) => position
				) ?? -1)
		])
	);
	const placed = ids.flatMap((id) => {
		const to = advice.find(({ box, from }) => box === String(id) && from === null)?.to;
		if (to === undefined) return [];
		const shelfId: ShelfId = rowId(Number(to));
		const position = next.get(shelfId) ?? 0;
		next.set(shelfId, position + 1);
		return [{ id, values: { shelfId, position } }];
	});
	await record.updateMany(boxes, placed);
}

import { and, eq } from 'drizzle-orm';
import { good, type Outcome } from '../../../core/problem.ts';
import type { Collection } from '../../database/open.ts';
import { boxes, dividers } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { gone } from '../gone.ts';
import { insertDivider } from './insert-divider.ts';
import { readBoxKinds } from '../../places/box-kinds.ts';
import { BOX_DIVIDER } from '../../../core/storage/supplies/supply.ts';
import { useSupplies } from '../supplies/stock.ts';
import { removeDividerRows } from '../../removal/remove-divider-rows.ts';
import type { BoxId, DividerId, ReleaseId } from '../../../core/row-id.ts';

type Done = Outcome<{ readonly id: DividerId }>;

/** A divider at the end of a row, for strays or a set. */
export function addDivider(
	collection: Collection,
	boxId: BoxId,
	row: number,
	label: string,
	release: ReleaseId | null
): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [box] = await tx.select().from(boxes).where(eq(boxes.id, boxId));
		if (!box) return refused([gone('box')]);
		const kind = (await readBoxKinds(tx)).find(({ key }) => key === box.kind);
		if (label.trim() === '' || !Number.isInteger(row) || row < 1 || row > (kind?.rows ?? 1)) {
			return refused([
				{
					field: 'label',
					message: 'this is no divider',
					remedy: `Give it a name and a row from 1 to ${kind?.rows ?? 1}.`
				}
			]);
		}
		const before = await tx
			.select({ position: dividers.position })
			.from(dividers)
			.where(and(eq(dividers.boxId, boxId), eq(dividers.row, row)));
		const at = Math.max(-1, ...before.map(({ position }) => position)) + 1;
		const id = await insertDivider(record, tx, {
			boxId,
			row,
			at,
			label: label.trim(),
			releaseId: release,
			run: null,
			straysOf: null,
			partOf: null
		});
		await useSupplies(record, tx, [{ key: BOX_DIVIDER, count: 1 }]);
		return { value: good({ id }), label: `${box.name}: divider ${label.trim()}` };
	});
}

export function renameDivider(collection: Collection, id: DividerId, label: string): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [known] = await tx.select().from(dividers).where(eq(dividers.id, id));
		if (!known) return refused([gone('divider')]);
		if (label.trim() === '')
			return refused([{ field: 'label', message: 'a divider needs a name' }]);
		await record.update(dividers, id, { label: label.trim() });
		return { value: good({ id }), label: `Rename a divider to ${label.trim()}` };
	});
}

/** Takes a divider out; the cards behind it have no place then. */
export function removeDivider(collection: Collection, id: DividerId): Promise<Done> {
	return makeChange(collection, async (record, tx) => {
		const [known] = await tx.select().from(dividers).where(eq(dividers.id, id));
		if (!known) return refused([gone('divider')]);
		await removeDividerRows(record, tx, [id]);
		return {
			value: good({ id }),
			label: `Take out ${known.label}: its cards have no place`
		};
	});
}

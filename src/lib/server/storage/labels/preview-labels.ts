import { count, inArray } from 'drizzle-orm';
import type { LabelText } from '../../../core/storage/labels/label-text.ts';
import type { Reader } from '../../database/open.ts';
import { dividers } from '../../database/tables/index.ts';
import { readBoxHeads, readShelves } from '../room/read-storage.ts';
import { labelTexts, type LabelChoice } from './label-texts.ts';
import type { BoxId } from '../../../core/row-id.ts';

/** How many labels there are, without their texts: those of thousands take a while. */
export async function countLabels(
	db: Reader,
	{ sort, boxIds }: Pick<LabelChoice, 'sort' | 'boxIds'>
): Promise<number> {
	if (sort === 'shelves') return (await readShelves(db)).length;
	if (sort === 'boxes') return (await wantedBoxes(db, boxIds)).length;
	const [row] = await db
		.select({ count: count() })
		.from(dividers)
		.where(boxIds.length > 0 ? inArray(dividers.boxId, [...boxIds]) : undefined);
	return row?.count ?? 0;
}

/** The texts of the first labels, box after box until there are enough. */
export async function previewLabels(
	db: Reader,
	choice: LabelChoice,
	most: number
): Promise<readonly LabelText[]> {
	if (choice.sort === 'shelves') return (await labelTexts(db, choice)).slice(0, most);
	const labels: LabelText[] = [];
	for (const { id } of await wantedBoxes(db, choice.boxIds)) {
		if (labels.length >= most) break;
		labels.push(...(await labelTexts(db, { ...choice, boxIds: [id] })));
	}
	return labels.slice(0, most);
}

async function wantedBoxes(db: Reader, ids: readonly BoxId[]) {
	const heads = await readBoxHeads(db);
	return ids.length === 0 ? heads : heads.filter(({ id }) => ids.includes(id));
}

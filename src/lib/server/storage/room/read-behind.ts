import { inArray, sql } from 'drizzle-orm';
import { titled, type Titled } from '../../../core/checklist/filed-title.ts';
import type { Reader } from '../../database/open.ts';
import { dividers } from '../../database/tables/index.ts';
import type { DividerId } from '../../../core/row-id.ts';

/** Numbers that stand behind a divider, and what has none as it is sorted. */
export interface Behind {
	readonly numbers: readonly string[];
	readonly titles: readonly Titled[];
}

/** What stands behind some dividers, read as one text each: several times faster than row by row. */
export async function readBehind(
	db: Reader,
	ids: readonly DividerId[]
): Promise<ReadonlyMap<DividerId, Behind>> {
	if (ids.length === 0) return new Map();
	const rows = await db
		.select({
			id: dividers.id,
			cards: sql<string>`(
				select json_group_array(json_array(coalesce(k.number, e.number), coalesce(k.title, e.title, c.card_key),
					coalesce(json_extract(k.details, '$.sortAs'), e.sort_as))) from box_cards b
				join copies c on c.id = b.copy_id
				left join cards k on k.release_id = c.release_id and k.key = c.card_key
				left join edition_cards e on k.id is null and e.release_id = c.release_id and e.key = c.card_key
				where b.divider_id = "dividers"."id")`
		})
		.from(dividers)
		.where(inArray(dividers.id, [...ids]));
	return new Map(
		rows.map(({ id, cards }) => {
			const all = JSON.parse(cards) as readonly (readonly [string | null, string, string | null])[];
			const numbers = all.flatMap(([number]) => number ?? []);
			const titles = all.flatMap(([number, title, sortAs]) =>
				number === null ? [titled(title, sortAs)] : []
			);
			return [id, { numbers, titles }];
		})
	);
}

import { sql } from 'drizzle-orm';
import type { Swatch } from '../../core/checklist/swatch.ts';
import { formatOfVersion } from '../../core/copies/version-format.ts';
import type { BoxUse } from '../../core/storage/kinds/box-use.ts';
import { holderOf, cardBulk, type CardBulk } from '../../core/storage/room/card-bulk.ts';
import type { Keeping } from '../../core/storage/classes/keeping.ts';
import type { KeptCard } from '../../core/storage/classes/storage-class.ts';
import type { CardFormat } from '../../core/checklist/card-format.ts';
import { copies } from '../database/tables/index.ts';
import { factsColumn } from './kept-facts.ts';

// Names are written out: in a query without joins the columns of a fragment would lose their table.
const format = sql<string | null>`coalesce((
	select case when json_extract(k.details, '$.format') is null then f.format
		else json_patch(coalesce(f.format, '{}'), json_extract(k.details, '$.format')) || '' end
	from cards k join sections f on f.id = k.section_id
	where k.release_id = "copies"."release_id" and k.key = "copies"."card_key"), (
	select f.format from edition_cards e join sections f on f.id = e.section_id
	where e.release_id = "copies"."release_id" and e.key = "copies"."card_key"))`;
/** What a copy's finish is made of, in points; null: what its section is. */
export const parallelStock = sql<
	number | null
>`(case when "copies"."parallel_key" is not null then (
	select p.stock_pt from parallels p
	where p.release_id = "copies"."release_id" and p.key = "copies"."parallel_key") end)`;

/** What decides how thick a copy is, as columns to read or to group by. */
export const formatColumns = { format, parallelPt: parallelStock, holder: copies.holder };

/** The same, with what decides the use of the box it is kept in. */
export function keptColumns(keeping: Keeping) {
	return {
		...formatColumns,
		status: copies.status,
		isGraded: sql<number>`("copies"."grade" is not null or "copies"."is_authentic")`,
		isNumbered: sql<number>`("copies"."serial" is not null)`,
		attributes: sql<string>`("copies"."attributes" || '')`,
		valueMinor: copies.valueMinor,
		currency: copies.currency,
		facts: factsColumn(keeping)
	};
}

type Read<Columns> = {
	readonly [Name in keyof Columns]: Columns[Name] extends {
		readonly _: { readonly type: infer Type };
	}
		? Type
		: Columns[Name] extends { readonly _: { readonly data: infer Data } }
			? Data | null
			: never;
};

/** The format of a copy: of its section, parallel and swatch. */
export function formatOf(
	row: {
		readonly format: string | null;
		readonly parallelPt: number | null;
	},
	swatch: Swatch | null
): CardFormat | null {
	const format = row.format === null ? undefined : (JSON.parse(row.format) as CardFormat);
	return formatOfVersion({ format, parallelPt: row.parallelPt ?? undefined, swatch }) ?? null;
}

/** What of a copy decides in which box it is kept, and what it takes there. */
export type KeptRow = Read<Omit<ReturnType<typeof keptColumns>, 'status'>> &
	Pick<typeof copies.$inferSelect, 'status'>;

/** The box such copies are kept in, and what one of them takes. */
export function keptAs(
	row: KeptRow,
	swatch: Swatch | null,
	keeping: Keeping,
	facts: KeptCard
): CardBulk & { readonly use: BoxUse } {
	const { holder, status, valueMinor, currency } = row;
	const isGraded = row.isGraded === 1;
	const inside = holderOf({ holder, isGraded });
	const card: KeptCard = {
		...facts,
		...(row.isNumbered === 1 ? { isNumbered: true } : {}),
		isGraded,
		status,
		attributes: JSON.parse(row.attributes) as readonly string[],
		...(valueMinor === null ? {} : { valueMinor }),
		...(currency === null ? {} : { currency })
	};
	const { use } = keeping.useOf({ card, holder: inside });
	return { use, ...cardBulk(formatOf(row, swatch), inside, keeping.rules.holders) };
}

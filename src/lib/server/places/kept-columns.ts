import { sql } from 'drizzle-orm';
import type { Swatch } from '../../core/checklist/swatch.ts';
import { formatOfVersion } from '../../core/copies/version-format.ts';
import type { BoxUse } from '../../core/storage/kinds/box-use.ts';
import { holderOf, cardBulk, type CardBulk } from '../../core/storage/room/card-bulk.ts';
import { PERSONAL, useOfCopy } from '../../core/storage/kinds/use-of-copy.ts';
import type { Valuable } from '../../core/storage/holders/valuable.ts';
import type { CardFormat } from '../../core/checklist/card-format.ts';
import { copies } from '../database/tables/index.ts';

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
export function keptColumns({ fromMinor, currency, also = [] }: Valuable) {
	const converted = also.map(
		(other) =>
			sql`or ("copies"."currency" = ${other.currency} and "copies"."value_minor" >= ${other.fromMinor})`
	);
	return {
		...formatColumns,
		status: copies.status,
		isGraded: sql<number>`("copies"."grade" is not null or "copies"."is_authentic")`,
		isPersonal: sql<number>`("copies"."attributes" <> '[]'
			and exists (select 1 from json_each("copies"."attributes") where value = ${PERSONAL}))`,
		isValuable: sql<number>`(coalesce("copies"."value_minor", 0) >= ${fromMinor}
			and coalesce("copies"."currency", ${currency}) = ${currency} ${sql.join(converted, sql` `)})`
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

/** The box such copies are kept in, and what one of them takes. */
export function keptAs(
	row: Read<Omit<ReturnType<typeof keptColumns>, 'status'>> &
		Pick<typeof copies.$inferSelect, 'status'>,
	swatch: Swatch | null
): CardBulk & { readonly use: BoxUse } {
	const { holder, status } = row;
	const is = {
		isGraded: row.isGraded === 1,
		isPersonal: row.isPersonal === 1,
		isValuable: row.isValuable === 1
	};
	const use = useOfCopy({ status, holder, ...is });
	return { use, ...cardBulk(formatOf(row, swatch), holderOf({ holder, ...is })) };
}

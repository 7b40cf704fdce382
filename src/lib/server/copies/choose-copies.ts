import { and, eq, inArray, sql, type SQL } from 'drizzle-orm';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { CopyStatus } from '../../core/copies/copy-record.ts';
import type { BoxId, CopyId, TrayId } from '../../core/row-id.ts';
import type { Reader } from '../database/open.ts';
import { readJoined } from '../database/read-joined.ts';
import { copies } from '../database/tables/index.ts';
import { NAMED_COPY, nameOfCopy, WITH_NAMES, type NamedCopy } from '../places/named-copy.ts';
import { search } from '../search/search.ts';

/** Which copies are meant; all that is said has to hold. */
export interface CopyChoice {
	/** Keys of a release, and of a section of it. */
	readonly release?: string;
	readonly section?: string;
	/** Key of the finish; empty: base. */
	readonly finish?: string;
	readonly status?: CopyStatus;
	readonly box?: BoxId;
	/** This one alone. */
	readonly copy?: CopyId;
	/** A pile to sort. */
	readonly pile?: TrayId;
	/** Words that search finds them by. */
	readonly words?: string;
}

/** A copy as it is chosen from a list. */
export interface ChosenCopy {
	readonly id: CopyId;
	readonly name: string;
	readonly release: string;
	readonly quantity: number;
	readonly status: CopyStatus;
	readonly condition: string | null;
	readonly place: string | null;
	readonly valueMinor: number | null;
	readonly currency: string | null;
}

/** What is shown to be picked from. */
const MOST_TO_PICK = 60;
/** What is changed at once. */
export const MOST_CHOSEN = 2000;

/** The copies that are meant, by release and card, at most `MOST_CHOSEN`; nothing said: none. */
export async function chooseCopies(db: Reader, choice: CopyChoice): Promise<readonly ChosenCopy[]> {
	const wheres: (SQL | undefined)[] = [
		choice.release === undefined ? undefined : sql`r.key = ${choice.release}`,
		choice.section === undefined
			? undefined
			: sql`(s.key = ${choice.section} or s.numbered_in = ${choice.section})`,
		choice.finish === undefined
			? undefined
			: choice.finish === ''
				? sql`"copies"."parallel_key" is null`
				: sql`"copies"."parallel_key" = ${choice.finish}`,
		choice.status === undefined ? undefined : eq(copies.status, choice.status),
		choice.copy === undefined ? undefined : eq(copies.id, choice.copy),
		choice.box === undefined
			? undefined
			: sql`"copies"."id" in (select b.copy_id from box_cards b
				join dividers d on d.id = b.divider_id where d.box_id = ${choice.box})`,
		choice.pile === undefined
			? undefined
			: sql`"copies"."id" in (select copy_id from pile_cards where pile_id = ${choice.pile})`,
		choice.words === undefined ? undefined : await foundBy(db, choice.words)
	].filter((where) => where !== undefined);
	if (wheres.length === 0) return [];
	const rows = await readJoined<Omit<ChosenCopy, 'name'> & NamedCopy>(
		db,
		{
			id: sql`"copies"."id"`,
			...NAMED_COPY,
			quantity: sql`"copies"."quantity"`,
			status: sql`"copies"."status"`,
			condition: sql`"copies"."condition"`,
			place: sql`"copies"."place"`,
			valueMinor: sql`"copies"."value_minor"`,
			currency: sql`"copies"."currency"`
		},
		sql`"copies" ${WITH_NAMES}
			where ${and(...wheres)} order by "copies"."release_id", "copies"."id" limit ${MOST_CHOSEN}`
	);
	return rows.map(({ number, title, parallel, variant, ...row }) => ({
		...row,
		name: nameOfCopy({ number, title, parallel, variant })
	}));
}

/** Copies that are found to be put on a list: by their ids or by words, so many at most. */
export async function copiesToPick(
	db: Reader,
	words: string,
	ids: readonly CopyId[] = []
): Promise<{ readonly found: readonly ChosenCopy[]; readonly more: number }> {
	const chosen: ChosenCopy[] = [];
	for (const copy of ids) chosen.push(...(await chooseCopies(db, { copy })));
	if (words.trim() !== '') chosen.push(...(await chooseCopies(db, { words })));
	const all = [...new Map(chosen.map((copy) => [copy.id, copy])).values()];
	return { found: all.slice(0, MOST_TO_PICK), more: Math.max(0, all.length - MOST_TO_PICK) };
}

/** Copies of the cards, or just the copies, that words find. */
async function foundBy(db: Reader, words: string): Promise<SQL> {
	const found = await search(db, words);
	const cards = found
		.filter(({ copy }) => copy === null)
		.map(({ releaseKey, cardKey }) => [releaseKey, cardKey]);
	const versions = found.flatMap(({ copy }) => {
		const name = copy && parseVersionKey(copy.version);
		return name ? [[name.release, name.card, name.parallel, name.variant]] : [];
	});
	const like = (names: readonly (readonly (string | null)[])[], and: SQL) =>
		sql`select f.id from json_each(${JSON.stringify(names)}) n
			join releases fr on fr.key = n.value ->> 0
			join copies f on f.release_id = fr.id and f.card_key = n.value ->> 1 ${and}`;
	const same = sql`and f.parallel_key is n.value ->> 2 and f.variant_key is n.value ->> 3`;
	return sql`"copies"."id" in (${like(cards, sql``)} union ${like(versions, same)})`;
}

/** How many cards each of some copies is. */
export async function quantitiesOf(
	db: Reader,
	ids: readonly CopyId[]
): Promise<
	ReadonlyMap<
		CopyId,
		Pick<typeof copies.$inferSelect, 'quantity' | 'valueMinor' | 'currency' | 'attributes'>
	>
> {
	const rows = await db
		.select({
			id: copies.id,
			quantity: copies.quantity,
			valueMinor: copies.valueMinor,
			currency: copies.currency,
			attributes: copies.attributes
		})
		.from(copies)
		.where(inArray(copies.id, [...ids]));
	return new Map(rows.map(({ id, ...row }) => [id, row]));
}

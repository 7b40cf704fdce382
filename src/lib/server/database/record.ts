import { eq, inArray } from 'drizzle-orm';
import { chunks } from './chunks.ts';
import type { Transaction } from './open.ts';
import { nameOf, type JournalledTable, type Row, type RowChange } from './tables/journalled.ts';

type NewRow<Table extends JournalledTable> = Table['$inferInsert'];
type ReadRow<Table extends JournalledTable> = Table['$inferSelect'];

/** Changes rows and remembers how they were: the only way in which data is written. */
export interface Recorder {
	readonly insert: <Table extends JournalledTable>(
		table: Table,
		rows: readonly NewRow<Table>[]
	) => Promise<readonly ReadRow<Table>[]>;
	readonly update: <Table extends JournalledTable>(
		table: Table,
		id: number,
		values: Partial<NewRow<Table>>
	) => Promise<void>;
	readonly remove: (table: JournalledTable, ids: readonly number[]) => Promise<void>;
}

/** Rows a statement takes: the widest table has ten columns, SQLite takes 32,766 values. */
const ROWS_A_STATEMENT = 500;

export function openRecorder(tx: Transaction, changes: RowChange[]): Recorder {
	return {
		async insert(table, rows) {
			const after: Row[] = [];
			for (const some of chunks(rows, ROWS_A_STATEMENT))
				after.push(...(await insertRows(tx, table, some)));
			if (after.length > 0) changes.push({ table: nameOf(table), before: [], after });
			return after as never;
		},
		async update(table, id, values) {
			const before = await readRows(tx, table, [id]);
			if (before.length === 0) throw new RangeError(`update: no row ${id} in ${nameOf(table)}`);
			await tx
				.update(table)
				.set(values as never)
				.where(eq(table.id, id));
			changes.push({ table: nameOf(table), before, after: await readRows(tx, table, [id]) });
		},
		async remove(table, ids) {
			const before = await readRows(tx, table, ids);
			await deleteRows(tx, table, ids);
			if (before.length > 0) changes.push({ table: nameOf(table), before, after: [] });
		}
	};
}

/** Inserts a row and gives it as it is stored. */
export async function insertOne<Table extends JournalledTable>(
	record: Recorder,
	table: Table,
	row: NewRow<Table>
): Promise<ReadRow<Table>> {
	const [stored] = await record.insert(table, [row]);
	if (!stored) throw new RangeError(`insertOne: nothing came into ${nameOf(table)}`);
	return stored;
}

export async function insertRows(
	tx: Transaction,
	table: JournalledTable,
	rows: readonly unknown[]
): Promise<Row[]> {
	return (await tx
		.insert(table)
		.values(rows as never)
		.returning()) as Row[];
}

async function readRows(
	tx: Transaction,
	table: JournalledTable,
	ids: readonly number[]
): Promise<Row[]> {
	const rows: Row[] = [];
	for (const some of chunks(ids, 5000)) {
		rows.push(...((await tx.select().from(table).where(inArray(table.id, some))) as Row[]));
	}
	return rows;
}

export async function deleteRows(
	tx: Transaction,
	table: JournalledTable,
	ids: readonly number[]
): Promise<void> {
	for (const some of chunks(ids, 5000)) await tx.delete(table).where(inArray(table.id, some));
}

import { group } from 'd3-array';
import { getTableColumns, inArray, sql, type Column, type SQL } from 'drizzle-orm';
import { toSnakeCase } from 'drizzle-orm/casing';
import { chunks } from './chunks.ts';
import type { Transaction } from './open.ts';
import { readRows } from './read-rows.ts';
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
	/** The same of many rows, each once: in a few statements, however many they are. */
	readonly updateMany: <Table extends JournalledTable>(
		table: Table,
		rows: readonly { readonly id: number; readonly values: Partial<NewRow<Table>> }[]
	) => Promise<void>;
	readonly remove: (table: JournalledTable, ids: readonly number[]) => Promise<void>;
}

/** Rows a statement takes out of one text. */
const ROWS_A_STATEMENT = 5000;

export function openRecorder(tx: Transaction, changes: RowChange[]): Recorder {
	const updateMany: Recorder['updateMany'] = async (table, rows) => {
		const ids = rows.map(({ id }) => id);
		const before = await readById(tx, table, ids);
		if (before.length < new Set(ids).size) {
			const known = new Set(before.map(({ id }) => id));
			const gone = ids.filter((id) => !known.has(id)).join(', ');
			throw new RangeError(`update: no row ${gone} in ${nameOf(table)}`);
		}
		await updateRows(tx, table, rows);
		if (before.length > 0)
			changes.push({ table: nameOf(table), before, after: await readById(tx, table, ids) });
	};
	return {
		async insert(table, rows) {
			const after: Row[] = [];
			for (const some of chunks(rows, ROWS_A_STATEMENT))
				after.push(...(await insertRows(tx, table, some)));
			if (after.length > 0) changes.push({ table: nameOf(table), before: [], after });
			return after as never;
		},
		update: (table, id, values) => updateMany(table, [{ id, values }]),
		updateMany,
		async remove(table, ids) {
			const before = await readById(tx, table, ids);
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

/**
 * Inserts rows out of one JSON text, several times faster than value by value, and gives them as they are
 * stored. Rows that bear ids keep them: all of them, or none.
 */
export async function insertRows(
	tx: Transaction,
	table: JournalledTable,
	rows: readonly unknown[]
): Promise<Row[]> {
	const [first] = rows as readonly Readonly<Record<string, unknown>>[];
	if (first === undefined) return [];
	const columns = Object.entries<Column>(getTableColumns(table)).filter(
		([name]) => name !== 'id' || first.id !== undefined
	);
	const whole = (rows as readonly Readonly<Record<string, unknown>>[]).map((row) => {
		const stored: Record<string, unknown> = {};
		for (const [name, { default: usual }] of columns) stored[name] = row[name] ?? usual ?? null;
		return stored;
	});
	const values = whole.map((row) =>
		columns.map(([name, column]) =>
			row[name] === null ? null : column.mapToDriverValue(row[name])
		)
	);
	const list = (of: (column: Column, i: number) => SQL) =>
		sql.join(
			columns.map(([, column], i) => of(column, i)),
			sql`, `
		);
	const { lastInsertRowid } = await tx.run(sql`
		insert into ${table} (${list(({ name }) => sql`${sql.identifier(toSnakeCase(name))}`)})
		select ${list((_, i) => sql.raw(`value ->> ${i}`))} from json_each(${JSON.stringify(values)})
		where true order by key`);
	// Ids that are given out in one statement follow one another in the order of the rows.
	const before = Number(lastInsertRowid ?? 0) - whole.length;
	for (const [i, row] of whole.entries()) row.id ??= before + 1 + i;
	return whole as Row[];
}

/** Changes rows out of one JSON text for each set of columns that is said. */
export async function updateRows(
	tx: Transaction,
	table: JournalledTable,
	rows: readonly { readonly id: number; readonly values: Readonly<Record<string, unknown>> }[]
): Promise<void> {
	const columns = getTableColumns(table) as Readonly<Record<string, Column>>;
	const said = rows.map(({ id, values }) => ({
		id,
		values: Object.entries(values).flatMap(([name, value]) => {
			const column = columns[name];
			return column === undefined || value === undefined ? [] : [{ column, value }];
		})
	}));
	const alike = group(said, ({ values }) => values.map(({ column }) => column.name).join());
	for (const same of alike.values()) {
		const set = same[0]?.values ?? [];
		if (set.length === 0) continue;
		for (const some of chunks(same, ROWS_A_STATEMENT)) {
			const list = some.map(({ id, values }) => [
				id,
				...values.map(({ column, value }) =>
					value === null ? null : column.mapToDriverValue(value)
				)
			]);
			const changed = set.map(
				({ column: { name } }, i) =>
					sql`${sql.identifier(toSnakeCase(name))} = ${sql.raw(`n.value ->> ${i + 1}`)}`
			);
			await tx.run(
				sql`update ${table} set ${sql.join(changed, sql`, `)} from json_each(${JSON.stringify(list)}) n where ${table.id} = n.value ->> 0`
			);
		}
	}
}

async function readById(
	tx: Transaction,
	table: JournalledTable,
	ids: readonly number[]
): Promise<Row[]> {
	const rows: Row[] = [];
	for (const some of chunks(ids, 5000)) {
		rows.push(
			...((await readRows(
				tx,
				table,
				inArray(table.id, some),
				sql`${table.id}`
			)) as unknown as Row[])
		);
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

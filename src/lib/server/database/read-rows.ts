import { getTableColumns, sql, type Column, type SQL } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Reader } from './open.ts';

/**
 * Reads many rows of a table as one JSON text: several times faster than row by row, where the client
 * makes an object with named and numbered fields of each. The result is the same.
 */
export async function readRows<Table extends SQLiteTable>(
	db: Reader,
	table: Table,
	where: SQL,
	orderBy: SQL
): Promise<readonly Table['$inferSelect'][]> {
	const columns = Object.entries<Column>(getTableColumns(table));
	const list = sql.join(
		columns.map(([, column]) => sql`${column}`),
		sql`, `
	);
	const [found] = await db.all<{ rows: string }>(
		sql`select json_group_array(json_array(${list})) as rows from (select * from ${table} where ${where} order by ${orderBy}) as ${table}`
	);
	const rows = JSON.parse(found?.rows ?? '[]') as unknown[][];
	const fields = columns.map(([name, column]) => ({
		name,
		// Texts and numbers come as they are.
		read: ['json', 'boolean'].includes(column.dataType)
			? (value: unknown): unknown => column.mapFromDriverValue(value)
			: null
	}));
	return rows.map((values) => {
		const row: Record<string, unknown> = {};
		for (let i = 0; i < fields.length; i++) {
			const { name, read } = fields[i] as (typeof fields)[number];
			const value = values[i];
			row[name] = read === null || value === null ? value : read(value);
		}
		return row;
	});
}

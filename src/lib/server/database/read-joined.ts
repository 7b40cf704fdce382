import { sql, type SQL } from 'drizzle-orm';
import type { Reader } from './open.ts';

/**
 * Reads rows of a join as one JSON text, as `readRows` does of a table: several times faster than row by
 * row. Values are as JSON has them: texts, numbers, null.
 *
 * @param columns what each field of a row is; @param from everything from the tables on
 */
export async function readJoined<Row>(
	db: Reader,
	columns: Readonly<Record<keyof Row & string, SQL>>,
	from: SQL
): Promise<Row[]> {
	const names = Object.keys(columns);
	const list = sql.join(Object.values<SQL>(columns), sql`, `);
	const [found] = await db.all<{ rows: string }>(
		sql`select json_group_array(json_array(${list})) as rows from ${from}`
	);
	const rows = JSON.parse(found?.rows ?? '[]') as unknown[][];
	return rows.map((values) => {
		const row: Record<string, unknown> = {};
		for (let i = 0; i < names.length; i++) row[names[i] as string] = values[i];
		return row as Row;
	});
}

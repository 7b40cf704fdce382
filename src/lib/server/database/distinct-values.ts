import { sql } from 'drizzle-orm';
import type { SQLiteColumn } from 'drizzle-orm/sqlite-core';
import type { Reader } from './open.ts';

/**
 * The values that a column has, in order, so many at most. The index on the column is asked for the next larger one again and again:
 * it takes as long as there are values, not rows. Without such an index it is slow.
 */
export async function distinctValues(
	db: Reader,
	column: SQLiteColumn,
	most: number
): Promise<readonly string[]> {
	const { table } = column;
	const next = (after: ReturnType<typeof sql>) =>
		sql`(select min(${column}) from ${table} where ${column} is not null ${after})`;
	const rows = await db.all<{ value: string }>(
		sql`with recursive v(value) as (
			select ${next(sql``)}
			union all select ${next(sql`and ${column} > v.value`)} from v where v.value is not null
		) select value from v where value is not null limit ${most}`
	);
	return rows.map(({ value }) => value);
}

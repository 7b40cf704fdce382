import { sqliteTable, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/** What a pack of sleeves, leaves, binders or dividers costs. */
export const supplyPrices = sqliteTable(
	'supply_prices',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		/** "sleeve:63.5x88.9", "page:3x3" … */
		key: text().notNull(),
		/** In minor units of the currency (ISO 4217). */
		priceMinor: integer().notNull(),
		currency: text().notNull(),
		packOf: integer().notNull()
	},
	(table) => [uniqueIndex('supply_prices_key').on(table.key)]
);

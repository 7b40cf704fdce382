import { sqliteTable, integer, text } from 'drizzle-orm/sqlite-core';
import type { PostageRule } from '../../../core/buying/offers/postage-rule.ts';
import type { SellerId } from '../../../core/row-id.ts';

/** Somebody who sells cards, with what sending them costs. */
export const sellers = sqliteTable('sellers', {
	id: integer().$type<SellerId>().primaryKey({ autoIncrement: true }),
	name: text().notNull().unique(),
	/** What money and offers of theirs are in, ISO 4217. */
	currency: text().notNull(),
	/** null: they do not send that way. */
	direct: text({ mode: 'json' }).$type<PostageRule | null>(),
	toHub: text({ mode: 'json' }).$type<PostageRule | null>(),
	leastOrderMinor: integer(),
	days: integer(),
	daysToHub: integer(),
	/** 0 to 5, as its owner sees it; null: nothing is known. */
	trust: integer(),
	/** All of their list was looked through: what is not offered there they do not have. */
	isListWhole: integer({ mode: 'boolean' }).notNull().default(false),
	note: text(),
	/** The market that they sell at, and what it knows them by; null: they are kept by hand. */
	market: text(),
	marketKey: text()
});

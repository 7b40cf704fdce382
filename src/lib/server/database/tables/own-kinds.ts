import { sqliteTable, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { BinderKind } from '../../../core/binder/binder-kind.ts';
import type { BoxKind } from '../../../core/storage/kinds/box-kind.ts';
import type { PageKind } from '../../../core/binder/page-kind.ts';

/** Kinds of pages, binders and boxes that one has besides those that come with the program. */
export const ownKinds = sqliteTable(
	'own_kinds',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		sort: text().$type<'page' | 'binder' | 'box'>().notNull(),
		key: text().notNull(),
		kind: text({ mode: 'json' }).$type<PageKind | BinderKind | BoxKind>().notNull()
	},
	(table) => [uniqueIndex('own_kinds_key').on(table.sort, table.key)]
);

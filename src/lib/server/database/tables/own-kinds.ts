import { sqliteTable, integer, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { BinderKind } from '../../../core/binder/binder-kind.ts';
import type { BoxKind } from '../../../core/storage/kinds/box-kind.ts';
import type { HolderKind } from '../../../core/storage/kinds/holder-kind.ts';
import type { PageKind } from '../../../core/binder/page-kind.ts';

/** Kinds of pages, binders, boxes and holders that one has besides those that come with the program. */
export const ownKinds = sqliteTable(
	'own_kinds',
	{
		id: integer().primaryKey({ autoIncrement: true }),
		sort: text().$type<'page' | 'binder' | 'box' | 'holder'>().notNull(),
		key: text().notNull(),
		kind: text({ mode: 'json' }).$type<PageKind | BinderKind | BoxKind | HolderKind>().notNull()
	},
	(table) => [uniqueIndex('own_kinds_key').on(table.sort, table.key)]
);

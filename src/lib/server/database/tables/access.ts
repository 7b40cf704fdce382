import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Role } from '../../../schemas/role.ts';

/* Who may look, and who may change. None of it is journalled: a link that was withdrawn comes back by no undo. */

/** The passphrase of a role, as argon2id keeps it. */
export const passphrases = sqliteTable('passphrases', {
	role: text().$type<Role>().primaryKey(),
	hash: text().notNull(),
	setAt: text().notNull()
});

/** A browser that gave a passphrase; of what it holds only the SHA-256 is kept. */
export const sessions = sqliteTable('sessions', {
	tokenHash: text().primaryKey(),
	role: text().$type<Role>().notNull(),
	startedAt: text().notNull(),
	seenAt: text().notNull()
});

/** A want list that whoever knows its link may read. */
export const sharedLists = sqliteTable('shared_lists', {
	id: integer().primaryKey({ autoIncrement: true }),
	/** What stands in the link. */
	token: text().notNull().unique(),
	/** Whom it was given to. */
	name: text().notNull(),
	madeAt: text().notNull()
});

import { hash, verify } from '@node-rs/argon2';
import { eq } from 'drizzle-orm';
import { bad, good, type Outcome } from '../../core/problem.ts';
import { ROLES, type Role } from '../../schemas/role.ts';
import type { Collection, Reader } from '../database/open.ts';
import { passphrases, sessions } from '../database/tables/index.ts';

/** Published: OWASP Password Storage Cheat Sheet, argon2id with 19 MiB, two passes, one lane. */
const ARGON2ID = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** Published: NIST SP 800-63B, section 5.1.1.2: the same words, however a keyboard composes their letters. */
const composed = (passphrase: string) => passphrase.normalize('NFKC');

/** The roles that have a passphrase. */
export async function guardedRoles(db: Reader): Promise<readonly Role[]> {
	const rows = await db.select({ role: passphrases.role }).from(passphrases);
	return ROLES.filter((role) => rows.some((row) => row.role === role));
}

/** Whose passphrase it is; null: nobody's. */
export async function roleOfPassphrase(db: Reader, passphrase: string): Promise<Role | null> {
	for (const row of await db.select().from(passphrases)) {
		if (await verify(row.hash, composed(passphrase))) return row.role;
	}
	return null;
}

/**
 * Sets the passphrase of a role; whoever was signed in as that must sign in again. A viewer's is not the owner's, and there is
 * none before the owner has one.
 */
export async function setPassphrase(
	collection: Collection,
	role: Role,
	passphrase: string
): Promise<Outcome<null>> {
	const { db, now, write } = collection;
	if (role === 'viewer' && !(await guardedRoles(db)).includes('owner')) {
		return bad([{ message: 'the owner has no passphrase yet', remedy: 'Set that one first.' }]);
	}
	const known = await roleOfPassphrase(db, passphrase);
	if (known !== null && known !== role) {
		const message = `that is the passphrase of the ${known}`;
		return bad([{ message, remedy: 'Choose another one.', field: 'passphrase' }]);
	}
	const row = { hash: await hash(composed(passphrase), ARGON2ID), setAt: now() };
	await write(async (tx) => {
		await tx
			.insert(passphrases)
			.values({ role, ...row })
			.onConflictDoUpdate({ target: passphrases.role, set: row });
		await tx.delete(sessions).where(eq(sessions.role, role));
	});
	return good(null);
}

/** Takes the passphrase of a role away; without the owner's nobody needs any. */
export async function removePassphrase({ write }: Collection, role: Role): Promise<void> {
	await write(async (tx) => {
		const isAll = role === 'owner';
		await tx.delete(passphrases).where(isAll ? undefined : eq(passphrases.role, role));
		await tx.delete(sessions).where(isAll ? undefined : eq(sessions.role, role));
	});
}

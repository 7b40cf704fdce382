import { eq, lt } from 'drizzle-orm';
import { createHash, randomBytes } from 'node:crypto';
import type { Role } from '../../schemas/role.ts';
import type { Collection } from '../database/open.ts';
import { sessions } from '../database/tables/index.ts';

/** A browser that was not here for so long signs in again. */
export const SESSION_DAYS = 30;
const DAY_MS = 86_400_000;

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');
const before = (now: string, days: number) =>
	new Date(Date.parse(now) - days * DAY_MS).toISOString();

/** Begins a session; returns what the browser keeps of it, 256 random bits. */
export async function startSession({ write, now }: Collection, role: Role): Promise<string> {
	const token = randomBytes(32).toString('base64url');
	const at = now();
	await write(async (tx) => {
		await tx.delete(sessions).where(lt(sessions.seenAt, before(at, SESSION_DAYS)));
		await tx.insert(sessions).values({ tokenHash: hashOf(token), role, startedAt: at, seenAt: at });
	});
	return token;
}

/** A session that goes on. */
export interface Session {
	readonly role: Role;
	/** It was noted now that it was used, as once a day: the browser keeps it for as long again. */
	readonly isRenewed: boolean;
}

/** The session of what a browser keeps; null: there is none, or it was not used for too long. */
export async function readSession(
	{ db, write, now }: Collection,
	token: string
): Promise<Session | null> {
	const is = eq(sessions.tokenHash, hashOf(token));
	const [session] = await db.select().from(sessions).where(is);
	const at = now();
	if (!session || session.seenAt < before(at, SESSION_DAYS)) return null;
	const isRenewed = session.seenAt < before(at, 1);
	if (isRenewed) await write((tx) => tx.update(sessions).set({ seenAt: at }).where(is));
	return { role: session.role, isRenewed };
}

/** Ends one session, or all of them. */
export async function endSession({ write }: Collection, token: string | null): Promise<void> {
	await write((tx) =>
		tx.delete(sessions).where(token === null ? undefined : eq(sessions.tokenHash, hashOf(token)))
	);
}

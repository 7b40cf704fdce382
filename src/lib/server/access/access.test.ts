import fc from 'fast-check';
import { readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { Collection } from '../database/open.ts';
import { withCollection } from '../collection.fixture.ts';
import { readSettings } from '../database/settings.ts';
import { StartProblem } from '../database/start-problem.ts';
import { guardAtStart } from './at-start.ts';
import { createAttempts, MOST_ATTEMPTS } from './attempts.ts';
import { carryAccess } from './carry-access.ts';
import { mayAsk } from './may-ask.ts';
import { guardedRoles, removePassphrase, roleOfPassphrase, setPassphrase } from './passphrases.ts';
import { endSession, readSession, startSession } from './sessions.ts';
import { findShared, listShared, shareList, withdrawList } from './shared-lists.ts';
import { rowId } from '../../core/row-id.ts';

/** Every route there is, as its folders name it. */
const ROUTES = readdirSync('src/routes', { recursive: true, encoding: 'utf8' })
	.filter((path) => /\+(page(\.server)?|server)\.(svelte|ts)$/.test(path))
	.map((path) => `/${dirname(path)}`.replace(/^\/\.$/, '/'));
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE'];

describe('what a role may ask', () => {
	it('is, for nobody, only to sign in and what a link shows; of all routes there are', () => {
		expect(ROUTES.length).toBeGreaterThan(100);
		const allowed = ROUTES.flatMap((route) =>
			METHODS.filter((method) => mayAsk(null, { method, route })).map(
				(method) => `${method} ${route}`
			)
		);
		expect([...new Set(allowed)].sort()).toEqual(
			[
				...['GET /shared/[list]', 'GET /shared/[list]/wants.csv', 'GET /sign-in'],
				...['HEAD /shared/[list]', 'HEAD /shared/[list]/wants.csv', 'HEAD /sign-in'],
				...['DELETE /sign-in', 'PATCH /sign-in', 'POST /sign-in', 'PUT /sign-in'].sort()
			].sort()
		);
		expect(mayAsk(null, { method: 'GET', route: null })).toBe(false);
	});

	it('is, for a viewer, to read all but backups and access, and what changes nothing', () => {
		const unread = ROUTES.filter((route) => !mayAsk('viewer', { method: 'GET', route }));
		expect([...new Set(unread)].sort()).toEqual([
			'/api/backups/[file]',
			'/journal/access',
			'/journal/backups'
		]);
		const changed = ROUTES.filter((route) => mayAsk('viewer', { method: 'POST', route }));
		expect([...new Set(changed)].sort()).toEqual([
			...['/api/compute/[name]', '/api/goals/slots', '/sign-in', '/sign-out', '/theme']
		]);
		expect(mayAsk('viewer', { method: 'DELETE', route: null })).toBe(false);
	});
});

const roleOf = async (collection: Collection, token: string) =>
	(await readSession(collection, token))?.role ?? null;

describe('passphrases, sessions and links', () => {
	const test = withCollection();

	it('know whose a passphrase is, in whatever way its letters are composed', async () => {
		const { collection } = test;
		expect(await setPassphrase(collection, 'viewer', 'anything else')).toMatchObject({ ok: false });
		expect(await setPassphrase(collection, 'owner', 'caf\u00e9 at the lock')).toMatchObject({
			ok: true
		});
		expect(await setPassphrase(collection, 'viewer', 'cafe\u0301 at the lock')).toMatchObject({
			ok: false
		});
		expect(await setPassphrase(collection, 'viewer', 'only looking')).toMatchObject({ ok: true });
		const said = ['cafe\u0301 at the lock', 'only looking', 'Only looking', '', ' only looking'];
		const roles = [];
		for (const each of said) roles.push(await roleOfPassphrase(collection.db, each));
		expect(roles).toEqual(['owner', 'viewer', null, null, null]);
		await removePassphrase(collection, 'owner');
		expect(await guardedRoles(collection.db)).toEqual([]);
	});

	it('last thirty days after they were used, end with their passphrase, and are kept as hashes', async () => {
		const { collection } = test;
		await setPassphrase(collection, 'owner', 'a long walk');
		const token = await startSession(collection, 'owner');
		const other = await startSession(collection, 'viewer');
		const kept = JSON.stringify(await collection.db.all('SELECT * FROM sessions'));
		expect(kept).not.toContain(token);
		expect(await roleOf(collection, `${token}x`)).toBeNull();
		// Used on the twentieth day, it is still good on the fiftieth, and not after it.
		test.now = '1996-10-25T18:30:00.000Z';
		expect(await readSession(collection, token)).toEqual({ role: 'owner', isRenewed: true });
		expect(await readSession(collection, token)).toEqual({ role: 'owner', isRenewed: false });
		test.now = '1996-11-24T18:30:00.000Z';
		expect(await roleOf(collection, token)).toBe('owner');
		expect(await roleOf(collection, other)).toBeNull();
		test.now = '1997-01-01T00:00:00.000Z';
		expect(await roleOf(collection, token)).toBeNull();
		const last = await startSession(collection, 'owner');
		await setPassphrase(collection, 'owner', 'a longer walk');
		expect(await roleOf(collection, last)).toBeNull();
		const [mine, theirs] = [
			await startSession(collection, 'owner'),
			await startSession(collection, 'owner')
		];
		await endSession(collection, mine);
		expect(await roleOf(collection, mine)).toBeNull();
		expect(await roleOf(collection, theirs)).toBe('owner');
	});

	it('are carried over where a backup takes the place: what was withdrawn stays so', async () => {
		const { collection } = test;
		await shareList(collection, 'Mara');
		const [before] = await listShared(collection.db);
		await withdrawList(collection, rowId(before?.id ?? 0));
		await setPassphrase(collection, 'owner', 'a long walk');
		const carry = await carryAccess(collection.db);
		// What the backup held:
		await removePassphrase(collection, 'owner');
		await shareList(collection, 'Mara');
		await carry(collection);
		expect(await listShared(collection.db)).toEqual([]);
		expect(await findShared(collection.db, before?.token ?? '')).toBeNull();
		expect(await roleOfPassphrase(collection.db, 'a long walk')).toBe('owner');
	});

	it.each([
		[{ HOST: '0.0.0.0' }, 'lets others reach'],
		[{ HOST: '::' }, 'lets others reach'],
		[{ HOST: '192.168.1.4' }, 'lets others reach'],
		[{ HOST: 'attic.local' }, 'lets others reach'],
		[{ HOST: '0.0.0.0', JADE_PASSPHRASE: 'short' }, 'is no passphrase'],
		[{ HOST: '0.0.0.0', JADE_PASSPHRASE: 'long enough' }, null],
		[{ HOST: '127.0.0.1' }, null],
		[{ HOST: '127.8.8.8' }, null],
		[{ HOST: '::1' }, null],
		[{ HOST: '::ffff:127.0.0.1' }, null],
		[{ HOST: 'localhost' }, null],
		[{}, null]
	])('start with %o: %s', async (env, refused) => {
		const started = guardAtStart(test.collection, readSettings({ JADE_DATA: 'x', ...env }));
		if (refused === null) await expect(started).resolves.toBeUndefined();
		else {
			await expect(started).rejects.toThrow(StartProblem);
			await expect(started).rejects.toThrow(refused);
		}
	});
});

describe('attempts', () => {
	it('of one address, or one network of IPv6, are limited however many come at once', async () => {
		const addresses = [
			'203.0.113.7',
			'::ffff:203.0.113.8',
			'2001:db8:1:2::1',
			'2001:db8:1:2:ffff::9'
		];
		await fc.assert(
			fc.asyncProperty(
				fc.array(fc.record({ from: fc.nat(3), isRight: fc.boolean(), waits: fc.boolean() }), {
					maxLength: 40
				}),
				async (tries) => {
					const ask = createAttempts();
					const wrong = [0, 0, 0];
					const open: (() => void)[] = [];
					for (const { from, isRight, waits } of tries) {
						const network = Math.min(from, 2);
						const admission = await ask(addresses[from] ?? '');
						const count = wrong[network] ?? 0;
						if (open.length >= 8) {
							expect(admission.ok).toBe(false);
							open.splice(0).forEach((end) => end());
							continue;
						}
						expect(admission.ok).toBe(count < MOST_ATTEMPTS);
						if (!admission.ok) {
							expect(admission.seconds).toBeGreaterThan(890);
							continue;
						}
						wrong[network] = isRight ? 0 : count + 1;
						if (isRight) await admission.succeeded();
						if (waits) open.push(admission.end);
						else admission.end();
					}
				}
			),
			{ numRuns: 60 }
		);
	});
});

it('is tested from the folder of the project', () => {
	expect(ROUTES).toContain(join('/', 'journal', 'access'));
});

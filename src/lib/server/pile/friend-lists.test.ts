import { sql } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { undo } from '../journal/undo.ts';
import { withStorage } from '../storage/storage.fixture.ts';
import { friendLines, setFriendWants, wantedByFriends } from './friend-lists.ts';

const storage = withStorage();

test('what friends want is read as an entry line, kept by release, and told by version', async () => {
	const { collection } = storage;
	await storage.release('a', '1992', 9);
	await storage.release('b', '1993', 9);
	const lines = 'Mara: A: 2-3, 4 brass\nWren: b: 1';
	expect(await setFriendWants(collection, lines)).toMatchObject({ ok: true, value: { lines: 2 } });
	expect(await friendLines(collection.db)).toBe('Mara: A: 2-3, 4 brass\nWren: B: 1');
	expect([...(await wantedByFriends(collection.db, ['a']))]).toEqual([
		['a/base-2', ['Mara']],
		['a/base-3', ['Mara']],
		['a/base-4~brass', ['Mara']]
	]);
	await setFriendWants(collection, 'Mara: A: 2x2\nWren: A: 2');
	expect((await wantedByFriends(collection.db, ['a'])).get('a/base-2')).toEqual([
		...['Mara', 'Mara', 'Wren']
	]);
	await undo(collection);
	const bad = await setFriendWants(collection, 'Mara: A: 99\nMara: Nowhere: 1\nMara');
	expect(bad.ok ? [] : bad.problems.map(({ line }) => line)).toEqual([3]);
	const worse = await setFriendWants(collection, 'Mara: A: 99\nMara: Nowhere: 1');
	expect(worse.ok ? [] : worse.problems.map(({ line }) => line)).toEqual([1, 2]);
	expect(await friendLines(collection.db)).toMatch(/^Mara: A: 2-3/);
	await undo(collection);
	expect(await friendLines(collection.db)).toBe('');
});

test('what is read can be kept again as it stands, though two releases bear one name', async () => {
	const { collection } = storage;
	await storage.release('a', '1992', 9);
	await collection.write((tx) => tx.run(sql`update releases set name = 'Lights: the second'`));
	await storage.release('b', '1993', 9);
	await storage.release('c', '1993', 9);
	await collection.write((tx) => tx.run(sql`update releases set name = 'Gulls' where key <> 'a'`));
	expect((await setFriendWants(collection, 'Mara: a: 2\nWren: b: 3')).ok).toBe(true);
	const lines = await friendLines(collection.db);
	expect(lines).toBe('Mara: a: 2\nWren: b: 3');
	expect((await setFriendWants(collection, lines)).ok).toBe(true);
	const long = `Mara: a: ${Array(9000).fill('2').join(' ')}`;
	expect((await setFriendWants(collection, long)).ok).toBe(true);
	expect(await friendLines(collection.db)).toBe(long);
	const wants = Array(501).fill('Mara: a: 2').join('\n');
	expect((await setFriendWants(collection, wants)).ok).toBe(false);
	expect(await friendLines(collection.db)).toBe(long);
});

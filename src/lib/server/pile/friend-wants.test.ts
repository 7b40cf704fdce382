import { expect, test } from 'vitest';
import { undo } from '../journal/undo.ts';
import { withStorage } from '../storage/storage.fixture.ts';
import { friendLines, setFriendWants, wantedByFriends } from './friend-wants.ts';

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
	const bad = await setFriendWants(collection, 'Mara: A: 99\nMara: Nowhere: 1\nMara');
	expect(bad.ok ? [] : bad.problems.map(({ line }) => line)).toEqual([3]);
	const worse = await setFriendWants(collection, 'Mara: A: 99\nMara: Nowhere: 1');
	expect(worse.ok ? [] : worse.problems.map(({ line }) => line)).toEqual([1, 2]);
	expect(await friendLines(collection.db)).toMatch(/^Mara: A: 2-3/);
	await undo(collection);
	expect(await friendLines(collection.db)).toBe('');
});

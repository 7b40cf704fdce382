import { beforeEach, describe, expect, test } from 'vitest';
import { sampleRelease, withCollection } from '../collection.fixture.ts';
import { logOwned } from './log.ts';
import { copies } from '../database/tables/index.ts';
import { importRelease } from '../checklists/import-release.ts';

const at = withCollection();

describe('copies', () => {
	beforeEach(async () => {
		await importRelease(at.collection, sampleRelease());
	});

	test('equal ones are one pile; the worst go first', async () => {
		await at.line('1x2', { condition: 'poor' });
		await at.line('1', { condition: 'mint' });
		await at.line('1', { condition: 'poor' });
		const piles = () => at.collection.db.select().from(copies).orderBy(copies.id);
		expect((await piles()).map(({ quantity, condition }) => `${quantity} ${condition}`)).toEqual([
			'3 poor',
			'1 mint'
		]);
		await logOwned(at.collection, 'r', [{ version: 'r/base-1', quantity: 1 }]);
		expect((await piles()).map(({ quantity, condition }) => `${quantity} ${condition}`)).toEqual([
			'1 mint'
		]);
	});

	test.each<[string, number, number, number, number]>([
		['two windows see none and each put one in', 0, 0, 1, 2],
		['another window put one in, this one takes out what it saw', 2, 1, 0, 1],
		['another window took all out, this one takes one out', 0, 2, 1, 0],
		['nobody else did anything', 3, 3, 5, 5]
	])('%s: nothing is lost', async (_, present, was, quantity, then) => {
		const version = 'r/base-1';
		await logOwned(at.collection, 'r', [{ version, quantity: present }]);
		// Two windows at once, where the first has just begun.
		const first = present === 0 && was === 0 ? [{ version, quantity, was }] : [];
		if (first.length > 0) await logOwned(at.collection, 'r', first);
		await logOwned(at.collection, 'r', [{ version, quantity, was }]);
		expect((await at.owned())[version] ?? 0).toBe(then);
	});

	test('versions that do not exist are refused, all at once', async () => {
		const outcome = await logOwned(at.collection, 'r', [
			{ version: 'r/base-1', quantity: 1 },
			{ version: 'r/base-99', quantity: 1 },
			{ version: 'r/base-21~brass', quantity: 1 }
		]);
		expect(outcome).toMatchObject({
			ok: false,
			problems: [{ pointer: '/changes/1/version' }, { pointer: '/changes/2/version' }]
		});
		expect(await at.owned()).toEqual({});
	});

	test('two hundred changes at once all come through, one after the other', async () => {
		await Promise.all(Array.from({ length: 200 }, (_, i) => at.line(`${(i % 25) + 1}`)));
		const counts = Object.values(await at.owned());
		expect(counts).toEqual(Array.from({ length: 25 }, () => 8));
	});
});

import fc from 'fast-check';
import { expect, test } from 'vitest';
import { rowId } from '../../core/row-id.ts';
import { withGulls } from '../gulls.fixture.ts';
import { makeChange } from '../journal/change.ts';
import { undo } from '../journal/undo.ts';
import { copies } from './tables/index.ts';

const at = withGulls();

type Values = Partial<typeof copies.$inferInsert>;

const values: fc.Arbitrary<Values> = fc.record(
	{
		quantity: fc.integer({ min: 1, max: 99 }),
		condition: fc.constantFrom('mint', 'poor', null),
		grade: fc.constantFrom(9, 9.5, null),
		isAuthentic: fc.boolean(),
		attributes: fc.array(fc.string({ maxLength: 5, unit: 'grapheme' }), { maxLength: 3 }),
		note: fc.oneof(fc.string({ maxLength: 12, unit: 'grapheme' }), fc.constant(null)),
		costMinor: fc.oneof(fc.integer({ min: 0, max: 1e9 }), fc.constant(null))
	},
	{ requiredKeys: [] }
);

test('for all rows changed at once: each says what it was told, the others stay, and undo brings all back', async () => {
	await at.log('1-4');
	const { collection } = at;
	const read = () => collection.db.select().from(copies).orderBy(copies.id);
	await fc.assert(
		fc.asyncProperty(
			fc.array(values, { minLength: 4, maxLength: 4 }),
			fc.nat(4),
			async (said, left) => {
				const before = await read();
				const changed = before.slice(0, 4 - left);
				await makeChange(collection, async (record) => {
					const rows = changed.map(({ id }, i) => ({ id, values: said[i] ?? {} }));
					await record.updateMany(copies, rows);
					return { value: null, label: 'Said' };
				});
				const expected = before.map((row, i) => ({
					...row,
					...(i < changed.length ? said[i] : {})
				}));
				expect(await read()).toEqual(expected);
				if (changed.length > 0) await undo(collection);
				expect(await read()).toEqual(before);
			}
		),
		{ numRuns: 60 }
	);
});

test('a row that is not there is told, and nothing is changed', async () => {
	await at.log('1');
	const { collection } = at;
	const before = await collection.db.select().from(copies);
	const change = makeChange(collection, async (record) => {
		await record.updateMany(copies, [
			{ id: before[0]?.id ?? 0, values: { quantity: 7 } },
			{ id: rowId(999), values: { quantity: 7 } }
		]);
		return { value: null, label: 'Said' };
	});
	await expect(change).rejects.toThrow('update: no row 999 in copies');
	expect(await collection.db.select().from(copies)).toEqual(before);
});

import { withGulls } from '../gulls.fixture.ts';
import { expect, test } from 'vitest';
import { readCopies } from '../copies/read-copies.ts';
import { importHoldings, listUnmatched } from './import-holdings.ts';
import { settleRow } from './settle-row.ts';
import { undo } from '../journal/undo.ts';
import { rowId } from '../../core/row-id.ts';

const at = withGulls();

test('holdings come in as one step; rows that fit nothing wait, and are settled one by one', async () => {
	const row = (line: number, set: string, number: string) => ({
		line,
		year: '1996',
		maker: 'M',
		set,
		section: '',
		number,
		subject: '',
		parallel: '',
		attributes: ['rookie'],
		fields: { quantity: 2, valueMinor: 50, currency: 'EUR' }
	});
	const rows = [row(2, 'Gulls', '1'), row(3, 'Gulls', '77'), row(4, 'Unheard Of', '1')];
	expect(await importHoldings(at.collection, 'list.csv', rows, {})).toEqual({
		copies: 1,
		unmatched: 2
	});
	const waiting = await listUnmatched(at.collection.db);
	expect(waiting.map(({ line, reason }) => `${line}: ${reason}`)).toEqual([
		'3: Gulls has no 77',
		'4: which release is "Unheard Of"?'
	]);
	const [first] = waiting;
	expect(await settleRow(at.collection, first?.id ?? rowId(0), 'gulls-1996', '1-2')).toMatchObject({
		ok: false
	});
	expect(
		await settleRow(at.collection, first?.id ?? rowId(0), 'gulls-1996', '4 slate')
	).toMatchObject({
		ok: true
	});
	expect(await readCopies(at.collection.db, rowId(1))).toMatchObject([
		{ version: 'gulls-1996/base-1', quantity: 2, attributes: ['rookie'], valueMinor: 50 },
		{ version: 'gulls-1996/base-4~slate', quantity: 2, attributes: ['rookie'], valueMinor: 50 }
	]);
	await undo(at.collection);
	await undo(at.collection);
	expect(await at.copies()).toEqual([]);
	expect(await listUnmatched(at.collection.db)).toEqual([]);
});

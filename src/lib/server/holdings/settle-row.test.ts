import { withGulls } from '../gulls.fixture.ts';
import { expect, test } from 'vitest';
import { readCopies } from '../copies/read-copies.ts';
import { importHoldings, listUnmatched } from './import-holdings.ts';
import { good } from '../../core/problem.ts';
import { loadRelease } from '../releases/load-release.ts';
import { makeFromRows } from './make-from-rows.ts';
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
	const { rows: waiting } = await listUnmatched(at.collection.db, 100);
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
	expect(await listUnmatched(at.collection.db, 100)).toEqual({ rows: [], waiting: 0 });
});

test('rows of a set that is not there make release and card in one step; so do cards that a release lacks', async () => {
	const row = (line: number, rest: object) => ({
		line,
		year: '1994',
		maker: '',
		set: 'Unheard Of',
		section: '',
		number: '',
		subject: '',
		parallel: '',
		attributes: [],
		fields: { quantity: 1 },
		...rest
	});
	const rows = [
		row(2, {
			number: '#7',
			subject: 'Ada',
			parallel: 'Gold',
			fields: { quantity: 1, serial: '3/50' }
		}),
		row(3, { number: '7', fields: { quantity: 2, condition: 'good' as const } }),
		row(4, { section: 'Ink', subject: 'Bram' }),
		row(5, { set: 'Gulls', year: '1996', maker: 'M', number: '77', subject: 'Late gull' }),
		row(6, { year: 'once', number: '1' })
	];
	await importHoldings(at.collection, 'list.csv', rows, {});
	const ids = async () => (await listUnmatched(at.collection.db, 100)).rows.map(({ id }) => id);
	const all = await ids();
	expect(await makeFromRows(at.collection, all)).toMatchObject({
		ok: false,
		problems: [{ line: 6, field: 'year', message: 'line 6 names no year' }]
	});
	expect(await ids()).toEqual(all);
	expect(await makeFromRows(at.collection, all.slice(0, 4))).toEqual(
		good({ copies: 4, releases: 1 })
	);
	expect(await ids()).toEqual(all.slice(4));
	const made = await loadRelease(at.collection.db, 'unheard-of-1994');
	expect(made?.release.maker).toBe('Unknown maker');
	expect(
		(await readCopies(at.collection.db, made?.id ?? rowId(0))).map(
			({ version, quantity, serial }) => [version, quantity, serial]
		)
	).toEqual([
		['unheard-of-1994/base-7~gold', 1, '3/50'],
		['unheard-of-1994/base-7', 2, undefined],
		['unheard-of-1994/ink-bram', 1, undefined]
	]);
	expect(await at.copies()).toEqual(['base-77 1']);
	await undo(at.collection);
	expect(await loadRelease(at.collection.db, 'unheard-of-1994')).toBeNull();
	expect(await ids()).toEqual(all);
	expect(await makeFromRows(at.collection, [])).toMatchObject({ ok: false });
});

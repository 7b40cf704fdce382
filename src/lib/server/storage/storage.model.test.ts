import { sql } from 'drizzle-orm';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { DISCREPANCY_ANSWERS } from '../../core/storage/stock-take/discrepancy.ts';
import { SLIP_STATES } from '../../core/storage/slips/slip-line.ts';
import { editCopy, removeCopy, splitCopy } from '../copies/edit-copy.ts';
import { logLine, logOwned } from '../copies/log.ts';
import { redo, undo } from '../journal/undo.ts';
import { answerDiscrepancy } from './stock-take/answer-discrepancy.ts';
import { answerLine, makeSlip } from './slips/change-slips.ts';
import { removeBox } from './room/edit-boxes.ts';
import { removeDivider } from './room/edit-dividers.ts';
import { homelessCopies } from '../places/homeless.ts';
import { readKeeping } from '../places/keeping.ts';
import { forgetHoused } from '../places/loose-releases.ts';
import { planStorage } from './plan/plan-storage.ts';
import { listSlips, readSlip } from './slips/slips.ts';
import { standAsPlanned } from './plan/stand-as-planned.ts';
import { checkDivider, listDiscrepancies } from './stock-take/stock-take.ts';
import { USUAL_CLASSES } from '../../core/storage/classes/keeping.ts';
import type { ClassRule } from '../../core/storage/classes/storage-class.ts';
import { bringBack, sendOut } from '../copies/outings.ts';
import { setStorageClasses } from '../preferences/storage-classes.ts';
import { misplacedCopies } from './slips/misplaced-copies.ts';
import { withStorage } from './storage.fixture.ts';
import { type RowId, rowId } from '../../core/row-id.ts';

const storage = withStorage();

const TABLES = [
	'copies',
	'shelves',
	'boxes',
	'dividers',
	'box_cards',
	'slips',
	'slip_lines',
	'discrepancies',
	'outings',
	'preferences'
];

/** Rules of which one after the other holds. */
const CLASSES: readonly (readonly ClassRule[])[] = [
	USUAL_CLASSES,
	[{ name: 'Old', where: { toYear: 1992 } }, ...USUAL_CLASSES],
	[{ name: 'Brass', where: { finishes: ['Brass'] } }],
	[
		{ name: 'Dear', where: { leastValueMinor: 100, currency: 'EUR' } },
		{ name: 'Rest', where: {} }
	]
];
const SMALL = { school: 'year' as const, fill: 20, have: 10, growth: 50, small: true };

/** Every row of the storage room, as text: two states are the same where this is. */
async function snapshot(): Promise<string> {
	const tables = [];
	for (const table of TABLES) {
		tables.push(await storage.collection.db.all(sql.raw(`select * from ${table} order by id`)));
	}
	return JSON.stringify(tables);
}

const rowsOf = <Row>(query: string) => storage.collection.db.all<Row>(sql.raw(query));
const pick = <Item>(items: readonly Item[], n: number) =>
	items.length === 0 ? undefined : items[n % items.length];
const idIn = async <Table extends string>(table: Table, n: number): Promise<RowId<Table>> =>
	pick(await rowsOf<{ id: RowId<Table> }>(`select id from ${table} order by id`), n)?.id ??
	rowId(0);

/** What a person may do; `n` and `m` say with which of the things that are there. */
const ACTIONS: readonly ((n: number, m: number) => Promise<unknown>)[] = [
	(n, m) => logSome(n, m),
	(n, m) => logSome(n + 7, m),
	() => standAsPlanned(storage.collection),
	() => makeSlip(storage.collection, 'put away', '', { of: 'homeless' }),
	(n, m) =>
		makeSlip(storage.collection, 'pull', '', {
			of: 'line',
			release: releaseOf(n),
			line: `${1 + (m % 5)} ${6 + (m % 4)}x2`
		}),
	answerSome,
	answerSome,
	answerSome,
	async (n, m) =>
		checkDivider(
			storage.collection,
			await idIn('dividers', n),
			releaseOf(m),
			`1-${1 + (m % 9)} ${10 + (n % 6)}`
		),
	async (n, m) => {
		const question = pick(await listDiscrepancies(storage.collection.db), n);
		if (!question) return;
		const key = pick(DISCREPANCY_ANSWERS[question.sort], m)?.key ?? '';
		return answerDiscrepancy(storage.collection, question.id, key);
	},
	async (n, m) =>
		editCopy(storage.collection, await idIn('copies', n), {
			holder: pick([null, 'sleeve', 'top-loader-35'], m) ?? null
		}),
	async (n) => splitCopy(storage.collection, await idIn('copies', n)),
	async (n) => removeCopy(storage.collection, await idIn('copies', n)),
	(n, m) =>
		logOwned(storage.collection, releaseOf(n), [
			{ version: `${releaseOf(n)}/base-${1 + (m % 9)}`, quantity: m % 3 }
		]),
	(n) => setStorageClasses(storage.collection, pick(CLASSES, n) ?? []),
	() => standAsPlanned(storage.collection, SMALL),
	async (n, m) =>
		editCopy(storage.collection, await idIn('copies', n), {
			valueMinor: pick([null, 90, 150, 2500], m) ?? null,
			currency: 'EUR',
			status: pick(['kept', 'to sell', 'spare'] as const, n + m) ?? 'kept'
		}),
	async () =>
		makeSlip(storage.collection, 'pull', '', {
			of: 'copies',
			ids: await misplacedCopies(storage.collection.db, 50)
		}),
	async (n, m) =>
		sendOut(storage.collection, [{ copyId: await idIn('copies', n), quantity: 1 + (m % 2) }], {
			kind: 'look',
			to: 'Wren',
			dueOn: null
		}),
	async (n) => bringBack(storage.collection, await idIn('outings', n)),
	async (n) => removeDivider(storage.collection, await idIn('dividers', n)),
	async (n) => removeBox(storage.collection, await idIn('boxes', n))
];

const releaseOf = (n: number) => ['a', 'b', 'c'][n % 3] ?? 'a';

function logSome(n: number, m: number) {
	const line = `${1 + (n % 9)}x${1 + (m % 3)} ${10 + (m % 6)}`;
	return logLine(storage.collection, releaseOf(n), { line, numbering: null, parallel: null });
}

async function answerSome(n: number, m: number) {
	const slip = pick(await listSlips(storage.collection.db), n);
	const lines = slip ? ((await readSlip(storage.collection.db, slip.id))?.lines ?? []) : [];
	const line = pick(lines, m);
	const state = pick(SLIP_STATES, m + n) ?? 'done';
	if (!slip || !line) return;
	return answerLine(storage.collection, slip.id, line.id, state, line.place?.dividerId ?? null);
}

/** What must be true whatever was done. */
async function checkRoom() {
	const { db } = storage.collection;
	// Whatever is done next, what it leaves without a place must be found again.
	await storage.collection.write(forgetHoused);
	// No more of a copy stand than there are.
	expect(
		await rowsOf(
			'select c.id from copies c join box_cards b on b.copy_id = c.id group by c.id having sum(b.quantity) > c.quantity'
		)
	).toEqual([]);
	// Two dividers never stand at the same place.
	expect(
		await rowsOf('select box_id from dividers group by box_id, row, position having count(*) > 1')
	).toEqual([]);
	// What is kept in sum of each divider is what stands behind it.
	expect(
		await rowsOf(`select divider_id, cards, round(um, 3), mg from divider_sums except
			select divider_id, sum(quantity), round(sum(quantity * um), 3), sum(quantity * mg) from box_cards group by 1`)
	).toEqual([]);
	expect(
		await rowsOf(
			'select 1 from box_cards where divider_id not in (select divider_id from divider_sums)'
		)
	).toEqual([]);
	// The plan, which sums in the database, knows of as many cards without a place as a count one by one.
	const homeless = await homelessCopies(db, await readKeeping(db));
	const plan = await planStorage(db);
	const sum = (counts: readonly number[]) => counts.reduce((total, count) => total + count, 0);
	expect(sum(plan.sets.map(({ cards }) => cards))).toBe(sum(homeless.map(({ free }) => free)));
	const um = sum(plan.sets.map(({ cards, stockPt = 0 }) => cards * stockPt * 25.4));
	expect(um).toBeCloseTo(sum(homeless.map((copy) => copy.free * copy.um)), 3);
	// No box stands in one that stands in another; a plan makes boxes only for what the rules name.
	expect(
		await rowsOf(
			'select b.id from boxes b join boxes h on h.id = b.inside_id where h.inside_id is not null'
		)
	).toEqual([]);
	const uses = new Set((await readKeeping(db)).uses);
	expect(plan.boxes.filter(({ use }) => !uses.has(use))).toEqual([]);
	// What is out is of a copy that is there.
	expect(
		await rowsOf('select copy_id from outings where copy_id not in (select id from copies)')
	).toEqual([]);
	// A slip leads to dividers that are there.
	const dividers = new Set(
		(await rowsOf<{ id: number }>('select id from dividers')).map(({ id }) => id)
	);
	for (const { id } of await listSlips(db)) {
		for (const { place } of (await readSlip(db, id))?.lines ?? []) {
			if (place) expect(dividers.has(place.dividerId)).toBe(true);
		}
	}
}

test('whatever is done in whatever order, the room holds together; all of it can be undone and redone', async () => {
	const steps = fc.array(
		fc.record({ action: fc.nat(ACTIONS.length - 1), n: fc.nat(50), m: fc.nat(50) }),
		{ minLength: 6, maxLength: 14 }
	);
	let done = 0;
	await fc.assert(
		fc.asyncProperty(steps, async (todo) => {
			if (done === 0) {
				await storage.release('a', '1992', 40);
				await storage.release('b', '1993', 40, { stockPt: 15 });
				await storage.release('c', '1993', 40);
			}
			await storage.log('a', '1-9 12x2');
			await standAsPlanned(storage.collection);
			const [begin, first] = [await snapshot(), await stepsInForce()];
			for (const { action, n, m } of todo) {
				await ACTIONS[action]?.(n, m);
				await checkRoom();
				done++;
			}
			const [end, last] = [await snapshot(), await stepsInForce()];
			for (let i = first; i < last; i++) await undo(storage.collection);
			expect(await snapshot()).toBe(begin);
			for (let i = first; i < last; i++) await redo(storage.collection);
			expect(await snapshot()).toBe(end);
		}),
		{ numRuns: 15 }
	);
	// Most of it did something: a test in which everything is refused would hold nothing.
	expect(await stepsInForce()).toBeGreaterThan(done / 3);
}, 120_000);

async function stepsInForce(): Promise<number> {
	const [row] = await rowsOf<{ count: number }>(
		"select count(*) as count from journal where state = 'done'"
	);
	return row?.count ?? 0;
}

import { sql } from 'drizzle-orm';
import { describe, expect, test } from 'vitest';
import { logOwned } from '../copies/log.ts';
import { undo } from '../journal/undo.ts';
import { removeRelease } from '../releases/remove-release.ts';
import { answerDiscrepancy } from './answer-discrepancy.ts';
import { answerLine, makeSlip } from './change-slips.ts';
import { removeBox, saveBox, saveShelf } from './edit-storage.ts';
import { HOLDER_RULES } from './holder-tiers.ts';
import { readTierMoves, setHolderRules, setHolders } from './holders.ts';
import { homelessCopies } from './homeless.ts';
import { plannedStorage } from './plan-storage.ts';
import { readBox, readDividers } from './read-box.ts';
import { readBoxes } from './read-storage.ts';
import { respacingOf, takeRespaceStep } from './respace-box.ts';
import { readSlip } from './slips.ts';
import { standAsPlanned } from './stand-as-planned.ts';
import { checkDivider, listDiscrepancies } from './stock-take.ts';
import { withStorage } from './storage.fixture.ts';

const storage = withStorage();
const NO_VALUE = Number.MAX_SAFE_INTEGER;

/** Cards that stand in boxes, and those that have no place. */
async function counts() {
	const { db } = storage.collection;
	const standing = (await readBoxes(db)).reduce((sum, { cards }) => sum + cards, 0);
	const homeless = (await homelessCopies(db, NO_VALUE)).reduce((sum, { free }) => sum + free, 0);
	return { standing, homeless };
}

/** What stands in each row of each box: "Long box 1 / 1: A 1992 1 2 3x2". */
async function rows(): Promise<readonly string[]> {
	const { db } = storage.collection;
	const boxes = await readBoxes(db);
	const dividers = await readDividers(db, { boxes: boxes.map(({ id }) => id) });
	return boxes.flatMap((box) =>
		dividers
			.filter(({ boxId }) => boxId === box.id)
			.map(({ row, label, standing }) => {
				const numbers = standing.map(({ number, quantity }) =>
					quantity > 1 ? `${number ?? ''}x${quantity}` : number
				);
				return `${box.name} / ${row}: ${label} ${numbers.join(' ')}`;
			})
	);
}

async function dividerOf(label: string) {
	const boxes = await readBoxes(storage.collection.db);
	const all = await readDividers(storage.collection.db, { boxes: boxes.map(({ id }) => id) });
	const found = all.find((divider) => divider.label === label);
	if (!found) throw new RangeError(`no divider ${label}`);
	return found;
}

describe('boxes as planned', () => {
	test('stand with every card, each once; undo takes all of it back', async () => {
		await storage.release('big', '1994', 400);
		await storage.release('a', '1992', 40);
		await storage.release('b', '1993', 30);
		await storage.release('lone', '1993', 50);
		await storage.log('big', '1-390');
		await storage.log('a', '3x2 1 2 brass 2');
		await storage.log('b', '10-20');
		await storage.log('lone', '7');
		const all = 390 + 5 + 11 + 1;
		expect(await counts()).toEqual({ standing: 0, homeless: all });
		expect(await standAsPlanned(storage.collection)).toEqual({ boxes: 2, cards: all });
		expect(await counts()).toEqual({ standing: all, homeless: 0 });
		const [own, ...shared] = await rows();
		expect(own).toMatch(/^BIG 1994 \/ 1: BIG 1994 1 2 3 .* 390$/);
		expect(shared).toEqual([
			'Long box 1 / 1: A 1992 1 2 2 3x2',
			'Long box 1 / 1: B 1993 10 11 12 13 14 15 16 17 18 19 20',
			'Long box 1 / 1: 1993, strays 7'
		]);
		await undo(storage.collection);
		expect(await counts()).toEqual({ standing: 0, homeless: all });
	});

	test('heavy ones go on low shelves, and never over what a shelf bears', async () => {
		for (const [level, ratingG] of [
			[1, 10_000],
			[2, null],
			[3, null]
		] as const) {
			await saveShelf(storage.collection, { room: 'R', unit: 'U', level, lengthMm: 2000, ratingG });
		}
		await storage.release('a', '1992', 900);
		await storage.release('c', '1995', 400);
		await storage.log('a', '1-900x5 1-200');
		await storage.log('c', '1-400');
		await standAsPlanned(storage.collection);
		const placed = (await readBoxes(storage.collection.db)).map(({ name, shelfId }) => [
			name,
			shelfId
		]);
		// 4,700 cards weigh over 9 kg with their box: to lift with care. The light one leaves the low shelves free.
		expect(placed).toEqual([
			['C 1995', 3],
			['Long box 1', 1]
		]);
	});

	test('a new set goes between those that stand where there is room, and nothing moves', async () => {
		for (const [key, year] of [
			['a', '1992'],
			['c', '1994']
		] as const) {
			await storage.release(key, year, 30);
			await storage.log(key, '1-10');
		}
		await standAsPlanned(storage.collection);
		await storage.release('b', '1993', 30);
		await storage.log('b', '1-10');
		await storage.log('a', '11');
		const plan = await plannedStorage(storage.collection.db);
		expect(plan.boxes).toEqual([]);
		expect(plan.added).toMatchObject([{ sets: ['b'], row: 1, at: 1 }]);
		expect(plan.toPutAway).toMatchObject([{ key: 'a', cards: 1 }]);
		await standAsPlanned(storage.collection);
		expect((await rows()).map((row) => row.slice(0, 24))).toEqual([
			'Long box 1 / 1: A 1992 1',
			'Long box 1 / 1: B 1993 1',
			'Long box 1 / 1: C 1994 1'
		]);
	});

	test('never more stand than there are: what is taken out of the collection leaves its box', async () => {
		await storage.release('a', '1992', 30);
		await storage.log('a', '1x3 2 3');
		await standAsPlanned(storage.collection);
		await logOwned(storage.collection, 'a', [
			{ version: 'a/base-1', quantity: 1 },
			{ version: 'a/base-2', quantity: 0 }
		]);
		expect(await rows()).toEqual(['Long box 1 / 1: A 1992 1 3']);
		await undo(storage.collection);
		expect(await rows()).toEqual(['Long box 1 / 1: A 1992 1x3 2 3']);
		await removeRelease(storage.collection, 'a');
		expect(await rows()).toEqual([]);
		await undo(storage.collection);
		expect(await counts()).toEqual({ standing: 5, homeless: 0 });
	});

	test('a box that goes leaves its cards without a place; names and kinds are checked', async () => {
		await storage.release('a', '1992', 30);
		await storage.log('a', '1-9');
		await standAsPlanned(storage.collection);
		expect(
			await saveBox(storage.collection, { name: 'Long box 1', kind: 'x', use: 'sets' })
		).toMatchObject({
			ok: false,
			problems: [{ field: 'name' }, { field: 'kind' }]
		});
		expect((await removeBox(storage.collection, 1)).ok).toBe(true);
		expect(await counts()).toEqual({ standing: 0, homeless: 9 });
	});
});

describe('slips', () => {
	test('put away in walking order, with neighbours as they stand then; the rest waits', async () => {
		await storage.release('a', '1992', 200);
		await storage.release('b', '1993', 30);
		await storage.log('a', '112 118 150');
		await storage.log('b', '1-9');
		await standAsPlanned(storage.collection);
		await storage.log('a', '115 113');
		await storage.log('b', '20');
		await storage.release('new', '1996', 9);
		await storage.log('new', '1-9');
		expect(await makeSlip(storage.collection, 'put away', '', { of: 'homeless' })).toMatchObject({
			ok: true
		});
		const lines = async () => (await readSlip(storage.collection.db, 1))?.lines ?? [];
		const told = (await lines())
			.filter(({ place }) => place)
			.map(({ card, place }) => [card, place?.box, place?.row, place?.after, place?.before]);
		expect(told).toEqual([
			['113 Card 113', 'Long box 1', 1, '112', '118'],
			['115 Card 115', 'Long box 1', 1, '113', '118'],
			['20 Card 20', 'Long box 1', 1, '9', null]
		]);
		expect((await lines()).filter(({ place }) => !place)).toHaveLength(9);
		const [first, second] = await lines();
		const answer = (
			line: typeof first,
			state: 'done' | 'skipped',
			divider = line?.place?.dividerId
		) => answerLine(storage.collection, 1, line?.id ?? 0, state, divider ?? null);
		expect(await answer(second, 'done', 99)).toMatchObject({ ok: false });
		expect(await answer(second, 'skipped')).toMatchObject({ ok: true });
		expect(await answer(first, 'done')).toMatchObject({ ok: true });
		expect((await rows())[0]).toBe('Long box 1 / 1: A 1992 112 113 118 150');
		// A skipped card is still to be put away; done twice is refused.
		expect(await answer(first, 'done')).toMatchObject({ ok: false });
		expect(await answer(second, 'done')).toMatchObject({ ok: true });
		expect((await rows())[0]).toBe('Long box 1 / 1: A 1992 112 113 115 118 150');
		await undo(storage.collection);
		expect((await lines()).find(({ id }) => id === second?.id)?.state).toBe('skipped');
	});

	test('numbers in hand order make a slip of just these; what is not there is told', async () => {
		await storage.release('a', '1992', 200);
		await storage.log('a', '1-5');
		await standAsPlanned(storage.collection);
		await storage.log('a', '9 7');
		const source = { of: 'line', release: 'a', line: '9 7 100' } as const;
		const made = await makeSlip(storage.collection, 'put away', 'Hand', source);
		expect(made).toMatchObject({
			ok: true,
			notes: [{ message: expect.stringContaining('a/base-100') }]
		});
		const slip = await readSlip(storage.collection.db, 1);
		expect(slip?.lines.map(({ card }) => card)).toEqual(['7 Card 7', '9 Card 9']);
		const none = await makeSlip(storage.collection, 'put away', '', { ...source, line: '50' });
		expect(none.ok).toBe(false);
	});

	test('pulled cards leave their box; one that is not there opens a discrepancy', async () => {
		await storage.release('a', '1992', 200);
		await storage.log('a', '1-5 3');
		await standAsPlanned(storage.collection);
		await makeSlip(storage.collection, 'pull', 'Friend', { of: 'line', release: 'a', line: '2 3' });
		const slip = await readSlip(storage.collection.db, 1);
		const [two, three] = slip?.lines ?? [];
		expect([two?.place?.after, two?.place?.before]).toEqual(['1', '3']);
		await answerLine(storage.collection, 1, two?.id ?? 0, 'done', two?.place?.dividerId ?? null);
		await answerLine(storage.collection, 1, three?.id ?? 0, 'not there', null);
		expect(await rows()).toEqual(['Long box 1 / 1: A 1992 1 3x2 4 5']);
		const [open] = await listDiscrepancies(storage.collection.db);
		expect(open).toMatchObject({
			sort: 'not there',
			version: 'a/base-3',
			quantity: 1,
			box: 'Long box 1'
		});
		await answerDiscrepancy(storage.collection, open?.id ?? 0, 'g');
		expect(await rows()).toEqual(['Long box 1 / 1: A 1992 1 3 4 5']);
		expect(await counts()).toEqual({ standing: 4, homeless: 1 });
	});
});

describe('stock-take', () => {
	test('differences become questions, and each answer does what it says', async () => {
		await storage.release('a', '1992', 40);
		await storage.log('a', '1-10 4 4');
		await standAsPlanned(storage.collection);
		await storage.log('a', '20');
		const { id } = await dividerOf('A 1992');
		// 4 stands for all three; 9 is not there; 20 and 21 are not recorded.
		expect(await checkDivider(storage.collection, id, 'a', '1-8 10 20 21')).toMatchObject({
			value: { notThere: 1, notRecorded: 2 }
		});
		const open = await listDiscrepancies(storage.collection.db);
		const idOf = (version: string) => open.find((one) => one.version === version)?.id ?? 0;
		await answerDiscrepancy(storage.collection, idOf('a/base-9'), 'o');
		await answerDiscrepancy(storage.collection, idOf('a/base-20'), 'h');
		await answerDiscrepancy(storage.collection, idOf('a/base-21'), 'l');
		expect(await listDiscrepancies(storage.collection.db)).toEqual([]);
		expect(await rows()).toEqual(['Long box 1 / 1: A 1992 1 2 3 4x3 5 6 7 8 10 20 21']);
		// 9 has no place; 20 had none; 21 is new.
		expect(await counts()).toEqual({ standing: 13, homeless: 1 });
		expect((await dividerOf('A 1992')).checkedAt).toBe('1996-10-06T09:00:00.000Z');
	});

	test('a count of two or more is taken at its word; a misread line changes nothing', async () => {
		await storage.release('a', '1992', 40);
		await storage.log('a', '1x3 2');
		await standAsPlanned(storage.collection);
		const { id } = await dividerOf('A 1992');
		expect(await checkDivider(storage.collection, id, 'a', '1x2 2')).toMatchObject({
			value: { notThere: 1, notRecorded: 0 }
		});
		expect(await checkDivider(storage.collection, id, 'a', '1 zebra')).toMatchObject({ ok: false });
		expect(await listDiscrepancies(storage.collection.db)).toHaveLength(1);
		// All there after all: the earlier questions are dropped.
		await checkDivider(storage.collection, id, null, null);
		expect(await listDiscrepancies(storage.collection.db)).toEqual([]);
	});
});

describe('a row that is too full', () => {
	test('is re-spaced step by step, safe to stop, and then no row is over its length', async () => {
		// 18 pt: a row of a long box takes 1,000 cards; with its divider one less.
		await storage.release('a', '1992', 900);
		await storage.release('b', '1993', 400);
		await storage.log('a', '1-500');
		await storage.log('b', '1-400');
		const rules = {
			school: 'year',
			growth: 0,
			rules: { leastFill: 2, leastHave: 2, mostStrays: 0 }
		} as const;
		await standAsPlanned(storage.collection, rules);
		expect(respacingOf((await readBox(storage.collection.db, 1)) as never)).toBeNull();
		await storage.log('a', '501-800');
		await makeSlip(storage.collection, 'put away', '', { of: 'homeless' });
		const slip = await readSlip(storage.collection.db, 1);
		const [any] = slip?.lines ?? [];
		// All at once, as the hand would: the rows themselves are what is told here.
		await storage.collection.write(async (tx) => {
			await tx.run(
				sql`insert into box_cards (divider_id, copy_id, quantity, um, mg) select ${any?.place?.dividerId}, copy_id, quantity, 457, 1800 from slip_lines`
			);
		});
		const total = (await counts()).standing;
		let steps = 0;
		for (; steps < 10; steps++) {
			const box = await readBox(storage.collection.db, 1);
			const respacing = box && respacingOf(box);
			if (!respacing) break;
			expect(respacing.isHopeless).toBe(false);
			const done = await takeRespaceStep(storage.collection, 1, respacing.lines[0]?.name ?? '');
			expect(done.ok).toBe(true);
			expect((await counts()).standing).toBe(total);
		}
		expect(steps).toBeGreaterThan(0);
		expect(steps).toBeLessThan(4);
		const box = await readBox(storage.collection.db, 1);
		const room = (box?.kind.rowMm ?? 0) * 1000;
		expect(box?.rows.filter(({ usedUm }) => usedUm > room)).toEqual([]);
		// Numbers still run on from row to row.
		const numbers = box?.dividers
			.filter(({ label }) => label === 'A 1992')
			.flatMap(({ standing }) => standing.map(({ number }) => Number(number)));
		expect(numbers).toEqual(Array.from({ length: 800 }, (_, i) => i + 1));
		expect(await takeRespaceStep(storage.collection, 1, 'an old step')).toMatchObject({
			ok: false
		});
	});
});

describe('holders', () => {
	test('cards move up and down as values and names say, and take other room in their box', async () => {
		await storage.release('a', '1992', 40);
		await storage.log('a', '1-4');
		await storage.collection.write((tx) =>
			tx.run(
				sql`update copies set value_minor = case card_key when 'base-1' then 150 when 'base-2' then 5000 end`
			)
		);
		await standAsPlanned(storage.collection);
		const names = [{ word: 'card 3', tier: 'better commons' }];
		const rules = { ...HOLDER_RULES.usual, names, onHand: { 'top-loader-35': 5 } };
		expect((await setHolderRules(storage.collection, rules)).ok).toBe(true);
		const moves = await readTierMoves(storage.collection.db, rules);
		expect(moves.map(({ name, direction, to }) => [name, direction, to])).toEqual([
			['2 Card 2', 'up', 'magnetic-35'],
			['1 Card 1', 'up', 'top-loader-35'],
			['3 Card 3', 'up', 'sleeve']
		]);
		await setHolders(storage.collection, moves);
		expect(await readTierMoves(storage.collection.db, rules)).toEqual([]);
		const standing = (await readBoxes(storage.collection.db)).flatMap(({ name, rows: own }) =>
			own.map(({ usedUm }) => [name, usedUm])
		);
		// 457 µm of stock each and a divider; a millimetre for the loader, nine for the case, a tenth for the sleeve.
		expect(standing.filter(([, um]) => um)).toContainEqual(['Long box 1', 800 + 2 * 457 + 100]);
		expect(standing.filter(([, um]) => um)).toContainEqual(['Valuables 1', 800 + 2 * 457 + 10_000]);
		expect(
			await setHolderRules(storage.collection, { ...rules, names: [{ word: 'x', tier: 'none' }] })
		).toMatchObject({ ok: false });
	});
});

import { expect, test } from 'vitest';
import { readOffers } from '../../../formats/read-offers.ts';
import { writeXlsx } from '../../../formats/xlsx.ts';
import { offerRows, offers } from '../../database/tables/index.ts';
import { withGulls } from '../../gulls.fixture.ts';
import { undo } from '../../journal/undo.ts';
import { buyingOn, draft } from '../buying.fixture.ts';
import { removeSeller, saveSeller } from '../sellers/edit-sellers.ts';
import { dropOfferRow, importOffers, settleOfferRow } from './import-offers.ts';
import { offersView } from './offers-view.ts';
import { sayOffers } from './say-offers.ts';

const gulls = withGulls();
const { seller, goal, plan } = buyingOn(gulls);
const read = async (text: string, usualSet = 'Gulls') => {
	const bytes = new TextEncoder().encode(text);
	return (await readOffers(bytes, { currency: 'EUR', usualSet })).outcome;
};
const kept = async () =>
	(await gulls.collection.db.select().from(offers)).map(
		({ version, quantity, condition, breaks }) =>
			[
				version.slice(11),
				`×${quantity}`,
				condition,
				...breaks.map(({ count, minor }) => `${count}:${minor}`)
			]
				.filter(Boolean)
				.join(' ')
	);
const LIST = [
	'Set;No.;Cond;Each;Lots;Stock',
	'Gulls 1996;1;NM;0,40;5 for 1,50;9',
	';2;;1.20;;',
	'Gulls 1996;9;EX;2;;1',
	'Gulls 1996;3;NM;-2;;1',
	'Gulls 1996;4;fine;2;;1',
	'Terns 1896;4;;2;;1',
	';3;EX;0.90;five for one;2'
].join('\n');

test('a seller’s list is taken in: columns guessed, what fits is offered, the rest waits with its reason; one step', async () => {
	const { collection } = gulls;
	const saved = await saveSeller(collection, null, draft('Ada'));
	if (!saved.ok) throw new RangeError('the seller was not kept');
	const { id } = saved.value;
	const rows = await read(LIST);
	if (!rows.ok) throw new RangeError(JSON.stringify(rows.problems));
	expect(await importOffers(collection, id, 'ada.csv', rows.value, {})).toMatchObject({
		value: { offers: 2, review: 5 }
	});
	expect(await kept()).toEqual(['base-1 ×9 near mint 1:40 5:150', 'base-2 ×1 1:120']);
	const waiting = await collection.db.select().from(offerRows);
	expect(waiting.map(({ reason, row }) => `${row.line}: ${reason}`)).toEqual([
		expect.stringMatching(/^4: Gulls has no 9/),
		expect.stringMatching(/^5: .*-2/),
		expect.stringMatching(/^6: "fine" is no condition/),
		expect.stringMatching(/^7: which release is "Terns 1896"/),
		expect.stringMatching(/^8: "five for one" is no price for several/)
	]);
	const at = (line: number) => {
		const found = waiting.find(({ row }) => row.line === line);
		if (!found) throw new RangeError(`no row of line ${line}`);
		return found.id;
	};
	// A condition that is no word of ours is settled by saying one; a price that is none cannot be.
	expect((await settleOfferRow(collection, at(6), 'gulls-1996', '4 ex')).ok).toBe(true);
	expect((await settleOfferRow(collection, at(5), 'gulls-1996', '3')).ok).toBe(false);
	expect((await settleOfferRow(collection, at(7), 'gulls-1996', '1-2')).ok).toBe(false);
	expect((await dropOfferRow(collection, at(7))).ok).toBe(true);
	expect((await dropOfferRow(collection, at(7))).ok).toBe(false);
	expect(await kept()).toEqual([
		...['base-1 ×9 near mint 1:40 5:150', 'base-2 ×1 1:120', 'base-4 ×1 excellent 1:200']
	]);
	// Read again, the same cards are replaced, not doubled.
	await importOffers(collection, id, 'ada.csv', rows.value, {});
	expect(await kept()).toHaveLength(3);
	expect(await collection.db.select().from(offerRows)).toHaveLength(5);
	for (let i = 0; i < 4; i++) await undo(collection);
	expect(await kept()).toEqual([]);
	await importOffers(collection, id, 'ada.csv', rows.value, {});
	expect((await removeSeller(collection, id)).ok).toBe(true);
	expect(await collection.db.select().from(offerRows)).toEqual([]);
});

test('XLSX is read as CSV is; a table without a price, or without cards, is refused', async () => {
	const sheet = LIST.split('\n').map((line) => line.split(';'));
	const bytes = await writeXlsx('List', sheet);
	const reading = await readOffers(bytes, { currency: 'EUR', usualSet: 'Gulls' });
	const csv = await read(LIST);
	expect(reading.outcome).toEqual(csv);
	const bad = await read('number,condition\n1,nm');
	expect(bad.ok ? [] : bad.problems.map(({ message }) => message)).toEqual([
		'no column says what a card costs'
	]);
	expect((await read('price\n1')).ok).toBe(false);
	expect((await read('number,price')).ok).toBe(false);
});

test('lots are typed behind a price, and the plan takes the cheaper of them', async () => {
	await goal(3);
	const ada = await seller('Ada', '1x3 0.40 nm (3 for 0.90)');
	expect(await kept()).toEqual(['base-1 ×3 near mint 1:40 3:90']);
	const { offers: listed } = await offersView(gulls.collection.db, ada, null);
	expect(listed).toMatchObject([{ lots: '3 for 0.90' }]);
	expect((await plan()).view.plan).toMatchObject({ covered: 3, cardsMinor: 90 });
	const bad = await sayOffers(gulls.collection, ada, {
		release: 'gulls-1996',
		line: '2 1 (1 for 2)'
	});
	expect(bad.ok ? '' : bad.problems[0]?.message).toBe('1 is no lot');
});

test('whose list to open next: of those not looked through, by what whole lists held', async () => {
	await goal();
	await seller('Ada', '1 1; 2 1; 3 1', { isListWhole: true });
	const bram = await seller('Bram', '1x5 0.20');
	await seller('Cleo', '1 9');
	const { next } = await offersView(gulls.collection.db, bram, null);
	expect(next.map(({ name }) => name)).toEqual(['Bram', 'Cleo']);
	// Three of four were found in the one whole list: (3 + 1) / (4 + 2); many of one card tell of more.
	expect(next.map(({ chance }) => Number(chance.toFixed(3)))).toEqual([
		Number(((3 + 4 * (4 / 6)) / 7).toFixed(3)),
		Number((4 / 6).toFixed(3))
	]);
	expect(next[0]?.open).toBe(3);
});

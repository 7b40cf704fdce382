import { unzipSync } from 'fflate';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { describe, expect, test } from 'vitest';
import { rowId, type CopyId, type ListingId } from '../../core/row-id.ts';
import type { ListingStep } from '../../core/selling/listings/listing.ts';
import { PAPERS } from '../../core/print/paper.ts';
import { removeRelease } from '../checklists/remove-release.ts';
import { editCopy } from '../copies/edit-copy.ts';
import { sendOut } from '../copies/outings.ts';
import { readCopies } from '../copies/read-copies.ts';
import { copies, listingCards, slips } from '../database/tables/index.ts';
import { makeGoal } from '../goals/make-goal.ts';
import { redo, undo } from '../journal/undo.ts';
import { addPhoto } from '../media/photos.ts';
import { readSlip } from '../storage/slips/slips.ts';
import { answerLine } from '../storage/slips/change-slips.ts';
import { standAsPlanned } from '../storage/plan/stand-as-planned.ts';
import { withStorage } from '../storage/storage.fixture.ts';
import { notePrices } from '../worth/prices/note-prices.ts';
import { buildView } from './building/build-view.ts';
import { dropBuild, keepBuild, type TypedBuild } from './building/keep-build.ts';
import { editListing } from './listings/edit-listing.ts';
import { exportListings } from './listings/export-listings.ts';
import { copiesOfSet } from './listings/list-set.ts';
import { listingsView } from './listings/listings-view.ts';
import { makeListings, type ListingDraft } from './listings/make-listings.ts';
import { packingSlip } from './listings/packing-slip.ts';
import { removeListing, stepListing, type TypedStep } from './listings/step-listing.ts';
import { lotsView } from './lots/lots-view.ts';
import { setParcelKinds } from './parcels/parcel-kinds.ts';
import { parcelsView } from './parcels/parcels-view.ts';
import { setSellingRules, type TypedSellingRules } from './selling-rules.ts';

const storage = withStorage();
const today = '1996-10-06';
const NOTHING: TypedStep = {
	buyer: '',
	price: '',
	charged: '',
	postage: '',
	supplies: '',
	fee: ''
};
const messages = (done: { ok: boolean; problems?: readonly { message: string }[] }) =>
	(done.problems ?? []).map(({ message }) => message);

/** Cards of 1992, logged and stood in boxes. */
async function standing(line: string): Promise<readonly CopyId[]> {
	await storage.release('a', '1992', 40);
	await storage.log('a', line);
	await standAsPlanned(storage.collection);
	return (await storage.collection.db.select({ id: copies.id }).from(copies)).map(({ id }) => id);
}
const owned = async () =>
	(await readCopies(storage.collection.db, rowId(1))).map(
		({ version, quantity, status }) => `${version} ${quantity} ${status}`
	);
const list = async (
	picks: ListingDraft['picks'],
	more: Partial<Omit<ListingDraft, 'picks'>> = {}
): Promise<ListingId> => {
	const draft = { kind: 'lot', channel: 'market', asking: '10', floor: '8', title: '' } as const;
	const done = await makeListings(storage.collection, [{ ...draft, ...more, picks }], 'EUR');
	if (!done.ok) throw new RangeError(messages(done).join('; '));
	return done.value.ids[0] as ListingId;
};
const take = (id: ListingId, step: ListingStep, more: Partial<TypedStep> = {}) =>
	stepListing(storage.collection, id, step, { ...NOTHING, ...more });
const view = () => listingsView(storage.collection.db, { words: '', copies: [] });

describe('listings', () => {
	test('sold by a pull slip, sent and gone, with its profit; each step is undone', async () => {
		const { collection } = storage;
		const [first, pile] = (await standing('1-3, 2x2')) as [CopyId, CopyId];
		await editCopy(collection, first, { costMinor: 150, currency: 'EUR' });
		await editCopy(collection, pile, { costMinor: 50, currency: 'EUR' });
		const id = await list([
			{ copyId: first, quantity: 1 },
			{ copyId: pile, quantity: 1 }
		]);
		expect(await owned()).toEqual([
			'a/base-1 1 to sell',
			'a/base-2 2 kept',
			'a/base-3 1 kept',
			'a/base-2 1 to sell'
		]);
		expect((await take(id, 'list')).ok).toBe(true);
		expect(messages(await take(id, 'send'))[0]).toMatch(/no step of a listing that is listed/);
		// 10 % of 9.00 and 2.00, and 0.30: the rule of the market.
		const sold = await take(id, 'sell', { buyer: ' Wren ', price: '9', charged: '2' });
		expect(sold.ok && sold.value.slip).not.toBeNull();
		const slip = await readSlip(collection.db, (sold.ok && sold.value.slip) as never);
		expect(slip?.lines.map(({ card, place }) => `${card} ${place?.box ?? ''}`)).toEqual([
			expect.stringMatching(/^1 Card 1 .+/),
			expect.stringMatching(/^2 Card 2 .+/)
		]);
		expect((await view()).groups).toMatchObject([
			{
				state: 'sold',
				listings: [{ buyer: 'Wren', soldMinor: 900, feeMinor: 140, slipId: slip?.id }]
			}
		]);
		const [line] = slip?.lines ?? [];
		await answerLine(
			collection,
			slip?.id as never,
			line?.id as never,
			'done',
			line?.place?.dividerId ?? null
		);
		expect((await storage.counts()).standing).toBe(4);
		expect((await take(id, 'pay')).ok).toBe(true);
		expect((await take(id, 'send', { postage: '1.60', supplies: '0.20' })).ok).toBe(true);
		expect(await owned()).toEqual(['a/base-2 2 kept', 'a/base-3 1 kept']);
		// A slip whose cards have all gone goes with them.
		expect(await collection.db.select().from(slips)).toHaveLength(0);
		// Also what was not ticked off the slip has left its place.
		expect(await storage.counts()).toEqual({ standing: 3, homeless: 0 });
		const { done, sums } = await view();
		// 9.00 + 2.00 − 1.40 − 1.60 − 0.20 = 7.80; the cards cost 2.00.
		expect(done).toMatchObject([{ state: 'done', netMinor: 780, profitMinor: 580 }]);
		expect(sums).toMatchObject([{ channel: 'market', sales: 1, profitMinor: 580, unknown: 0 }]);
		await undo(collection);
		expect(await owned()).toHaveLength(4);
		expect((await storage.counts()).standing).toBe(4);
		await redo(collection);
		expect((await take(id, 'return')).ok).toBe(true);
		expect(await owned()).toEqual([
			'a/base-2 2 kept',
			'a/base-3 1 kept',
			'a/base-1 1 spare',
			'a/base-2 1 spare'
		]);
		expect((await view()).done).toMatchObject([{ state: 'returned', profitMinor: -180 }]);
	});

	test('not sold after all: its slip goes; removed: its cards stay to be sold, and can be listed again', async () => {
		const { collection } = storage;
		const [first] = (await standing('1-2')) as [CopyId];
		const id = await list([{ copyId: first, quantity: 1 }], { kind: 'single' });
		const again = [{ copyId: first, quantity: 1 }];
		await expect(list(again)).rejects.toThrow(/1 Card 1 is in a listing already/);
		await take(id, 'sell');
		expect(await collection.db.select().from(slips)).toHaveLength(1);
		await take(id, 'unsell');
		expect(await collection.db.select().from(slips)).toHaveLength(0);
		expect((await view()).groups).toMatchObject([
			{ state: 'ready', listings: [{ soldMinor: null, title: 'A, 1 Card 1' }] }
		]);
		expect(
			(
				await editListing(collection, id, {
					...{ title: 'Gull', text: 'A gull.', channel: 'fair', asking: '3', floor: '2.50' }
				})
			).ok
		).toBe(true);
		expect(
			messages(
				await editListing(collection, id, {
					...{ title: ' ', text: '', channel: '', asking: '3', floor: '4' }
				})
			)
		).toEqual(['the floor is above what is asked', 'it has no title', 'no channel is named']);
		expect((await removeListing(collection, id)).ok).toBe(true);
		expect(await owned()).toContain('a/base-1 1 to sell');
		expect(await list(again)).toBeGreaterThan(0);
	});

	test('bad listings make none, and all is told; what is out or gone is not sent', async () => {
		const { collection } = storage;
		const [first, second] = (await standing('1-2')) as [CopyId, CopyId];
		await sendOut(collection, [{ copyId: second, quantity: 1 }], {
			...{ kind: 'loan', to: 'Wren', dueOn: null }
		});
		const draft = { kind: 'lot', channel: 'market', asking: '1', floor: '', title: '' } as const;
		const done = await makeListings(
			collection,
			[
				{ ...draft, picks: [{ copyId: first, quantity: 2 }] },
				{ ...draft, picks: [{ copyId: second, quantity: 1 }], asking: 'much' },
				{ ...draft, picks: [], channel: ' ' },
				{ ...draft, picks: [{ copyId: 99 as CopyId, quantity: 1 }], floor: '2' }
			],
			'EUR'
		);
		expect(messages(done).sort()).toEqual([
			'"much" is no amount',
			'a copy is gone',
			'a listing has no card',
			'no channel is named',
			'only 0 of 2 Card 2 are here',
			'only 1 of 1 Card 1 are here',
			'the floor is above what is asked'
		]);
		expect(await collection.db.select().from(listingCards)).toHaveLength(0);
		const id = await list([{ copyId: first, quantity: 1 }]);
		await take(id, 'sell');
		expect(messages(await take(id, 'send', { postage: 'much' }))).toEqual(['"much" is no amount']);
		await sendOut(collection, [{ copyId: first, quantity: 1 }], {
			...{ kind: 'look', to: 'Wren', dueOn: null }
		});
		expect(messages(await take(id, 'send'))[0]).toMatch(/1 of its cards are out of the house/);
		expect(messages(await take(99 as ListingId, 'list'))).toEqual(['this listing is gone']);
	});

	test('what came back of a release that is gone is told; the listing outlives it', async () => {
		const { collection } = storage;
		const [first] = (await standing('1')) as [CopyId];
		const id = await list([{ copyId: first, quantity: 1 }]);
		await take(id, 'sell');
		await take(id, 'send');
		await removeRelease(collection, 'a');
		expect(messages(await take(id, 'return'))).toEqual(['its release is no longer here']);
		expect((await view()).groups).toMatchObject([
			{ listings: [{ title: 'A, lot of 1 card, Base' }] }
		]);
	});

	test('as CSV and as a zip with photos, and a packing slip; formulas are harmless', async () => {
		const { collection } = storage;
		const [first, second] = (await standing('1-2')) as [CopyId, CopyId];
		const png = await sharp({ create: { width: 40, height: 60, channels: 3, background: '#345' } })
			.png()
			.toBuffer();
		await addPhoto(collection, first, png);
		const id = await list([{ copyId: first, quantity: 1 }], { title: '=1+1', kind: 'single' });
		const other = await list([{ copyId: second, quantity: 1 }], { kind: 'single' });
		const csv = (await exportListings(collection.db, 'csv', [])) as string;
		expect(csv.split('\r\n')[1]).toBe(
			`${id},single,'=1+1,"1 Card 1, from A (Base).",market,ready,10.00,EUR,1,photos/${id}-1.webp`
		);
		const zip = unzipSync((await exportListings(collection.db, 'zip', [])) as Uint8Array);
		expect(Object.keys(zip).sort()).toEqual(['listings.csv', `photos/${id}-1.webp`]);
		const photo = zip[`photos/${id}-1.webp`];
		expect((await sharp(photo).metadata()).format).toBe('webp');
		const [paper] = PAPERS;
		const ask = { ids: [id, other], paper: paper as never, now: '1996-10-06T09:00:00.000Z' };
		expect(await packingSlip(collection.db, ask)).toBeNull();
		await take(id, 'sell', { buyer: 'Wren' });
		const slip = await packingSlip(collection.db, ask);
		expect(
			Buffer.from(slip ?? [])
				.subarray(0, 5)
				.toString()
		).toBe('%PDF-');
		// What is sold is for sale no more.
		expect(await exportListings(collection.db, 'csv', [])).not.toContain('=1+1');
		expect(await exportListings(collection.db, 'csv', [id])).toContain('=1+1');
	});

	test('a whole set is what fills a set of a goal, and says what it lacks', async () => {
		const { collection } = storage;
		await standing('1-40, 2x2, 3x2');
		const rules = { preset: 'complete', sets: 2 } as const;
		const goal = await makeGoal(collection, { release: 'a', rules, name: '' });
		const id = goal.ok ? goal.value.id : rowId<'goals'>(99);
		const [whole, second] = [
			await copiesOfSet(collection.db, id, 1),
			await copiesOfSet(collection.db, id, 2)
		];
		expect(whole.ok && whole.value.reduce((sum, { quantity }) => sum + quantity, 0)).toBe(40);
		expect(second).toMatchObject({
			...{ ok: true, notes: [{ message: '38 of its 40 cards are missing' }] },
			value: [{ quantity: 1 }, { quantity: 1 }]
		});
		expect(messages(await copiesOfSet(collection.db, id, 3))).toEqual([
			expect.stringMatching(/nothing fills set 3/)
		]);
	});
});

const RULES: TypedSellingRules = {
	channels: 'fair: 0 %\nmarket: 10 % + 0.30',
	bands: 'from 0: lots of 3, fair\nfrom 1.00: singles, market',
	...{ sellsInserts: true, sellsDoubles: true, askPercent: 100, floorPercent: 80, lotPercent: 50 },
	unpriced: ''
};

describe('lots and singles by rule', () => {
	test('of very many cards a release is chosen first; it, or all, are dealt where they are asked for', async () => {
		const { collection } = storage;
		await storage.release('a', '1992', 9);
		for (let i = 0; i < 20; i++) await storage.log('a', '1x5000');
		await setSellingRules(collection, { ...RULES, unpriced: '0.05' });
		const deal = async (release: string | null) => {
			const { toChooseFrom, all, releases } = await lotsView(collection.db, { release, today });
			return { toChooseFrom, hasLots: all > 0, releases: releases.length };
		};
		expect(await deal(null)).toEqual({ toChooseFrom: 0, hasLots: true, releases: 1 });
		await storage.log('a', '2');
		expect(await deal(null)).toEqual({ toChooseFrom: 100_001, hasLots: false, releases: 1 });
		for (const asked of ['', 'a'])
			expect(await deal(asked)).toEqual({ toChooseFrom: 0, hasLots: true, releases: 1 });
	});

	test('doubles, spares and parallels go by their prices; what a goal needs, the first of each and what is listed stays', async () => {
		const { collection } = storage;
		await standing('1-6, 2x3, 3x2, 4 brass, 5 brass');
		await setSellingRules(collection, RULES);
		const more = {
			house: '',
			source: '',
			on: '1996-09-01',
			currency: 'EUR',
			kind: 'sale'
		} as const;
		await notePrices(collection, { release: 'a', line: '2 0.20; 3 1.50; 4 brass 4', ...more });
		const lots = async () =>
			(await lotsView(collection.db, { release: null, today })).lots.map(
				({ title, channel, worthMinor, askMinor }) =>
					`${title} ${channel} ${worthMinor} ${askMinor}`
			);
		expect(await lots()).toEqual([
			'A, 4 Card 4, Base, Brass market 400 400',
			'A, 3 Card 3 market 150 150',
			'A, 3 Card 3 market 150 150',
			'A, lot of 3 cards, Base fair 60 30'
		]);
		// The other Brass card has no price: it is told, and counts as nothing.
		await setSellingRules(collection, { ...RULES, unpriced: '0.05' });
		const { unpriced } = await lotsView(collection.db, { release: 'a', today });
		expect(unpriced).toMatchObject({
			cards: 1,
			names: [{ name: '5 Card 5', group: 'Base, Brass' }]
		});
		// A goal that asks for the parallel keeps it.
		const rules = { preset: 'parallel-run', parallel: 'brass' } as const;
		await makeGoal(collection, { release: 'a', rules, name: '' });
		expect(await lots()).toEqual([
			'A, 3 Card 3 market 150 150',
			'A, 3 Card 3 market 150 150',
			'A, lot of 3 cards, Base fair 60 30'
		]);
		const [row] = await collection.db.select().from(copies).where(eq(copies.cardKey, 'base-3'));
		await list([{ copyId: row?.id as CopyId, quantity: 1 }]);
		expect(await lots()).toEqual([
			'A, 3 Card 3 market 150 150',
			'A, lot of 3 cards, Base fair 60 30'
		]);
	});

	test('bad rules change none, and all is told', async () => {
		const bands = 'from 0: singles, nowhere';
		expect(
			messages(await setSellingRules(storage.collection, { ...RULES, bands: 'x', unpriced: 'y' }))
		).toEqual(['line 1: "x" is not understood', '"y" is no amount']);
		expect(messages(await setSellingRules(storage.collection, { ...RULES, bands }))).toEqual([
			'there is no channel "nowhere"'
		]);
	});
});

const BUILD: TypedBuild = {
	...{
		release: 'a',
		parts: 'key 1 Lamp worth 9: 6\nRest: 10 for 4 sets, 1 there',
		sales: '4 at 20'
	},
	...{ supplies: '1', packing: '', postage: '', fixed: '2', feePercent: 10 },
	...{ hoursFixed: 0, hoursPerSet: 1, mostSets: 6 }
};

describe('building to sell, and parcels', () => {
	test('a plan is begun from the price book, kept, reckoned, and goes with its release', async () => {
		const { collection } = storage;
		await storage.release('a', '1992', 40);
		const ask = { release: null, sets: null, today };
		const fresh = await buildView(collection.db, ask);
		expect(fresh.release !== null && [fresh.isKept, fresh.parts]).toEqual([false, 'All 40 cards']);
		expect((await keepBuild(collection, BUILD)).ok).toBe(true);
		const kept = await buildView(collection.db, ask);
		// By hand, 4 sets: 80 − 8 of fees − 24 for lamps − 10 for the lot − 4 − 2 = 32.
		expect(kept).toMatchObject({
			isKept: true,
			parts: 'key 1 Lamp worth 9.00: 6.00\nRest: 10.00 for 4 sets, 1 there',
			plan: { verdict: 'build', bestSets: 4, keyShare: 0.45 },
			close: { sets: 4, profitMinor: 3200 }
		});
		expect(
			messages(await keepBuild(collection, { ...BUILD, parts: 'A: x', sales: 'y', fixed: 'z' }))
		).toEqual(['line 1: "x" is no amount in EUR', '"y" is not understood', '"z" is no amount']);
		expect((await dropBuild(collection, 'a')).ok).toBe(true);
		await undo(collection);
		expect(await removeRelease(collection, 'a')).toBe(true);
		await undo(collection);
		expect(await buildView(collection.db, ask)).toMatchObject({ isKept: true });
	});

	// ● Three 550-count boxes in a medium parcel; five in the long flat one. Common practice, no source.
	test('● the parcels that come with the program hold what the trade says, to each buyer apart', async () => {
		const { collection } = storage;
		const boxes = (kind: string, quantity: number, buyer = '') => ({
			...{ kind, quantity, buyer, cards: null, staysUpright: false }
		});
		const medium = await parcelsView(collection.db, [boxes('550', 3)]);
		expect(medium).toMatchObject({ isProven: true });
		const flat =
			'medium: 285 x 245 x 145 mm, up to 22.679 kg, 160 g empty; flat 15\nlong flat: 600 x 300 x 82 mm, up to 22.679 kg; flat 20';
		expect((await setParcelKinds(collection, flat)).ok).toBe(true);
		const parcels = async (...sent: Parameters<typeof parcelsView>[1][number][]) =>
			(await parcelsView(collection.db, sent)).plans.map(({ buyer, parcels: some }) => [
				buyer,
				some.map(({ parcel, steps }) => `${parcel} ${steps.length}`)
			]);
		expect(await parcels(boxes('550', 3))).toEqual([['', ['medium 3']]]);
		expect(await parcels(boxes('550', 5))).toEqual([['', ['long flat 5']]]);
		expect(await parcels(boxes('800', 2), boxes('550', 2), boxes('550', 1, 'Wren'))).toEqual([
			['', ['long flat 4']],
			['Wren', ['medium 1']]
		]);
		expect(await parcelsView(collection.db, [boxes('x', 1)])).toMatchObject({
			problems: [{ message: 'there is no box "x"' }]
		});
		expect(await parcelsView(collection.db, [boxes('5000', 1)])).toMatchObject({
			plans: [{ parcels: [], left: [{ quantity: 1 }] }]
		});
		expect(messages(await setParcelKinds(collection, 'box'))[0]).toMatch(/not understood/);
		await undo(collection);
	});
});

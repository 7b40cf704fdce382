import { describe, expect, test } from 'vitest';
import { addCopy } from '../copies/edit-copy.ts';
import { readCopies } from '../copies/read-copies.ts';
import { nextSteps, undo } from '../journal/undo.ts';
import { binderSupplies } from './binder-supplies.ts';
import { withBinder } from './binder.fixture.ts';
import { changeBinder, swapPockets } from './change-binder.ts';
import { lieAsPlanned } from './move-cards.ts';
import { addKind, removeKind } from '../kinds/own-kinds.ts';
import { openSide } from './side.ts';
import { readPrices, setPrices } from './supply-prices.ts';
import { rowId } from '../../core/row-id.ts';

const at = withBinder();

describe('a layout', () => {
	test('is changed once, renamed, and undone; a binder of an earlier commit has the usual rest', async () => {
		const layout = { order: 'rarity', blockStart: 'runs-on', missing: 'close-up' } as const;
		await changeBinder(at.collection, at.binder, { layout });
		await changeBinder(at.collection, at.binder, { layout });
		expect((await at.state()).layout).toMatchObject({
			...layout,
			pageKind: '2x2',
			variants: 'beside'
		});
		await changeBinder(at.collection, at.binder, { name: 'Else', layout: {} });
		expect((await nextSteps(at.collection.db)).undo?.label).toBe('Rename B to Else');
		for (let i = 0; i < 2; i++) await undo(at.collection);
		expect((await at.state()).layout.order).toBe('number');
	});

	test('an unknown kind is refused, and so is a binder that is gone', async () => {
		const layout = { pageKind: '9x9', binderKind: 'bag' };
		expect(await changeBinder(at.collection, at.binder, { layout })).toMatchObject({
			ok: false,
			problems: [{ field: 'pageKind' }, { field: 'binderKind' }]
		});
		expect(await changeBinder(at.collection, rowId(99), {})).toMatchObject({ ok: false });
	});

	test('swapping two pockets makes the order one’s own, blanks included', async () => {
		expect(
			await swapPockets(at.collection, at.binder, { page: 1, pocket: 0 }, { page: 2, pocket: 3 })
		).toMatchObject({ ok: true });
		const { plan, layout } = await at.state();
		expect(layout.order).toBe('by-hand');
		expect(
			plan.pages.map(({ pockets }) => pockets.map((key) => key?.slice(7) ?? '.').join(' '))
		).toEqual(['. 2 3 4', '5 6 . 1']);
		// Two empty pockets, or one that is not there: nothing to swap.
		expect(
			await swapPockets(at.collection, at.binder, { page: 1, pocket: 0 }, { page: 2, pocket: 2 })
		).toMatchObject({ ok: false });
		expect(
			await swapPockets(at.collection, at.binder, { page: 1, pocket: 9 }, { page: 1, pocket: 1 })
		).toMatchObject({ ok: false });
		await undo(at.collection);
		expect((await at.state()).layout.order).toBe('number');
		// Chosen from the list, the own order begins as it lies.
		await changeBinder(at.collection, at.binder, { layout: { order: 'by-hand' } });
		expect((await at.state()).layout.ownOrder).toHaveLength(8);
	});
});

describe('cards kept elsewhere', () => {
	const cardOf = async (number: number) => (await at.state()).cards.get(`r/base-${number}`);

	test('graded, in a holder or at another place: a placeholder says where; a spare stands in once', async () => {
		await addCopy(at.collection, 'r/base-1', { grade: 8, place: 'Bank box' });
		await addCopy(at.collection, 'r/base-2', { holder: 'top-loader-35' });
		await addCopy(at.collection, 'r/base-3', { place: 'b' });
		expect(await cardOf(1)).toMatchObject({ inPocket: null, pulledOut: 'graded 8, Bank box' });
		expect(await cardOf(2)).toMatchObject({ inPocket: null, pulledOut: 'Top loader, 35 pt' });
		// A place that is the binder itself is no other place.
		expect(await cardOf(3)).not.toHaveProperty('pulledOut');
		expect(await at.slip()).toHaveLength(1);
		await at.log('1');
		expect(await cardOf(1)).toMatchObject({ inPocket: null });
		await changeBinder(at.collection, at.binder, { layout: { pulled: 'stand-in' } });
		const spare = (await readCopies(at.collection.db, rowId(1))).find(
			({ condition }) => condition === 'good'
		);
		expect(await cardOf(1)).toMatchObject({
			inPocket: spare?.key,
			pulledOut: 'graded 8, Bank box'
		});
		expect(await cardOf(2)).toMatchObject({ inPocket: null });
	});

	test('of two equal copies the one that lies in the pocket fills the slot', async () => {
		await addCopy(at.collection, 'r/base-1', { condition: 'good', note: 'first' });
		await addCopy(at.collection, 'r/base-1', { condition: 'good', note: 'second' });
		await lieAsPlanned(at.collection, at.binder);
		const [lying] = (await at.state()).now;
		const before = (await cardOf(1))?.inPocket;
		expect(lying?.copy).toBe(before);
		// A better one takes its place: the old one comes out, the new one goes in.
		await addCopy(at.collection, 'r/base-1', { condition: 'mint' });
		expect((await at.slip()).map((step) => step.split(' | ')[0])).toEqual(['take out', 'put in']);
	});
});

describe('own kinds and prices', () => {
	const large = {
		name: 'Large',
		rows: 4,
		columns: 5,
		pocketWidthMm: 70,
		pocketHeightMm: 95,
		loading: 'top',
		thickestPt: 40
	} as const;

	test('a page of one’s own is added once, used, and stays while it is', async () => {
		expect(await addKind(at.collection, { sort: 'page', kind: large })).toMatchObject({
			value: { key: 'own-large' }
		});
		expect(
			await addKind(at.collection, { sort: 'page', kind: { ...large, name: 'LARGE' } })
		).toMatchObject({ ok: false, problems: [{ field: 'name' }] });
		expect(
			await addKind(at.collection, { sort: 'page', kind: { ...large, name: '3 × 3' } })
		).toMatchObject({ ok: false });
		await changeBinder(at.collection, at.binder, { layout: { pageKind: 'own-large' } });
		expect((await at.state()).plan.pages[0]?.pockets).toHaveLength(20);
		expect(await removeKind(at.collection, 'page', 'own-large')).toMatchObject({ ok: false });
		await undo(at.collection);
		expect(await removeKind(at.collection, 'page', 'own-large')).toMatchObject({ ok: true });
		expect(await removeKind(at.collection, 'binder', 'own-large')).toMatchObject({ ok: false });
	});

	test('a binder of one’s own splits the volumes', async () => {
		const kind = { name: 'Thin', mostLeaves: 1, spineDepthMm: 10 };
		await addKind(at.collection, { sort: 'binder', kind });
		await changeBinder(at.collection, at.binder, {
			layout: { binderKind: 'own-thin', cardsAPocket: 1 }
		});
		expect((await at.state()).plan.volumes).toHaveLength(2);
	});

	test('prices of a form: all problems at once; what is saved is reckoned in whole packs', async () => {
		const form = (rows: readonly (readonly [string, string, string])[], currency: string) => {
			const column = (i: 0 | 1 | 2) => rows.map((row) => row[i]);
			return readPrices({ currency, key: column(0), price: column(1), packOf: column(2) });
		};
		expect(form([['a', '1.x', '0']], 'euro')).toMatchObject({
			ok: false,
			problems: [{ field: 'currency' }, { field: 'price' }, { field: 'packOf' }]
		});
		const read = form(
			[
				['page:2x2', '3,50', '10'],
				['divider', '', '1']
			],
			'eur'
		);
		if (!read.ok) throw new RangeError('the form was refused');
		await setPrices(at.collection, read.value);
		const { list, tried } = await binderSupplies(at.collection.db, await at.state());
		expect(list.lines.find(({ key }) => key === 'page:2x2')).toMatchObject({
			packs: 1,
			costMinor: 350,
			currency: 'EUR'
		});
		expect(tried.length).toBeGreaterThan(4);
		await setPrices(at.collection, [['page:2x2', null]]);
		expect((await binderSupplies(at.collection.db, await at.state())).prices).toEqual([]);
	});
});

test('a side is a at.binder, or a release as numbered; anything else is none', async () => {
	await at.log('1');
	expect(await openSide(at.collection.db, `binder-${at.binder}`)).toMatchObject({ name: 'B' });
	const release = await openSide(at.collection.db, 'release-r');
	expect(release?.pages).toHaveLength(1);
	expect(release?.faces.filter(({ state: of }) => of === 'here')).toHaveLength(1);
	for (const key of ['binder-99', 'binder-x', 'release-none', '', 'x']) {
		expect(await openSide(at.collection.db, key)).toBeNull();
	}
});

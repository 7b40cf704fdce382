import { expect, test } from 'vitest';
import { removeRelease } from '../../checklists/remove-release.ts';
import { withGulls } from '../../gulls.fixture.ts';
import { undo } from '../../journal/undo.ts';
import { setExchangeRates } from '../../preferences/exchange-rates.ts';
import { offersView } from '../offers/offers-view.ts';
import { removeOffer, sayOffers } from '../offers/say-offers.ts';
import { removeSeller, saveHub, saveSeller } from '../sellers/edit-sellers.ts';
import { buyingOn, draft } from '../buying.fixture.ts';
import { fairLot, fairView } from './fair-view.ts';
import { readPlanChoice } from './read-plan-choice.ts';

const gulls = withGulls();
const { seller, goal, plan } = buyingOn(gulls);

test('the plan is the cheapest of what is wanted from what is offered, told as it goes, with the rest beside it', async () => {
	await gulls.log('4');
	await goal();
	await seller('Ada', '1 1.00; 2 1.00 nm; 3 9');
	const bram = await seller('Bram', '1 0.10; 2 0.10; 3 8');
	// Apart: 0.10 + 0.10 + 8 and 5.00 at one, or two postages.
	const { view, orders, told } = await plan();
	expect(orders).toEqual(['Bram direct 1 2 3']);
	expect(view.plan).toMatchObject({ totalMinor: 1320, covered: 3, left: [] });
	expect(view).toMatchObject({ isProven: true, boundMinor: 1320, asked: 3 });
	expect(told.at(-1)?.totalMinor).toBe(1320);
	expect(told.filter(({ plan: some }) => some).length).toBeGreaterThan(0);
	expect(view.report.second).toMatchObject({ totalMinor: 1600 });
	expect((await plan(`without=${bram}`)).orders).toEqual(['Ada direct 1 2 3']);
	expect((await plan('budget=6')).view.plan).toMatchObject({ covered: 2, totalMinor: 520 });
	// Two cards for 5.20 are 2.60 each.
	expect((await plan('leaveOut=3')).orders).toEqual(['Bram direct 1 2']);
	expect((await plan('leaveOut=2.50')).orders).toEqual([]);
	// At a fair: what the plan costs less without a card; the last one saves the order too.
	const fair = await fairView(gulls.collection.db, () => undefined);
	expect(
		fair.wants.map(({ name, worthMinor, by, seller: whose }) => [name, worthMinor, by, whose])
	).toEqual([
		['1', 10, 'plan', 'Bram'],
		['2', 10, 'plan', 'Bram'],
		['3', 800, 'plan', 'Bram']
	]);
	// Together the three save the order with its postage; two of them save what they cost.
	const lot = async (...some: readonly number[]) =>
		fairLot(
			gulls.collection.db,
			some.map((i) => fair.wants[i]?.key ?? '')
		);
	expect(await lot(0, 1)).toEqual({ currency: 'EUR', cards: 2, worthMinor: 20, unknown: 0 });
	expect((await lot(0, 1, 2)).worthMinor).toBe(1320);
	await removeSeller(gulls.collection, bram);
	expect((await plan()).view.plan.totalMinor).toBe(1600);
	await undo(gulls.collection);
	expect((await plan()).view.plan.totalMinor).toBe(1320);
});

test('sets want a card twice, a bundle comes shipped, the hub gathers, other money needs a rate', async () => {
	const { collection } = gulls;
	await goal(2);
	await seller('Ada', '1x9 0.50; 2x9 0.50', { toHub: '0.40' });
	await seller('Bram', '3x9 0.50; 4x9 0.50', { toHub: '0.40' });
	expect((await plan()).view.plan.totalMinor).toBe(400 + 1000);
	await saveHub(collection, { name: 'Hob', currency: 'EUR', forwarding: '1–20: 3', days: null });
	expect((await plan()).orders).toEqual(['Ada hub 1 2', 'Bram hub 3 4']);
	expect((await plan()).view.plan).toMatchObject({
		totalMinor: 400 + 80 + 300,
		forwardingMinor: 300
	});
	const carl = await seller('Carl', 'all commons 2 (shipped)', { currency: 'USD' });
	expect((await plan()).view.problems[0]?.message).toMatch(
		/Carl sells in USD, and no rate leads to EUR/
	);
	await setExchangeRates(collection, [{ from: 'USD', to: 'EUR', rate: 0.5 }]);
	const bundled = await plan();
	expect(bundled.view.plan.orders.flatMap(({ bundles }) => bundles)).toHaveLength(1);
	expect(bundled.view.plan).toMatchObject({ covered: 8, totalMinor: 100 + 200 + 80 + 300 });
	const listed = await offersView(collection.db, carl, null);
	expect(listed.bundles).toMatchObject([{ words: 'all commons', isShipped: true, cards: 4 }]);
	await removeOffer(collection, { bundle: listed.bundles[0]?.id ?? 0 });
	expect((await plan()).view.plan.totalMinor).toBe(780);
	expect((await removeRelease(collection, 'gulls-1996')) && (await plan()).view.asked).toBe(0);
});

test('what is wrong with a seller or a line of offers is named, all of it, and nothing is kept', async () => {
	const { collection } = gulls;
	await goal();
	const wrong = await saveSeller(
		collection,
		null,
		draft('Ada', { direct: '1–20: 4; 25+: 6', toHub: '-1', leastOrder: 'much' })
	);
	expect(wrong.ok ? [] : wrong.problems.map(({ field }) => field)).toEqual([
		'direct',
		'toHub',
		'leastOrder'
	]);
	const ada = await seller('Ada', '1 0.50');
	expect(await saveSeller(collection, null, draft('Ada'))).toMatchObject({
		problems: [{ field: 'name', message: 'there is a seller called "Ada" already' }]
	});
	const line = await sayOffers(collection, ada, {
		release: 'gulls-1996',
		line: '2 1–2; 9 1; 3 -1'
	});
	expect(line.ok ? [] : line.problems).toHaveLength(2);
	expect(await sayOffers(collection, ada, { release: 'gulls-1996', line: '2 1–2' })).toMatchObject({
		problems: [{ message: 'base-2 is offered from one price to another' }]
	});
	expect((await sayOffers(collection, ada, { release: 'none', line: '1 1' })).ok).toBe(false);
	await sayOffers(collection, ada, { release: 'gulls-1996', line: '1x4 0.30' });
	const { offers } = await offersView(collection.db, ada, null);
	expect(offers).toMatchObject([{ name: '1 Gull 1', quantity: 4, minor: 30, isWanted: true }]);
});

test('a plan is not made of what cannot be read: all of it is named', () => {
	const read = readPlanChoice(
		new URLSearchParams('sellers=0&days=soon&budget=20x&leaveOut=-1&with=x'),
		'EUR'
	);
	expect(read.ok ? [] : read.problems.map(({ field }) => field)).toEqual([
		...['sellers', 'days', 'budget', 'leaveOut', 'with']
	]);
	expect(readPlanChoice(new URLSearchParams('sellers=&budget=20,50'), 'EUR')).toMatchObject({
		ok: true,
		value: { budgetMinor: 2050 }
	});
});

test('a bundle holds as many of a card as is said; a seller asked for who has nothing is named', async () => {
	await goal(3);
	const ada = await seller('Ada', '1x3 1 together; 2x3 4');
	const { bundles } = await offersView(gulls.collection.db, ada, null);
	expect(bundles).toMatchObject([{ words: '1x3', cards: 3, minor: 100 }]);
	expect((await plan()).view.plan).toMatchObject({ covered: 6, totalMinor: 500 + 100 + 1200 });
	const bram = await saveSeller(gulls.collection, null, draft('Bram'));
	const { view } = await plan(`with=${bram.ok ? bram.value.id : 0}`);
	expect(view.problems[0]?.message).toBe('Bram offers nothing that is wanted');
});

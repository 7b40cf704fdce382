import { expect, test } from 'vitest';
import { sendOut } from '../../copies/outings.ts';
import { copies } from '../../database/tables/index.ts';
import { withGulls } from '../../gulls.fixture.ts';
import { undo } from '../../journal/undo.ts';
import { setFriend } from '../../pile/friend-lists.ts';
import { buyingOn } from '../buying.fixture.ts';
import { sayPrices } from '../prices/say-prices.ts';
import { recordTrade } from './record-trade.ts';
import { tradesView, type TradeChoice } from './trades-view.ts';

const gulls = withGulls();
const { goal } = buyingOn(gulls);
const usual: TradeChoice = {
	...{ friend: 'Mara', toleranceMinor: 100, unpricedMinor: null, fixed: [], without: [] }
};
const view = (more: Partial<TradeChoice> = {}) =>
	tradesView(gulls.collection.db, { ...usual, ...more });
const names = (
	options: readonly { readonly key: string; readonly name: string }[],
	keys: readonly string[] = []
) => keys.map((key) => options.find((option) => option.key === key)?.name);

test('what is spare goes to whom wants it, for what is missing, even by the price book; recorded and undone as one step', async () => {
	const { collection } = gulls;
	await gulls.log('1x3 2x2');
	const id = await goal();
	const prices = await sayPrices(collection, id, {
		...{ release: 'gulls-1996', source: '', line: '1 2; 2 3; 3 4; 4 6' }
	});
	expect(prices.ok).toBe(true);
	const lists = { want: 'Gulls: 1x2 2x5 4', give: 'gulls-1996: 3 4 1' };
	expect((await setFriend(collection, 'Mara', lists)).ok).toBe(true);
	const first = await view();
	// Two of three 1s and one of two 2s are over; 1 is not missing, 4 is not there.
	expect(first.give.map(({ name, minor }) => `${name} ${minor}`)).toEqual([
		'1 Gull 1 200',
		'1 Gull 1 200',
		'2 Gull 2 300'
	]);
	expect(first.take.map(({ name, minor }) => `${name} ${minor}`)).toEqual([
		'3 Gull 3 400',
		'4 Gull 4 600'
	]);
	expect(first.spares).toMatchObject({ cards: 3, text: 'Gulls: 1 Gull 1 × 2, 2 Gull 2' });
	// Most cards within 1.00: 2 + 2 + 3 for 6, or for none more.
	expect(names(first.give, first.match.best?.give)).toEqual(['1 Gull 1', '1 Gull 1', '2 Gull 2']);
	expect(names(first.take, first.match.best?.take)).toEqual(['4 Gull 4']);
	expect((await view({ without: ['take gulls-1996/base-4 0'] })).match.best).toMatchObject({
		...{ giveMinor: 400, takeMinor: 400 }
	});
	const { give = [], take = [] } = first.match.best ?? {};
	const optionOf = new Map([...first.give, ...first.take].map((option) => [option.key, option]));
	const before = await collection.db.select().from(copies);
	const traded = await recordTrade(collection, {
		...{ friend: 'Mara', giveMinor: 700, currency: 'EUR' },
		give: give.map((key) => ({ copyId: optionOf.get(key)?.copyId ?? (0 as never), quantity: 1 })),
		take: take.map((key) => ({ version: optionOf.get(key)?.version ?? '', quantity: 1 }))
	});
	expect(traded).toMatchObject({ ok: true, value: { given: 3, taken: 1 } });
	expect(await gulls.copies()).toEqual(['base-1 1', 'base-2 1', 'base-4 1']);
	expect((await collection.db.select().from(copies)).at(-1)).toMatchObject({
		...{ source: 'Mara', costMinor: 700, status: 'kept' }
	});
	await undo(collection);
	expect(await collection.db.select().from(copies)).toEqual(before);
});

test('a card without a price is left out, or counts what is said; what is gone or goes one way is named', async () => {
	const { collection } = gulls;
	await gulls.log('1x3');
	await goal();
	await setFriend(collection, 'Mara', { want: 'Gulls: 1x2', give: 'Gulls: 3' });
	expect((await view()).match.best).toBeNull();
	expect((await view({ unpricedMinor: 50 })).match.best).toMatchObject({
		giveMinor: 100,
		takeMinor: 50
	});
	const [copy] = await collection.db.select().from(copies);
	const trade = { friend: 'Mara', giveMinor: 0, currency: 'EUR' };
	const [give, take] = [
		[{ copyId: copy?.id ?? (0 as never), quantity: 9 }],
		[{ version: 'gulls-1996/base-3', quantity: 1 }]
	];
	for (const wrong of [
		{ give, take },
		{ give: [], take },
		{ give, take: [] }
	]) {
		expect((await recordTrade(collection, { ...trade, ...wrong })).ok).toBe(false);
	}
	expect(await gulls.copies()).toEqual(['base-1 3']);
	// Two are lent: of the other none is spare, and nobody gives what is out.
	const lent = [{ copyId: give?.[0]?.copyId ?? (0 as never), quantity: 2 }];
	const said = { kind: 'loan', to: 'Ada', dueOn: null } as const;
	expect((await sendOut(collection, lent, said)).ok).toBe(true);
	expect((await view()).give).toEqual([]);
	const refused = await recordTrade(collection, { ...trade, give: lent, take: take ?? [] });
	expect(refused.ok ? [] : refused.problems).toMatchObject([
		{ pointer: '/give', message: 'a card that is given is out' }
	]);
	expect(await gulls.copies()).toEqual(['base-1 3']);
});

test('a friend’s lists are lines or CSV; what they name wrongly is told by line, and nothing is changed', async () => {
	const { collection } = gulls;
	const csv = 'Set,No.,Finish,Count\nGulls,1,,2\nGulls,3,Slate,';
	expect((await setFriend(collection, 'Mara', { want: csv, give: '' })).ok).toBe(true);
	expect((await view()).lists.want).toBe('Gulls: 1x2, Slate 3');
	const bad = await setFriend(collection, 'Mara', {
		want: 'Set,No.,Count\nGulls,,1\nGulls,2,none',
		give: 'Gulls: 99\nNowhere: 1'
	});
	expect(bad.ok ? [] : bad.problems.map(({ field, line }) => `${field} ${line}`)).toEqual([
		'want 2',
		'want 3',
		'give 1',
		'give 2'
	]);
	expect((await setFriend(collection, ' ', { want: '', give: '' })).ok).toBe(false);
	expect((await view()).lists.want).toBe('Gulls: 1x2, Slate 3');
	await setFriend(collection, 'Mara', { want: '', give: '' });
	expect((await view()).friends).toEqual([]);
});

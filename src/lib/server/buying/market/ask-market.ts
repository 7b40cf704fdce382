import { and, eq, inArray, isNotNull, ne } from 'drizzle-orm';
import { isNews } from '../../../core/buying/market/practice-market.ts';
import { middleOf } from '../../../core/worth/prices/price.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { Collection } from '../../database/open.ts';
import { insertOne } from '../../database/record.ts';
import { offers, orders, releases, sellers } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { readWants } from '../wants/read-wants.ts';
import { passDays, practiceMarket, PRACTICE_MARKET } from './practice.ts';

/** What a card counts of which no price is known. */
const USUAL_MINOR = 50;

/** Asks the practice market what it offers of what is wanted; its stalls stand among the sellers then. */
export async function askMarket(
	collection: Collection
): Promise<Outcome<{ readonly sellers: number; readonly offers: number }>> {
	const { wants, rules } = await readWants(collection.db);
	return makeChange(collection, async (record, tx) => {
		if (wants.length === 0) {
			const message = 'nothing is wanted';
			return refused([{ message, remedy: 'Say which goals are to be finished.' }]);
		}
		const market = practiceMarket(record, tx);
		const asked = new Map(
			wants.flatMap(({ versions, price, inSum }) => {
				const usual = price ? middleOf(price) : (inSum?.eachMinor ?? USUAL_MINOR);
				const usualMinor = Math.max(1, Math.round(usual));
				return versions.map((version) => [version, { version, usualMinor }] as const);
			})
		);
		const stalls = await market.listings([...asked.values()]);
		const heads = await tx.select({ id: releases.id, key: releases.key }).from(releases);
		const idOf = new Map(heads.map(({ id, key }) => [key, id]));
		const known = await tx.select().from(sellers);
		const seenOn = collection.now().slice(0, 10);
		let count = 0;
		for (const stall of stalls) {
			const { key: marketKey, direct, toHub, days, daysToHub } = stall;
			const values = { direct, toHub, days, daysToHub, currency: rules.currency };
			const same = known.find(
				(each) => each.market === PRACTICE_MARKET && each.marketKey === marketKey
			);
			let { id } = same ?? {};
			if (id === undefined) {
				const taken = known.some(({ name }) => name === stall.name);
				const name = taken ? `${stall.name} (${market.name})` : stall.name;
				const of = { market: PRACTICE_MARKET, marketKey, isListWhole: true, note: market.name };
				({ id } = await insertOne(record, sellers, { ...values, ...of, name }));
			} else await record.update(sellers, id, values);
			const before = await tx.select().from(offers).where(eq(offers.sellerId, id));
			await record.remove(
				offers,
				before.map((offer) => offer.id)
			);
			const sellerId = id;
			const fresh = stall.offers.flatMap(({ version, quantity, condition, minor }) => {
				const releaseId = idOf.get(version.split('/')[0] ?? '');
				if (releaseId === undefined) return [];
				const breaks = [{ count: 1, minor }];
				return [{ sellerId, releaseId, version, quantity, condition, breaks, seenOn }];
			});
			await record.insert(offers, fresh);
			count += fresh.length;
		}
		const value = { sellers: stalls.length, offers: count };
		return { value: good(value), label: `Ask the ${market.name.toLowerCase()}` };
	});
}

/** Lets days pass at the practice market, and brings its orders to where they are then. */
export function waitAtMarket(
	collection: Collection,
	days: number
): Promise<Outcome<{ readonly day: number; readonly moved: number }>> {
	return makeChange(collection, async (record, tx) => {
		const day = await passDays(record, tx, days);
		const open = await tx
			.select()
			.from(orders)
			.where(and(isNotNull(orders.reference), ne(orders.state, 'here')));
		const states = await practiceMarket(record, tx).states(
			open.flatMap(({ reference }) => reference ?? [])
		);
		let moved = 0;
		for (const { id, way, state, reference } of open) {
			const next = states.get(reference ?? '');
			if (!next || !isNews(way, state, next)) continue;
			await record.update(orders, id, { state: next, stateOn: collection.now().slice(0, 10) });
			moved++;
		}
		const label = `${days === 1 ? 'A day' : `${days} days`} at the practice market`;
		return { value: good({ day, moved }), label };
	});
}

/** Takes the stalls of the practice market and their offers away; what was ordered there stays. */
export function leaveMarket(
	collection: Collection
): Promise<Outcome<{ readonly sellers: number }>> {
	return makeChange(collection, async (record, tx) => {
		const stalls = await tx.select().from(sellers).where(eq(sellers.market, PRACTICE_MARKET));
		const ids = stalls.map(({ id }) => id);
		const some = await tx.select().from(offers).where(inArray(offers.sellerId, ids));
		await record.remove(
			offers,
			some.map(({ id }) => id)
		);
		for (const { id } of await tx.select().from(orders).where(inArray(orders.sellerId, ids))) {
			await record.update(orders, id, { sellerId: null });
		}
		await record.remove(sellers, ids);
		return { value: good({ sellers: ids.length }), label: 'Leave the practice market' };
	});
}

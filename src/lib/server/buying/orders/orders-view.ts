import { group, sum } from 'd3-array';
import { asc, desc, inArray, sql } from 'drizzle-orm';
import { checkIn } from '../../../core/buying/orders/check-in.ts';
import { shipNow, type ShipAdvice } from '../../../core/buying/orders/ship-now.ts';
import type { Condition } from '../../../core/copies/condition.ts';
import { CARD_GRAMS } from '../../../core/buying/offers/offer.ts';
import type { Problem } from '../../../core/problem.ts';
import { convertMinor } from '../../../core/money/exchange-rates.ts';
import type { Reader } from '../../database/open.ts';
import { orderLines, orders, releases } from '../../database/tables/index.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { HUB } from '../../preferences/hub.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { listBids, type NamedBid } from './bids.ts';
import { BUYING_RULES } from '../buying-rules.ts';
import { arrivalOf, asCheckIn } from './check-in-order.ts';
import { daysBetween } from './day-after.ts';

type OrderRow = typeof orders.$inferSelect;

/** A line of an order as it is listed. */
export interface ListedLine {
	readonly id: number;
	readonly name: string;
	readonly release: string;
	readonly quantity: number;
	readonly condition: Condition | null;
	readonly grade: number | null;
	readonly minor: number;
	readonly came: (typeof orderLines.$inferSelect)['came'];
	readonly askedMinor: number;
	readonly refundMinor: number;
	/** Something is asked back for it, and has not come. */
	readonly isOpen: boolean;
}

/** An order as it is listed. */
export interface ListedOrder extends Omit<OrderRow, 'sellerId'> {
	readonly lines: readonly ListedLine[];
	readonly cards: number;
	/** All that was paid, and what of it is asked back and has not come. */
	readonly paidMinor: number;
	readonly openMinor: number;
	/** Days past the day it was expected on; 0: it is in time, or nobody knows. */
	readonly lateDays: number;
}

/** Orders, bids, what lies at the hub, and what came: as their view shows them. */
export interface OrdersView {
	readonly currency: string;
	readonly releases: readonly { readonly key: string; readonly name: string }[];
	readonly underWay: readonly ListedOrder[];
	readonly here: readonly ListedOrder[];
	/** Orders that came before those that are listed. */
	readonly earlier: number;
	readonly bids: readonly NamedBid[];
	/** Money that is out: paid or to pay for what is under way, bid, and asked back; in the currency reckoned in. */
	readonly committed: {
		readonly ordersMinor: number;
		readonly bidsMinor: number;
		readonly claimsMinor: number;
	};
	readonly hub: {
		readonly name: string;
		readonly currency: string;
		/** Ids of the orders that lie there. */
		readonly ready: readonly number[];
		readonly cards: number;
		readonly advice: ShipAdvice;
	} | null;
	readonly problems: readonly Problem[];
}

/** Orders that came and are shown. */
const SHOWN = 60;

/** Reads what is under way, what is bid, what may be forwarded, and what came. */
export async function ordersView(db: Reader, now: string): Promise<OrdersView> {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rates = await readPreference(db, EXCHANGE_RATES);
	const today = now.slice(0, 10);
	const rows = await db.select().from(orders).orderBy(desc(orders.orderedOn), desc(orders.id));
	const isHere = ({ state }: OrderRow) => state === 'here';
	const came = rows.filter(isHere);
	const shown = [...rows.filter((row) => !isHere(row)), ...came.slice(0, SHOWN)];
	// Of those that came long ago only what is still asked back counts.
	const claimed = await db
		.selectDistinct({ id: orderLines.orderId })
		.from(orderLines)
		.where(sql`${orderLines.settledOn} is null and ${orderLines.askedMinor} > 0`);
	const open = new Set(claimed.map(({ id }) => id));
	const told = [...shown, ...came.slice(SHOWN).filter(({ id }) => open.has(id))];
	const allLines = group(
		await db
			.select()
			.from(orderLines)
			.where(
				inArray(
					orderLines.orderId,
					told.map(({ id }) => id)
				)
			)
			.orderBy(asc(orderLines.id)),
		({ orderId }) => orderId
	);
	const names = await nameVersions(
		db,
		shown.flatMap(({ id }) => (allLines.get(id) ?? []).map(({ version }) => version))
	);
	const listed = (order: OrderRow): ListedOrder => {
		const lines = allLines.get(order.id) ?? [];
		const { sellerId: _, ...head } = order;
		const checked = isHere(order)
			? checkIn(asCheckIn({ order, lines }), lines.map(arrivalOf))
			: null;
		const late = order.expectedOn === null ? 0 : daysBetween(order.expectedOn, today);
		return {
			...head,
			lines: lines.map(({ id, version, quantity, condition, grade, minor, ...line }) => ({
				...{ id, quantity, condition, grade, minor, came: line.came },
				name: names.get(version)?.card ?? version,
				release: names.get(version)?.release ?? '',
				...{ askedMinor: line.askedMinor, refundMinor: line.refundMinor },
				isOpen: line.settledOn === null && line.askedMinor > line.refundMinor
			})),
			cards: sum(lines, ({ quantity }) => quantity),
			paidMinor: sum(lines, ({ minor }) => minor) + order.postageMinor + order.forwardingMinor,
			openMinor: checked?.ok ? checked.value.openMinor : 0,
			lateDays: isHere(order) ? 0 : Math.max(0, late)
		};
	};
	const underWay = rows.filter((row) => !isHere(row)).map(listed);
	const all = told.filter(isHere).map(listed);
	const bids = await listBids(db);
	const problems: Problem[] = [];
	const total = (some: readonly { readonly minor: number; readonly currency: string }[]) =>
		sum(some, ({ minor, currency: code }) => {
			const here = convertMinor(minor, code, currency, rates);
			if (here === null && !problems.some(({ message }) => message.includes(code))) {
				const message = `no rate leads from ${code} to ${currency}: that money is in no sum`;
				problems.push({ field: 'rates', message, remedy: 'Keep a rate under Holders.' });
			}
			return here ?? 0;
		});
	return {
		currency,
		releases: await db
			.select({ key: releases.key, name: releases.name })
			.from(releases)
			.orderBy(asc(releases.name)),
		underWay: [...underWay].sort((a, b) => b.lateDays - a.lateDays),
		here: all.slice(0, SHOWN),
		earlier: Math.max(0, came.length - SHOWN),
		bids,
		committed: {
			ordersMinor: total(underWay.map((order) => ({ ...order, minor: order.paidMinor }))),
			bidsMinor: total(bids.map((bid) => ({ ...bid, minor: bid.mostMinor + bid.postageMinor }))),
			claimsMinor: total(all.map((order) => ({ ...order, minor: order.openMinor })))
		},
		hub: await hubPart(db, underWay, today),
		problems
	};
}

async function hubPart(
	db: Reader,
	underWay: readonly ListedOrder[],
	today: string
): Promise<OrdersView['hub']> {
	const hub = await readPreference(db, HUB);
	const byHub = underWay.filter(({ way, state }) => way === 'hub' && state !== 'shipped');
	// What is paid in another currency shares no parcel: see `askForShipment`.
	const coming = byHub.filter(
		({ state, currency }) =>
			state !== 'shipment asked for' && state !== 'trouble' && currency === hub?.currency
	);
	if (!hub || coming.length === 0) return null;
	const ready = coming.filter(({ state }) => state === 'at the hub');
	const advice = shipNow(
		hub.forwarding,
		coming.map(({ id, state, cards, lines, expectedOn }) => ({
			...{ key: String(id), cards, grams: cards * CARD_GRAMS },
			amountMinor: sum(lines, ({ minor }) => minor),
			days:
				state === 'at the hub'
					? 0
					: expectedOn === null
						? null
						: Math.max(1, daysBetween(today, expectedOn))
		}))
	);
	return {
		...{ name: hub.name, currency: hub.currency, advice },
		ready: ready.map(({ id }) => id),
		cards: sum(ready, ({ cards }) => cards)
	};
}

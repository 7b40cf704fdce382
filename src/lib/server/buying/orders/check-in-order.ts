import { checkIn, type Arrival, type CheckIn } from '../../../core/buying/orders/check-in.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { OrderId, OrderLineId } from '../../../core/row-id.ts';
import { changePicked, type PickedChange } from '../../copies/change-copies.ts';
import { placeOf } from '../../copies/copy-rows.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { copies, orderLines, orders } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { removeCopyRows } from '../../removal/remove-copy-rows.ts';
import { asOrderLine, copiesOfLines, noOrder, readOrder } from './order-rows.ts';

type Stored = NonNullable<Awaited<ReturnType<typeof readOrder>>>;

/** What a check-in did. */
export interface CheckedIn {
	readonly cards: number;
	/** Still asked back, in minor units of the order's currency. */
	readonly openMinor: number;
}

/**
 * Checks an order in: what came is in the collection, as it is and at what it cost; what is short fills nothing any
 * more; what is asked back is remembered. Lines that nothing is said of came as ordered.
 */
export function checkInOrder(
	collection: Collection,
	id: OrderId,
	arrivals: readonly Arrival[]
): Promise<Outcome<CheckedIn>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await readOrder(tx, id);
		if (!stored) return refused([noOrder]);
		const { order, lines } = stored;
		if (order.state === 'here') {
			const message = 'this order is checked in already';
			return refused([{ message, remedy: 'Undo takes that back.' }]);
		}
		const checked = checkIn(asCheckIn(stored), arrivals);
		if (!checked.ok) return refused(checked.problems);
		const today = collection.now().slice(0, 10);
		const said = new Map(arrivals.map((arrival) => [arrival.line, arrival]));
		const claims = new Map(checked.value.claims.map((claim) => [claim.line, claim]));
		for (const { id: line, quantity } of lines) {
			const claim = claims.get(String(line));
			await record.update(orderLines, line, {
				came: said.get(String(line))?.came ?? [{ quantity }],
				askedMinor: claim?.askedMinor ?? 0,
				refundMinor: claim?.refundMinor ?? 0,
				settledOn: claim && isSettled(claim) ? today : null
			});
		}
		await receiveCards(record, tx, stored, checked.value, today);
		await record.update(orders, id, { state: 'here', stateOn: today, hereOn: today });
		const cards = checked.value.cards.reduce((sum, { quantity }) => sum + quantity, 0);
		return {
			value: good({ cards, openMinor: checked.value.openMinor }),
			label: `Check in the order at ${order.from}`
		};
	});
}

/**
 * Settles what was asked back: so much came, and no more is expected. What was lost, or came on top, goes to the cards
 * of the order by their share.
 */
export function settleClaim(
	collection: Collection,
	id: OrderId,
	line: OrderLineId,
	refundMinor: number
): Promise<Outcome<CheckedIn>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await readOrder(tx, id);
		const claimed = stored?.lines.find((each) => each.id === line);
		if (!stored || !claimed) return refused([noOrder]);
		if (stored.order.state !== 'here') {
			const message = 'this order is not here yet';
			return refused([{ message, remedy: 'Check it in first.' }]);
		}
		const today = collection.now().slice(0, 10);
		const lines = stored.lines.map((each) =>
			each.id === line ? { ...each, refundMinor, settledOn: today } : each
		);
		const checked = checkIn(asCheckIn({ ...stored, lines }), lines.map(arrivalOf));
		if (!checked.ok) {
			return refused(checked.problems.map((problem) => ({ ...problem, field: 'refund' })));
		}
		await record.update(orderLines, line, { refundMinor, settledOn: today });
		const done = await changePicked(
			record,
			tx,
			costsAnew(await copiesOfLines(tx, lines), checked.value.cards)
		);
		if (!done.ok) return refused(done.problems);
		const cards = checked.value.cards.reduce((sum, { quantity }) => sum + quantity, 0);
		return {
			value: good({ cards, openMinor: checked.value.openMinor }),
			label: `${stored.order.from}: settled`
		};
	});
}

/** What the cards that came with an order cost now, to the last minor unit: cards of a copy may differ by one. */
function costsAnew(
	present: readonly (typeof copies.$inferSelect)[],
	cards: CheckIn['cards']
): readonly PickedChange[] {
	return [...new Set(cards.map(({ line }) => line))].flatMap((line) => {
		const parts = cards.filter((part) => part.line === line).map((part) => ({ ...part }));
		return present
			.filter(({ orderLineId }) => String(orderLineId) === line)
			.flatMap(({ id: copyId, quantity: held }) => {
				const picks: PickedChange[] = [];
				for (let left = held; left > 0;) {
					const part = parts.find(({ quantity }) => quantity > 0);
					if (!part) break;
					const quantity = Math.min(left, part.quantity);
					part.quantity -= quantity;
					left -= quantity;
					picks.push({ copyId, quantity, fields: { costMinor: part.costMinor } });
				}
				return picks;
			});
	});
}

/** A stored order as the core checks it in. */
export const asCheckIn = ({ order, lines }: Stored) => ({
	lines: lines.map(asOrderLine),
	postageMinor: order.postageMinor + order.forwardingMinor
});

/** What is kept of a line that was checked in, as it was said. */
export const arrivalOf = (line: Stored['lines'][number]): Arrival => ({
	line: String(line.id),
	came: line.came ?? [{ quantity: line.quantity }],
	...{ askedMinor: line.askedMinor, refundMinor: line.refundMinor },
	isSettled: line.settledOn !== null
});

const isSettled = (claim: CheckIn['claims'][number]) =>
	claim.isSettled || claim.refundMinor >= claim.askedMinor;

/**
 * The copies that were on their way are here, as they came and at what they cost, with all that was said of them
 * meanwhile; those that came otherwise are told apart, those that did not come are gone.
 */
async function receiveCards(
	record: Recorder,
	tx: Transaction,
	{ order, lines }: Stored,
	{ cards }: CheckIn,
	acquiredOn: string
): Promise<void> {
	const all = await copiesOfLines(tx, lines);
	const coming = all.filter(({ status }) => status === 'incoming');
	const fresh: (typeof copies.$inferInsert)[] = [];
	for (const line of lines) {
		const parts = cards.filter((part) => part.line === String(line.id));
		const expected = coming.filter(({ orderLineId }) => orderLineId === line.id);
		// What was said to be here before it was checked in is here already.
		let known = all
			.filter(({ orderLineId, status }) => orderLineId === line.id && status !== 'incoming')
			.reduce((sum, { quantity }) => sum + quantity, 0);
		let [row, used] = [expected.shift(), 0];
		for (const part of parts) {
			const before = Math.min(known, part.quantity);
			known -= before;
			let left = part.quantity - before;
			while (left > 0) {
				const quantity = row ? Math.min(left, row.quantity - used) : left;
				const as = {
					...{ quantity, condition: part.condition ?? null, costMinor: part.costMinor },
					...{ status: 'kept' as const, acquiredOn, currency: order.currency }
				};
				if (row && used === 0) await record.update(copies, row.id, as);
				else fresh.push({ ...(row ? without(row) : bare(line, order.from)), ...as });
				left -= quantity;
				used += quantity;
				if (row && used >= row.quantity) [row, used] = [expected.shift(), 0];
			}
		}
		const gone = [...(row && used === 0 ? [row] : []), ...expected];
		await removeCopyRows(
			record,
			tx,
			gone.map(({ id }) => id)
		);
	}
	const loggedAt = `${acquiredOn}T00:00:00.000Z`;
	await record.insert(
		copies,
		fresh.map((row) => ({ ...row, loggedAt: row.loggedAt || loggedAt }))
	);
}

/** A copy like another one, without what only one of them can be. */
const without = ({ id: _, serial: __, certificate: ___, ...row }: typeof copies.$inferSelect) =>
	row;

/** A copy of a line whose own was taken out meanwhile. */
const bare = (
	{ id, releaseId, version, grade, house }: Stored['lines'][number],
	source: string
) => ({
	...placeOf(releaseId, version),
	...{ grade, house, source, orderLineId: id, loggedAt: '' }
});

/** Receives an order that was taken along on the spot, all of it; gives how many cards it is. */
export async function receiveInHand(
	record: Recorder,
	tx: Transaction,
	id: OrderId
): Promise<number> {
	const stored = await readOrder(tx, id);
	if (!stored) throw new RangeError(`receiveInHand: order ${id} is not there`);
	const checked = checkIn(asCheckIn(stored), []);
	if (!checked.ok) throw new RangeError(`receiveInHand: order ${id} does not add up`);
	await receiveCards(record, tx, stored, checked.value, stored.order.orderedOn);
	for (const { id: line, quantity } of stored.lines) {
		await record.update(orderLines, line, { came: [{ quantity }] });
	}
	return checked.value.cards.reduce((sum, { quantity }) => sum + quantity, 0);
}

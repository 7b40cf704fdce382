import { eq, inArray } from 'drizzle-orm';
import type { OrderLine } from '../../../core/buying/orders/check-in.ts';
import type { Condition } from '../../../core/copies/condition.ts';
import type { Problem } from '../../../core/problem.ts';
import type { OrderId, ReleaseId } from '../../../core/row-id.ts';
import type { Reader, Transaction } from '../../database/open.ts';
import { insertOne, type Recorder } from '../../database/record.ts';
import { copies, orderLines, orders } from '../../database/tables/index.ts';
import { placeOf } from '../../copies/copy-rows.ts';

export const noOrder: Problem = {
	message: 'there is no such order',
	remedy: 'It may have been taken back; reload the page.'
};

/** What is bought of one version. */
export interface BoughtLine {
	readonly releaseId: ReleaseId;
	readonly version: string;
	readonly quantity: number;
	readonly condition?: Condition | undefined;
	readonly grade?: number | undefined;
	readonly house?: string | undefined;
	/** What all of them cost, in minor units of the order's currency. */
	readonly minor: number;
}

/** Records an order with its lines; their cards are copies that come in, so that nothing is bought twice. */
export async function insertOrder(
	record: Recorder,
	order: typeof orders.$inferInsert,
	lines: readonly BoughtLine[],
	loggedAt: string
): Promise<OrderId> {
	const { id: orderId } = await insertOne(record, orders, order);
	const rows = await record.insert(
		orderLines,
		lines.map((line) => ({ orderId, ...line }))
	);
	await record.insert(
		copies,
		rows.map(({ id, releaseId, version, quantity, condition, grade, house, minor }) => ({
			...placeOf(releaseId, version),
			...{ quantity, condition, grade, house, loggedAt },
			...{ status: 'incoming' as const, source: order.from, orderLineId: id },
			...{ costMinor: Math.round(minor / quantity), currency: order.currency }
		}))
	);
	return orderId;
}

/** An order with its lines. */
export async function readOrder(db: Reader, id: OrderId) {
	const [order] = await db.select().from(orders).where(eq(orders.id, id));
	if (!order) return null;
	const lines = await db.select().from(orderLines).where(eq(orderLines.orderId, id));
	return { order, lines };
}

/** A line as it is checked in. */
export const asOrderLine = ({
	id,
	version,
	quantity,
	minor,
	condition,
	grade
}: typeof orderLines.$inferSelect): OrderLine => ({
	...{ key: String(id), version, quantity, minor },
	...(condition === null ? {} : { condition }),
	...(grade === null ? {} : { grade })
});

/** The copies that came with some lines, or will. */
export async function copiesOfLines(tx: Transaction, lines: readonly { readonly id: number }[]) {
	const ids = lines.map(({ id }) => id) as (typeof orderLines.$inferSelect)['id'][];
	return tx.select().from(copies).where(inArray(copies.orderLineId, ids));
}

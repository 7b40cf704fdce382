import { asc, eq } from 'drizzle-orm';
import type { Condition } from '../../../core/copies/condition.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { BidId, OrderId } from '../../../core/row-id.ts';
import { parseAmount } from '../../../core/money/amount.ts';
import { readEntry } from '../../copies/read-entry.ts';
import type { Collection, Reader } from '../../database/open.ts';
import { bids } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { insertOrder } from './order-rows.ts';

/** A bid as it is typed. */
export interface BidDraft {
	readonly release: string;
	/** The card, as on the entry line. */
	readonly line: string;
	readonly most: string;
	readonly postage: string;
	readonly currency: string;
	/** Where it is sold. */
	readonly from: string;
	/** ISO 8601 day */
	readonly endsOn: string;
	readonly note: string;
}

const noBid: Problem = { message: 'there is no such bid', remedy: 'Reload the page.' };

/** Records a bid that stands: money is committed, and the card may come. */
export function placeBid(
	collection: Collection,
	draft: BidDraft
): Promise<Outcome<{ readonly id: BidId }>> {
	return makeChange(collection, async (record, tx) => {
		const entry = await readEntry(tx, draft.release, draft.line);
		const most = parseAmount(draft.most, draft.currency);
		const postage = parseAmount(draft.postage.trim() || '0', draft.currency);
		const problems: Problem[] = [
			...(entry.ok ? [] : entry.problems.map((problem) => ({ ...problem, field: 'line' }))),
			...(most.ok ? [] : most.problems.map((problem) => ({ ...problem, field: 'most' }))),
			...(postage.ok ? [] : postage.problems.map((problem) => ({ ...problem, field: 'postage' })))
		];
		const [addition] = entry.ok ? entry.value.additions : [];
		if (entry.ok && (entry.value.additions.length !== 1 || addition?.quantity !== 1)) {
			const message = 'a bid is for one card';
			problems.push({ field: 'line', message, remedy: 'Name one; several are several bids.' });
		}
		if (draft.from.trim() === '') {
			problems.push({
				field: 'from',
				message: 'nobody is named that sells it',
				remedy: 'Write who.'
			});
		}
		if (!entry.ok || !most.ok || !postage.ok || !addition || problems.length > 0) {
			return refused(problems);
		}
		const { currency } = most.value;
		const [row] = await record.insert(bids, [
			{
				...{ releaseId: entry.value.releaseId, version: addition.version, currency },
				...{ from: draft.from.trim(), endsOn: draft.endsOn, note: draft.note.trim() || null },
				...{ mostMinor: most.value.minor, postageMinor: postage.value.minor },
				condition: addition.condition ?? null
			}
		]);
		if (!row) throw new RangeError('placeBid: the bid was not stored');
		return { value: good({ id: row.id }), label: `Bid at ${row.from}` };
	});
}

/** Says how a bid ended: won for so much, then it is an order; or lost. */
export function endBid(
	collection: Collection,
	id: BidId,
	wonMinor: number | null
): Promise<Outcome<{ readonly order: OrderId | null }>> {
	return makeChange<Outcome<{ readonly order: OrderId | null }>>(collection, async (record, tx) => {
		const [bid] = await tx.select().from(bids).where(eq(bids.id, id));
		if (!bid) return refused([noBid]);
		if (wonMinor !== null && wonMinor > bid.mostMinor) {
			const message = 'a bid is not won for more than was bid';
			return refused([{ field: 'won', message, remedy: 'Write what it was won for.' }]);
		}
		await record.remove(bids, [id]);
		if (wonMinor === null)
			return { value: good({ order: null }), label: `Bid at ${bid.from} lost` };
		const today = collection.now().slice(0, 10);
		const { releaseId, version, condition, currency, from, postageMinor, note } = bid;
		const order = await insertOrder(
			record,
			{
				...{ from, way: 'direct', currency, postageMinor, note },
				...{ state: 'awaiting payment', stateOn: today, orderedOn: today }
			},
			[{ releaseId, version, quantity: 1, condition: condition ?? undefined, minor: wonMinor }],
			collection.now()
		);
		return { value: good({ order }), label: `Bid at ${from} won` };
	});
}

/** An open bid with its card's name. */
export interface NamedBid {
	readonly id: BidId;
	readonly version: string;
	readonly name: string;
	readonly release: string;
	readonly condition: Condition | null;
	readonly from: string;
	readonly mostMinor: number;
	readonly postageMinor: number;
	readonly currency: string;
	readonly endsOn: string;
	readonly note: string | null;
}

/** Bids that stand, the first to end first. */
export async function listBids(db: Reader): Promise<readonly NamedBid[]> {
	const rows = await db.select().from(bids).orderBy(asc(bids.endsOn), asc(bids.id));
	const names = await nameVersions(
		db,
		rows.map(({ version }) => version)
	);
	return rows.map(({ releaseId: _, ...bid }) => {
		const { card: name = bid.version, release = '' } = names.get(bid.version) ?? {};
		return { ...bid, name, release };
	});
}

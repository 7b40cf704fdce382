import { sum } from 'd3-array';
import { inArray } from 'drizzle-orm';
import { cardFinder } from '../../../core/checklist/versions/find-version.ts';
import { spreadCost } from '../../../core/copies/spread-cost.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { CopyId, OrderId } from '../../../core/row-id.ts';
import type { CopyPick } from '../../copies/change-copies.ts';
import { outOf } from '../../copies/outings.ts';
import type { Collection } from '../../database/open.ts';
import { copies } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { loadRelease, type StoredRelease } from '../../releases/load-release.ts';
import { removeCopyRows } from '../../removal/remove-copy-rows.ts';
import { receiveInHand } from '../orders/check-in-order.ts';
import { insertOrder } from '../orders/order-rows.ts';

/** What changed hands. */
export interface TradeRecord {
	readonly friend: string;
	readonly give: readonly CopyPick[];
	/** Versions that came. */
	readonly take: readonly { readonly version: string; readonly quantity: number }[];
	/** What was given is worth, in minor units: this the cards that came cost. */
	readonly giveMinor: number;
	readonly currency: string;
}

/** Records a trade: what is given is gone, what is taken is here and costs what was given. One step, undone as one. */
export function recordTrade(
	collection: Collection,
	{ friend, give, take, giveMinor, currency }: TradeRecord
): Promise<Outcome<{ readonly id: OrderId; readonly given: number; readonly taken: number }>> {
	return makeChange(collection, async (record, tx) => {
		const counts = new Map<CopyId, number>();
		for (const { copyId, quantity } of give) {
			counts.set(copyId, (counts.get(copyId) ?? 0) + quantity);
		}
		const rows = await tx
			.select()
			.from(copies)
			.where(inArray(copies.id, [...counts.keys()]));
		const held = new Map(rows.map((row) => [row.id, row]));
		const stored = new Map<string, StoredRelease | null>();
		for (const { version } of take) {
			const key = version.split('/')[0] ?? '';
			if (!stored.has(key)) stored.set(key, await loadRelease(tx, key));
		}
		const out = await outOf(tx, [...counts.keys()]);
		const problems = [...counts].flatMap(([id, quantity]): readonly Problem[] => {
			const row = held.get(id);
			const message =
				!row || row.quantity < quantity
					? 'a card that is given is not there any more'
					: row.status === 'incoming'
						? 'a card that is given is still under way'
						: row.quantity - (out.get(id) ?? 0) < quantity
							? 'a card that is given is out'
							: null;
			return message === null ? [] : [{ pointer: '/give', message, remedy: 'Reload the page.' }];
		});
		const bought = take.flatMap(({ version, quantity }, i) => {
			const release = stored.get(version.split('/')[0] ?? '');
			if (release && cardFinder(release.release)(version)) {
				return [{ releaseId: release.id, version, quantity }];
			}
			const message = `there is no card "${version}"`;
			problems.push({ pointer: `/take/${i}/version`, message, remedy: 'Reload the page.' });
			return [];
		});
		if (take.length === 0 || counts.size === 0) {
			problems.push({ message: 'a trade goes both ways', remedy: 'Choose cards on both sides.' });
		}
		if (problems.length > 0) return refused(problems);
		const gone: CopyId[] = [];
		for (const [id, quantity] of counts) {
			const left = (held.get(id)?.quantity ?? 0) - quantity;
			if (left > 0) await record.update(copies, id, { quantity: left });
			else gone.push(id);
		}
		await removeCopyRows(record, tx, gone);
		const keyed = bought.map((line, i) => ({ key: String(i), valueMinor: null, ...line }));
		const spread = spreadCost(giveMinor, keyed, 'share');
		if (!spread.ok) return refused(spread.problems);
		const given = sum(counts.values());
		const today = collection.now().slice(0, 10);
		const id = await insertOrder(
			record,
			{
				...{ from: friend, way: 'in hand', currency, postageMinor: 0 },
				...{ state: 'here', stateOn: today, orderedOn: today, hereOn: today },
				note: `traded for ${given === 1 ? 'a card' : `${given} cards`}`
			},
			keyed.map(({ key, releaseId, version, quantity }) => ({
				...{ releaseId, version, quantity },
				minor: sum(
					spread.value.filter((part) => part.key === key),
					(part) => part.quantity * part.costMinor
				)
			})),
			collection.now()
		);
		const taken = await receiveInHand(record, tx, id);
		return { value: good({ id, given, taken }), label: `Trade with ${friend}` };
	});
}

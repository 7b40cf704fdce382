import type { Static } from 'typebox';
import { StockSchema } from '../../../schemas/stock.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import {
	holderSupply,
	lowSupplies,
	scuffedSupply,
	stockAfter,
	suppliesFor,
	type LowSupply,
	type Supply,
	type SupplyUse
} from '../../../core/storage/supplies/supply.ts';
import type { Collection, Reader, Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { readHolderKinds } from '../../places/keeping.ts';
import { readPreference, writePreference, type Preference } from '../../preferences/preferences.ts';
import { readBoxKinds } from '../../places/box-kinds.ts';

/** What is on hand: what was never counted has no entry. */
export const STOCK: Preference<typeof StockSchema> = {
	key: 'supplies',
	schema: StockSchema,
	usual: {}
};

/** All that may be counted. */
export async function listSupplies(db: Reader): Promise<readonly Supply[]> {
	return suppliesFor(await readBoxKinds(db), await readHolderKinds(db));
}

/** Takes from what is on hand, within a change that uses it. */
export async function useSupplies(
	record: Recorder,
	tx: Transaction,
	uses: readonly SupplyUse[]
): Promise<void> {
	if (uses.length === 0) return;
	const onHand = await readPreference(tx, STOCK);
	await writePreference(record, tx, STOCK, { ...stockAfter(onHand, uses) });
}

/** What is less than one wants to have of it. */
export async function readLow(db: Reader): Promise<readonly LowSupply[]> {
	return lowSupplies(await readPreference(db, STOCK), await listSupplies(db));
}

/** Says what is on hand; null: it is not counted any more. With any problem nothing is changed. */
export function setStock(
	collection: Collection,
	counts: ReadonlyMap<string, Static<typeof StockSchema>[string] | null>
): Promise<Outcome<{ readonly counted: number }>> {
	return makeChange(collection, async (record, tx) => {
		const known = new Set((await listSupplies(tx)).map(({ key }) => key));
		const problems = [...counts.keys()].flatMap((key): Problem[] =>
			known.has(key)
				? []
				: [{ field: 'key', message: `there is no supply "${key}"`, remedy: 'Reload the page.' }]
		);
		if (problems.length > 0) return refused(problems);
		const before = await readPreference(tx, STOCK);
		const kept = Object.entries(before).filter(([key]) => !counts.has(key));
		const said = [...counts].flatMap(([key, stock]) => (stock ? [[key, stock] as const] : []));
		const after = Object.fromEntries([...kept, ...said]);
		await writePreference(record, tx, STOCK, after);
		return { value: good({ counted: said.length }), label: 'Supplies on hand' };
	});
}

/** Puts holders that are scuffed aside: they serve for shipping. */
export function setAside(
	collection: Collection,
	holder: string,
	count: number
): Promise<Outcome<{ readonly aside: number }>> {
	return makeChange(collection, async (record, tx) => {
		const [from, to] = [holderSupply(holder), scuffedSupply(holder)];
		const isRigid = (await listSupplies(tx)).some(({ key }) => key === to);
		const onHand = await readPreference(tx, STOCK);
		const counted = onHand[from]?.count ?? 0;
		if (!isRigid) {
			return refused([
				{ field: 'holder', message: `"${holder}" is no rigid holder`, remedy: 'Reload the page.' }
			]);
		}
		if (count > counted) {
			return refused([
				{
					field: 'count',
					message: `only ${counted} of them are on hand`,
					remedy: 'Count them first, or put fewer aside.'
				}
			]);
		}
		const aside = onHand[to] ?? { count: 0 };
		await writePreference(record, tx, STOCK, {
			...stockAfter(onHand, [{ key: from, count }]),
			[to]: { ...aside, count: aside.count + count }
		});
		return { value: good({ aside: count }), label: `Put ${count} scuffed aside` };
	});
}

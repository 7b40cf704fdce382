import { group } from 'd3-array';
import type { BoxKind } from '../../../core/storage/kinds/box-kind.ts';
import { weighBoxes } from '../../../core/storage/plan/weigh-boxes.ts';
import { lowSupplies, type LowSupply } from '../../../core/storage/supplies/supply.ts';
import { usesOfPlan } from '../../../core/storage/supplies/uses-of-plan.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { listSupplies, STOCK } from '../supplies/stock.ts';
import type { Reader } from '../../database/open.ts';
import { readBoxKinds } from '../../places/box-kinds.ts';
import { readBoxes } from '../room/read-storage.ts';
import type { StoragePlan } from './plan-storage.ts';
import type { BoxId } from '../../../core/row-id.ts';

export type PlanWeight = ReturnType<typeof weighBoxes>[number];

/** A plan with what its view shows beside it: weights of its boxes, their kinds, names of boxes that stand. */
export interface StorageView {
	readonly plan: StoragePlan;
	readonly weights: readonly PlanWeight[];
	readonly kinds: readonly BoxKind[];
	readonly standing: readonly { readonly id: BoxId; readonly name: string }[];
	/** What is counted of the supplies, and is less than the plan takes. */
	readonly short: readonly LowSupply[];
}

export async function storageView(db: Reader, plan: StoragePlan): Promise<StorageView> {
	const kinds = await readBoxKinds(db);
	const sets = group(plan.sets, ({ use }) => use);
	const weights = [...group(plan.boxes, ({ use }) => use)].flatMap(([use, boxes]) =>
		weighBoxes(boxes, sets.get(use) ?? [], kinds)
	);
	const standing = (await readBoxes(db)).map(({ id, name }) => ({ id, name }));
	const stock = await readPreference(db, STOCK);
	// Only what the plan takes is asked for here, not what one wishes to have.
	const counted = Object.entries(stock).map(([key, { count }]) => [key, { count }] as const);
	const short = lowSupplies(Object.fromEntries(counted), await listSupplies(db), usesOfPlan(plan));
	return { plan, weights, kinds, standing, short };
}

import type { RoomPlan } from '../plan/plan-room.ts';
import { BOX_DIVIDER, boxSupply, type SupplyUse } from './supply.ts';

/** Boxes and dividers that are made up for a plan; a set alone in its box has no divider. */
export function usesOfPlan({
	added,
	addedSmall,
	boxes: planned
}: Pick<RoomPlan, 'added' | 'addedSmall' | 'boxes'>): readonly SupplyUse[] {
	const dividersIn = planned.reduce((sum, { rows }) => {
		const inRow = rows.flatMap(({ entries: of }) => of);
		const entries = inRow.filter(({ smallBox }) => smallBox === undefined).length;
		return sum + (rows.length === 1 && entries === 1 ? 0 : entries);
	}, 0);
	return [
		...planned.map(({ kind }) => ({ key: boxSupply(kind), count: 1 })),
		...addedSmall.map(({ kind }) => ({ key: boxSupply(kind), count: 1 })),
		...planned
			.flatMap(({ rows }) => rows.flatMap(({ entries }) => entries))
			.flatMap(({ smallBox }) =>
				smallBox === undefined ? [] : [{ key: boxSupply(smallBox), count: 1 }]
			),
		{ key: BOX_DIVIDER, count: added.length + dividersIn }
	];
}

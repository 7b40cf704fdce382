import { rollup } from 'd3-array';
import type { PileCount } from '../../core/pile/count-piles.ts';
import type { HandTo } from '../../core/pile/hand-to.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { SlipId, TrayId } from '../../core/row-id.ts';
import { changePicked } from '../copies/change-copies.ts';
import { countPile } from '../copies/trays.ts';
import type { Collection } from '../database/open.ts';
import { pileCards } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { addSlip } from '../storage/slips/change-slips.ts';
import { findHomeless } from '../storage/slips/find-slip-cards.ts';
import { cardsOnPile } from './read-lying.ts';

/** What became of a pile. */
export interface HandedOver {
	readonly cards: number;
	/** Cards that no divider waits for yet: they stay on the pile. */
	readonly left: number;
	/** The slip that leads to their places; null: none was made. */
	readonly slip: SlipId | null;
}

/** Hands a pile over in one step: its cards lie on it no more. */
export function handOver(
	collection: Collection,
	pile: TrayId,
	of: Pick<PileCount, 'kind' | 'name'>,
	to: HandTo
): Promise<Outcome<HandedOver>> {
	return makeChange(collection, async (record, tx) => {
		const lying = await cardsOnPile(tx, pile, of);
		if (lying.length === 0) {
			return refused([{ message: 'nothing lies on this pile', remedy: 'Reload the page.' }]);
		}
		const picks = rollup(
			lying,
			(same) => same.length,
			({ copyId }) => copyId
		);
		let gone = lying;
		let slip: SlipId | null = null;
		if (to === 'to sell') {
			const changed = await changePicked(
				record,
				tx,
				[...picks].map(([copyId, quantity]) => ({
					copyId,
					quantity,
					fields: { status: 'to sell' }
				}))
			);
			if (!changed.ok) return refused(changed.problems);
		} else if (to === 'slip') {
			const found = await findHomeless(tx, { of: 'picked', picks });
			if (!found.ok) return refused(found.problems);
			if (found.value.length === 0) {
				return refused([
					{
						message: 'no divider waits for any card of this pile',
						remedy: 'Let the plan find their sets a place, or lay them into their binder.'
					}
				]);
			}
			slip = (await addSlip(record, collection.now(), 'put away', of.name, found.value)).id;
			const onSlip = rollup(
				found.value,
				(same) => same.reduce((sum, { quantity }) => sum + quantity, 0),
				({ copyId }) => copyId
			);
			gone = lying.filter(({ copyId }) => {
				const count = onSlip.get(copyId) ?? 0;
				onSlip.set(copyId, count - 1);
				return count > 0;
			});
		}
		await record.remove(
			pileCards,
			gone.map(({ id }) => id)
		);
		await countPile(record, tx, pile, -gone.length);
		return {
			value: good({ cards: gone.length, left: lying.length - gone.length, slip }),
			label: `Hand over the pile ${of.name}`
		};
	});
}

import { spreadCost, type Spread } from '../../core/copies/spread-cost.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { rowId, type CopyId } from '../../core/row-id.ts';
import type { Collection } from '../database/open.ts';
import { makeChange, refused } from '../journal/change.ts';
import { changePicked, type PickedChange } from './change-copies.ts';
import { quantitiesOf } from './choose-copies.ts';
import type { CopyFields } from './copy-rows.ts';

/** What is said of many copies at once; what is left out stays. */
export interface ManyChange {
	readonly fields: Omit<CopyFields, 'quantity' | 'attributes'>;
	/** Words that each is marked with, and no longer marked with. */
	readonly mark?: readonly string[];
	readonly unmark?: readonly string[];
	/** What all of them cost together. */
	readonly lot?: { readonly totalMinor: number; readonly currency: string; readonly by: Spread };
}

/** Changes many copies in one step; with any problem none. */
export function changeMany(
	collection: Collection,
	ids: readonly CopyId[],
	{ fields, mark = [], unmark = [], lot }: ManyChange
): Promise<Outcome<{ readonly cards: number; readonly copies: number }>> {
	return makeChange(collection, async (record, tx) => {
		const rows = await quantitiesOf(tx, ids);
		const problems: Problem[] = [];
		if (rows.size === 0 || rows.size < new Set(ids).size) {
			problems.push({
				field: 'copy',
				message: rows.size === 0 ? 'no copy is chosen' : 'some of these copies are gone',
				remedy: 'Look at the list as it is now.'
			});
		}
		const isNothing =
			Object.keys(fields).length === 0 && mark.length === 0 && unmark.length === 0 && !lot;
		if (isNothing) {
			problems.push({ message: 'nothing is said of them', remedy: 'Fill in what shall change.' });
		}
		const otherMoney = [...rows.values()].some(
			({ valueMinor, currency }) => valueMinor !== null && currency !== lot?.currency
		);
		if (lot && otherMoney) {
			problems.push({
				field: 'currency',
				message: `some of these are valued in other money than ${lot.currency}`,
				remedy: 'A copy has one currency: change those apart.'
			});
		}
		if (problems.length > 0) return refused(problems);
		const changed = (copyId: CopyId): Omit<PickedChange, 'quantity'> => {
			const before = rows.get(copyId)?.attributes ?? [];
			const attributes = [...new Set([...before, ...mark])].filter(
				(word) => !unmark.includes(word)
			);
			const isMarked = mark.length > 0 || unmark.length > 0;
			return { copyId, fields: { ...fields, ...(isMarked ? { attributes } : {}) } };
		};
		let picks = [...rows].map(([copyId, { quantity }]): PickedChange => ({
			...changed(copyId),
			quantity
		}));
		if (lot) {
			const spread = spreadCost(
				lot.totalMinor,
				[...rows].map(([id, { quantity, valueMinor }]) => ({
					key: String(id),
					quantity,
					valueMinor
				})),
				lot.by
			);
			if (!spread.ok) return refused(spread.problems);
			picks = spread.value.map(({ key, quantity, costMinor }): PickedChange => {
				const { copyId, fields: said } = changed(rowId(Number(key)));
				return { copyId, quantity, fields: { ...said, costMinor, currency: lot.currency } };
			});
		}
		const done = await changePicked(record, tx, picks);
		if (!done.ok) return refused(done.problems);
		const cards = picks.reduce((sum, { quantity }) => sum + quantity, 0);
		return {
			value: good({ cards, copies: done.value.length }),
			label: `Change ${cards === 1 ? 'a card' : `${cards} cards`} at once`
		};
	});
}

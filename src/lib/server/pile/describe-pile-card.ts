import { at } from '../../core/at.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { CopyId, PileCardId } from '../../core/row-id.ts';
import { changePicked } from '../copies/change-copies.ts';
import type { CopyFields } from '../copies/copy-rows.ts';
import type { Collection } from '../database/open.ts';
import { pileCards } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { findPileCards } from './take-back.ts';

/** Says more of a card that lies on a pile: of several equal ones it becomes a copy apart. */
export function describePileCard(
	collection: Collection,
	id: PileCardId,
	fields: Omit<CopyFields, 'quantity'>
): Promise<Outcome<{ readonly copyId: CopyId }>> {
	return makeChange(collection, async (record, tx) => {
		const found = await findPileCards(tx, [id]);
		if (!found.ok) return refused(found.problems);
		const { copyId } = at(found.value, 0);
		const changed = await changePicked(record, tx, [{ copyId, quantity: 1, fields }]);
		if (!changed.ok) return refused(changed.problems);
		const described = at(changed.value, 0);
		if (described !== copyId) await record.update(pileCards, id, { copyId: described });
		return { value: good({ copyId: described }), label: 'Describe a card on the pile' };
	});
}

import { bad, type Outcome } from '../../../core/problem.ts';
import type { SlipId } from '../../../core/row-id.ts';
import type { NewSlip } from '../../../schemas/forms/boxes.ts';
import type { Collection, Reader } from '../../database/open.ts';
import { forgetHoused } from '../../places/loose-releases.ts';
import { makeSlip } from './change-slips.ts';
import { copiesForBinder } from './copies-for-binder.ts';
import type { SlipSource } from './find-slip-cards.ts';
import { misplacedCopies } from './misplaced-copies.ts';

/** What is pulled in an evening. */
const MOST_MISPLACED = 1000;

/** Makes the slip that a form asks for; refused where it would have no line. */
export async function makeAskedSlip(
	collection: Collection,
	{ sort, name = '', ...asked }: NewSlip
): Promise<Outcome<{ readonly id: SlipId }>> {
	// Whether or not a slip comes of it, what was looked through in vain is not looked through again.
	if (asked.of === 'homeless') await collection.write(forgetHoused);
	const source = await sourceOf(collection.db, asked);
	if (asked.of === 'misplaced' && source.of === 'copies' && source.ids.length === 0) {
		return bad([{ message: 'every card stands in a box for its class, tier or set' }]);
	}
	return makeSlip(collection, sort, name, source);
}

/** Which cards a slip is made for. */
async function sourceOf(
	db: Reader,
	{ of, binder = null, release = '', line = '' }: Omit<NewSlip, 'sort' | 'name'>
): Promise<SlipSource> {
	if (of === 'line') return { of, release, line };
	if (of === 'misplaced') return { of: 'copies', ids: await misplacedCopies(db, MOST_MISPLACED) };
	if (of !== 'binder') return { of };
	return { of: 'copies', ids: binder === null ? [] : await copiesForBinder(db, binder) };
}

import { eq } from 'drizzle-orm';
import type { SealedTrust } from '../../../core/packs/sealed/compare-sealed.ts';
import type { SealedUnit } from '../../../core/packs/sealed/sealed-unit.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { SealedLotId } from '../../../core/row-id.ts';
import { parseAnyAmount } from '../../../core/money/amount.ts';
import type { Collection } from '../../database/open.ts';
import { sealedLots } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { loadRelease } from '../../releases/load-release.ts';

/** Something sealed, as it is typed; what is empty is not known. */
export interface SealedDraft {
	/** null: a new lot. */
	readonly lot: SealedLotId | null;
	/** "release pack": keys. */
	readonly pack: string;
	readonly unit: SealedUnit;
	readonly quantity: number;
	/** Of each, as they are typed, in one currency. */
	readonly cost: string;
	readonly value: string;
	readonly currency: string;
	readonly trust: SealedTrust;
	readonly source: string;
	readonly place: string;
	/** ISO 8601 day */
	readonly acquiredOn: string | null;
}

const gone: Problem = { message: 'it is not here any more', remedy: 'Reload the page.' };

/** Keeps a sealed lot, or changes what is known of one. */
export function keepSealed(
	collection: Collection,
	draft: SealedDraft
): Promise<Outcome<{ readonly id: SealedLotId }>> {
	return makeChange(collection, async (record, tx) => {
		const [releaseKey = '', packKey = ''] = draft.pack.split(' ');
		const stored = await loadRelease(tx, releaseKey);
		const pack = stored?.release.packTypes.find(({ key }) => key === packKey);
		const problems: Problem[] =
			stored && pack
				? []
				: [{ field: 'pack', message: 'there are no such packs', remedy: 'Choose some.' }];
		const read = (field: 'cost' | 'value') => {
			const text = draft[field].trim();
			if (text === '') return null;
			const amount = parseAnyAmount(text, draft.currency);
			if (amount.ok) return amount.value;
			problems.push(...amount.problems.map((problem) => ({ ...problem, field })));
			return null;
		};
		const [cost, value] = [read('cost'), read('value')];
		if (cost && value && cost.currency !== value.currency) {
			const message = `it cost ${cost.currency} and is valued in ${value.currency}`;
			problems.push({ field: 'value', message, remedy: 'Write both in one currency.' });
		}
		if (!stored || !pack || problems.length > 0) return refused(problems);
		const { unit, quantity, trust, acquiredOn } = draft;
		const row = {
			...{ releaseId: stored.id, packType: pack.key, unit, quantity, trust, acquiredOn },
			costMinor: cost?.minor ?? null,
			valueMinor: value?.minor ?? null,
			currency: cost?.currency ?? value?.currency ?? draft.currency,
			source: draft.source.trim() || null,
			place: draft.place.trim() || null
		};
		const name = `${quantity} sealed of ${stored.release.name}`;
		if (draft.lot === null) {
			const [made] = await record.insert(sealedLots, [row]);
			if (!made) throw new RangeError('keepSealed: it was not stored');
			return { value: good({ id: made.id }), label: `Keep ${name}` };
		}
		const [known] = await tx.select().from(sealedLots).where(eq(sealedLots.id, draft.lot));
		if (!known) return refused([gone]);
		await record.update(sealedLots, draft.lot, row);
		return { value: good({ id: draft.lot }), label: `Change ${name}` };
	});
}

/** Takes a sealed lot out of the collection: sold, given away. */
export function removeSealed(
	collection: Collection,
	id: SealedLotId
): Promise<Outcome<{ readonly id: SealedLotId }>> {
	return makeChange(collection, async (record, tx) => {
		const [known] = await tx.select().from(sealedLots).where(eq(sealedLots.id, id));
		if (!known) return refused([gone]);
		await record.remove(sealedLots, [id]);
		return { value: good({ id }), label: 'Sealed stock is gone' };
	});
}

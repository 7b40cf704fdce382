import { sum } from 'd3-array';
import { middleOf } from '../../../core/worth/prices/price.ts';
import { typicalPrice } from '../../../core/buying/prices/typical-price.ts';
import { spreadCost, type Spread } from '../../../core/copies/spread-cost.ts';
import { bad, good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { OrderId, ReleaseId } from '../../../core/row-id.ts';
import { parseAmount } from '../../../core/money/amount.ts';
import { findVersion } from '../../../core/checklist/versions/find-version.ts';
import { parseVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { loadRelease } from '../../releases/load-release.ts';
import { readEntry } from '../../copies/read-entry.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { readPriceBook } from '../prices/read-price-book.ts';
import { receiveInHand } from './check-in-order.ts';
import { insertOrder, type BoughtLine } from './order-rows.ts';

/** Cards taken along on the spot, or found as a lot, for one sum. */
export interface PickUpDraft {
	/** The cards: as on the entry line of a release, or one of a version. */
	readonly cards:
		{ readonly release: string; readonly line: string } | { readonly version: string };
	/** What all of them cost, as it is typed: "12.50", or "USD 8". */
	readonly total: string;
	readonly currency: string;
	/** By number, or by what the price book says of each. */
	readonly by: Spread;
	readonly from: string;
	/** ISO 8601 day; left out: today. */
	readonly on?: string;
	/** Why it was bought. */
	readonly note: string;
}

/**
 * Records a pick-up: its cards are in the collection at once, each at its share of the sum, with the day, from whom and
 * why. With any problem nothing is recorded.
 */
export function recordPickUp(
	collection: Collection,
	draft: PickUpDraft
): Promise<Outcome<{ readonly id: OrderId; readonly cards: number }>> {
	return makeChange(collection, async (record, tx) => {
		const entry = await readCards(tx, draft.cards);
		const amount = parseAmount(draft.total, draft.currency);
		const from = draft.from.trim();
		const problems: Problem[] = [
			...(entry.ok ? [] : entry.problems.map((problem) => ({ ...problem, field: 'line' }))),
			...(amount.ok ? [] : amount.problems.map((problem) => ({ ...problem, field: 'total' }))),
			...(from === ''
				? [
						{
							field: 'from',
							message: 'nobody is named that it is from',
							remedy: 'A name, or a place.'
						}
					]
				: [])
		];
		if (entry.ok && entry.value.additions.length === 0) {
			problems.push({ field: 'line', message: 'no card is named', remedy: 'Write: 5 7x2 12.' });
		}
		if (!entry.ok || !amount.ok || problems.length > 0) return refused(problems);
		const { release, releaseId, additions } = entry.value;
		const { minor: total, currency } = amount.value;
		const spread = await costs(
			tx,
			{ id: releaseId, key: release },
			draft.by,
			additions,
			total,
			currency
		);
		if (!spread.ok) return refused(spread.problems);
		const today = collection.now().slice(0, 10);
		const on = draft.on ?? today;
		const id = await insertOrder(
			record,
			{
				...{ from, way: 'in hand', currency, postageMinor: 0, note: draft.note.trim() || null },
				...{ state: 'here', stateOn: on, orderedOn: on, hereOn: on }
			},
			spread.value,
			collection.now()
		);
		const cards = await receiveInHand(record, tx, id);
		return { value: good({ id, cards }), label: `Pick-up from ${from}` };
	});
}

type CardsRead = Outcome<{
	readonly release: string;
	readonly releaseId: ReleaseId;
	readonly additions: readonly Addition[];
}>;
interface Addition {
	readonly version: string;
	readonly quantity: number;
	readonly condition?: BoughtLine['condition'];
}

async function readCards(tx: Transaction, cards: PickUpDraft['cards']): Promise<CardsRead> {
	if ('line' in cards) {
		const { release, line } = cards;
		const read = await readEntry(tx, release, line);
		return read.ok ? good({ release, ...read.value }) : bad(read.problems);
	}
	const { version } = cards;
	const release = parseVersionKey(version)?.release ?? '';
	const stored = await loadRelease(tx, release);
	return stored && findVersion(stored.release, version)
		? good({ release, releaseId: stored.id, additions: [{ version, quantity: 1 }] })
		: bad([
				{
					message: `"${version}" is no version of this collection`,
					remedy: 'Its checklist may have changed meanwhile: record it on the Orders page.'
				}
			]);
}

async function costs(
	tx: Transaction,
	release: { readonly id: ReleaseId; readonly key: string },
	by: Spread,
	additions: readonly Addition[],
	total: number,
	currency: string
): Promise<Outcome<readonly BoughtLine[]>> {
	const book =
		by === 'value' ? await readPriceBook(tx, new Map([[release.id, release.key]]), currency) : null;
	const keyed = additions.map((addition, i) => {
		const price = typicalPrice(book?.points.get(addition.version) ?? [], {
			versions: [addition.version]
		});
		return { addition, key: String(i), value: price && middleOf(price) };
	});
	const parts = spreadCost(
		total,
		keyed.map(({ key, addition, value }) => ({
			...{ key, quantity: addition.quantity, valueMinor: value && Math.round(value) }
		})),
		by
	);
	if (!parts.ok) return bad(parts.problems);
	return good(
		keyed.map(({ key, addition: { version, quantity, condition } }) => ({
			...{ releaseId: release.id, version, quantity, condition },
			minor: sum(
				parts.value.filter((part) => part.key === key),
				(part) => part.quantity * part.costMinor
			)
		}))
	);
}

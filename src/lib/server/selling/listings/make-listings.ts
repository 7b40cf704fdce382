import { inArray } from 'drizzle-orm';
import { parseAmount } from '../../../core/money/amount.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { CopyId, ListingId } from '../../../core/row-id.ts';
import { checkAsking, type ListingKind } from '../../../core/selling/listings/listing.ts';
import { changePicked, type CopyPick } from '../../copies/change-copies.ts';
import { outOf } from '../../copies/outings.ts';
import type { Collection } from '../../database/open.ts';
import { insertOne } from '../../database/record.ts';
import { copies, listingCards, listings } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { listedCopies } from './listed-copies.ts';
import { describeCopies, textOfCards } from './describe-listing.ts';

/** What is to be offered together; amounts as they are typed. */
export interface ListingDraft {
	readonly kind: ListingKind;
	readonly channel: string;
	readonly asking: string;
	/** Empty: what is asked. */
	readonly floor: string;
	readonly picks: readonly CopyPick[];
	/** Empty: as `listingText` writes it. */
	readonly title: string;
}

/**
 * Makes listings, all in one step: their cards are to be sold from now on, and where only some of a pile go they become a copy
 * apart. With any problem none is made.
 */
export function makeListings(
	collection: Collection,
	drafts: readonly ListingDraft[],
	currency: string
): Promise<Outcome<{ readonly ids: readonly ListingId[] }>> {
	return makeChange(collection, async (record, tx) => {
		const problems: Problem[] = [];
		const wanted = new Map<CopyId, number>();
		const read = drafts.map((draft) => {
			const amountOf = (text: string, field: string) => {
				const amount = parseAmount(text, currency);
				if (amount.ok) return amount.value.minor;
				problems.push(...amount.problems.map((problem) => ({ ...problem, field })));
				return 0;
			};
			for (const { copyId, quantity } of draft.picks) {
				wanted.set(copyId, (wanted.get(copyId) ?? 0) + quantity);
			}
			if (draft.picks.length === 0) {
				problems.push({ message: 'a listing has no card', remedy: 'Choose what is sold.' });
			}
			if (draft.channel.trim() === '') {
				problems.push({ field: 'channel', message: 'no channel is named', remedy: 'Say where.' });
			}
			const askingMinor = amountOf(draft.asking, 'asking');
			const floorMinor = draft.floor.trim() === '' ? askingMinor : amountOf(draft.floor, 'floor');
			problems.push(...checkAsking(askingMinor, floorMinor));
			return { ...draft, askingMinor, floorMinor };
		});
		if (drafts.length === 0) problems.push({ message: 'nothing is chosen', remedy: 'Tick a lot.' });
		const ids = [...wanted.keys()];
		const rows = await tx.select().from(copies).where(inArray(copies.id, ids));
		const rowOf = new Map(rows.map((row) => [row.id, row]));
		const out = await outOf(tx, ids);
		const listed = await listedCopies(tx, ids);
		const named = new Map(
			(
				await describeCopies(
					tx,
					ids.map((copyId) => ({ copyId, quantity: 1 }))
				)
			).map((card) => [card.copyId, [card.number, card.title].filter(Boolean).join(' ')])
		);
		for (const [id, quantity] of wanted) {
			const row = rowOf.get(id);
			const name = named.get(id) ?? 'a copy';
			const here = (row?.quantity ?? 0) - (out.get(id) ?? 0);
			if (!row)
				problems.push({ message: 'a copy is gone', remedy: 'Look at the list as it is now.' });
			else if (listed.has(id)) {
				problems.push({ message: `${name} is in a listing already`, remedy: 'Take it off there.' });
			} else if (row.status === 'incoming') {
				problems.push({ message: `${name} is not here yet`, remedy: 'Check it in first.' });
			} else if (here < quantity) {
				problems.push({ message: `only ${here} of ${name} are here`, remedy: 'Sell no more.' });
			}
		}
		if (problems.length > 0) return refused(problems);
		const made: ListingId[] = [];
		for (const { kind, channel, title, picks, askingMinor, floorMinor } of read) {
			const changed = await changePicked(
				record,
				tx,
				picks.map((pick) => ({ ...pick, fields: { status: 'to sell' as const } }))
			);
			if (!changed.ok) return refused(changed.problems);
			const cards = await describeCopies(
				tx,
				changed.value.map((copyId, i) => ({ copyId, quantity: picks[i]?.quantity ?? 1 }))
			);
			const told = textOfCards(kind, cards);
			const listing = await insertOne(record, listings, {
				...{ kind, currency, askingMinor, floorMinor },
				channel: channel.trim(),
				title: title.trim() || told.title,
				text: told.text
			});
			const costs = new Map(
				(
					await tx
						.select()
						.from(copies)
						.where(inArray(copies.id, [...changed.value]))
				).map((row) => [row.id, row])
			);
			await record.insert(
				listingCards,
				cards.map(({ copyId, version, quantity }) => ({
					...{ listingId: listing.id, copyId, version, quantity },
					costMinor: costs.get(copyId)?.costMinor ?? null,
					costCurrency: costs.get(copyId)?.currency ?? null
				}))
			);
			made.push(listing.id);
		}
		const label = made.length === 1 ? 'A listing' : `${made.length} listings`;
		return { value: good({ ids: made }), label };
	});
}

import { eq } from 'drizzle-orm';
import { parseAmount } from '../../../core/money/amount.ts';
import { good, type Outcome, type Problem } from '../../../core/problem.ts';
import type { ListingId } from '../../../core/row-id.ts';
import { checkAsking } from '../../../core/selling/listings/listing.ts';
import type { Collection } from '../../database/open.ts';
import { listings } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';

/** What of a listing is written anew; amounts as they are typed. */
export interface TypedListing {
	readonly title: string;
	readonly text: string;
	readonly channel: string;
	readonly asking: string;
	readonly floor: string;
}

/** Writes a listing anew, as long as it is not sold. */
export function editListing(
	collection: Collection,
	id: ListingId,
	typed: TypedListing
): Promise<Outcome<{ readonly id: ListingId }>> {
	return makeChange(collection, async (record, tx) => {
		const [listing] = await tx.select().from(listings).where(eq(listings.id, id));
		if (!listing) return refused([{ message: 'this listing is gone', remedy: 'Reload the page.' }]);
		const problems: Problem[] = [];
		const minorOf = (field: 'asking' | 'floor'): number => {
			const amount = parseAmount(typed[field], listing.currency);
			if (amount.ok) return amount.value.minor;
			problems.push(...amount.problems.map((problem) => ({ ...problem, field })));
			return 0;
		};
		const [title, channel] = [typed.title.trim(), typed.channel.trim()];
		const [askingMinor, floorMinor] = [minorOf('asking'), minorOf('floor')];
		if (problems.length === 0) problems.push(...checkAsking(askingMinor, floorMinor));
		if (title === '') {
			problems.push({ field: 'title', message: 'it has no title', remedy: 'Write one.' });
		}
		if (channel === '') {
			problems.push({ field: 'channel', message: 'no channel is named', remedy: 'Say where.' });
		}
		if (listing.soldOn !== null) {
			problems.push({ message: 'it is sold', remedy: 'Say first that it is not sold after all.' });
		}
		if (problems.length > 0) return refused(problems);
		await record.update(listings, id, {
			...{ title, channel, askingMinor, floorMinor, text: typed.text.trim() }
		});
		return { value: good({ id }), label: `Change the listing ${title}` };
	});
}

import { eq } from 'drizzle-orm';
import type { Transaction } from '../../database/open.ts';
import type { Recorder } from '../../database/record.ts';
import { offers } from '../../database/tables/index.ts';
import type { SellerId } from '../../../core/row-id.ts';

/** An offer as it is kept. */
export type NewOffer = Omit<typeof offers.$inferInsert, 'id' | 'sellerId'>;

/** Keeps what a seller offers; what was known of the same card in the same condition there is replaced. */
export async function keepOffers(
	record: Recorder,
	tx: Transaction,
	sellerId: SellerId,
	fresh: readonly NewOffer[]
): Promise<void> {
	const nameOf = ({ version, condition, grade }: NewOffer) =>
		`${version} ${condition ?? ''} ${grade ?? ''}`;
	// Of a card that stands twice the later offer counts.
	const said = new Map(fresh.map((offer) => [nameOf(offer), offer]));
	const known = await tx.select().from(offers).where(eq(offers.sellerId, sellerId));
	await record.remove(
		offers,
		known.filter((offer) => said.has(nameOf(offer))).map(({ id }) => id)
	);
	await record.insert(
		offers,
		[...said.values()].map((offer) => ({ ...offer, sellerId }))
	);
}

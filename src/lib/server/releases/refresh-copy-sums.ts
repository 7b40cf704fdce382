import { sql } from 'drizzle-orm';
import { chunks } from '../database/chunks.ts';
import type { Transaction } from '../database/open.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** A card of a release, by its key. */
export interface CardOfRelease {
	readonly releaseId: ReleaseId;
	readonly cardKey: string;
}

/** Counts the equal copies of some cards again: summary rows, from which worth is reckoned. */
export async function refreshCopySums(
	tx: Transaction,
	cards: readonly CardOfRelease[]
): Promise<void> {
	const keys = new Map(cards.map((card) => [`${card.releaseId} ${card.cardKey}`, card]));
	for (const some of chunks([...keys.values()], 2000)) {
		const asked = JSON.stringify(some.map(({ releaseId, cardKey }) => [releaseId, cardKey]));
		const isAsked = sql`(release_id, card_key) in (select value->>0, value->>1 from json_each(${asked}))`;
		await tx.run(sql`delete from copy_sums where ${isAsked}`);
		await tx.run(sql`insert into copy_sums
			(release_id, card_key, parallel_key, variant_key, "condition", grade, is_authentic, qualifier, house, status, value_minor, currency, quantity)
			select release_id, card_key, parallel_key, variant_key, "condition", grade, is_authentic, qualifier, house, status, value_minor, currency, sum(quantity)
			from copies where ${isAsked}
			group by 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12`);
	}
}

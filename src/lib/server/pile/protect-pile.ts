import { eq } from 'drizzle-orm';
import { rollups } from 'd3-array';
import { bad, type Outcome } from '../../core/problem.ts';
import type { TrayId } from '../../core/row-id.ts';
import { holderKindOf } from '../../core/storage/kinds/holder-kind.ts';
import { holdersTaken } from '../../core/storage/holders/tier-moves.ts';
import type { Collection, Reader } from '../database/open.ts';
import { pileCards } from '../database/tables/index.ts';
import { readHolderKinds } from '../places/keeping.ts';
import { HOLDER_RULES } from '../places/holder-tiers.ts';
import { readPreference } from '../preferences/preferences.ts';
import { setHolders } from '../storage/holders/change-holders.ts';
import { nameTierMoves, type NamedTierMove } from '../storage/holders/name-tier-moves.ts';
import { readTierMoves, type CopyTierMove } from '../storage/holders/read-tier-moves.ts';

/** What the cards that lie on a pile are to be put into. */
export interface Protection {
	readonly moves: readonly NamedTierMove[];
	/** Sleeves and holders by name, as many as it takes. */
	readonly takes: readonly { readonly name: string; readonly count: number }[];
}

/** The list of sleeves and loaders of a pile, by the tiers of holders; null: it is no pile yet. */
export async function readProtection(db: Reader, pile: TrayId | null): Promise<Protection> {
	const moves = pile === null ? [] : await movesOf(db, pile);
	const holders = await readHolderKinds(db);
	const taken = moves.flatMap(({ from, to, quantity }) =>
		holdersTaken(from, to, holders).map((holder) => ({
			name: holderKindOf(holder, holders).name,
			quantity
		}))
	);
	return {
		moves: await nameTierMoves(db, moves),
		takes: rollups(
			taken,
			(same) => same.reduce((sum, { quantity }) => sum + quantity, 0),
			({ name }) => name
		).map(([name, count]) => ({ name, count }))
	};
}

/** Records that the cards of a pile are in their sleeves and holders. */
export async function protectPile(
	collection: Collection,
	pile: TrayId
): Promise<Outcome<{ readonly moved: number }>> {
	const moves = await movesOf(collection.db, pile);
	if (moves.length > 0) return setHolders(collection, moves);
	return bad([{ message: 'every card of this pile is in its holder already' }]);
}

async function movesOf(db: Reader, pile: TrayId): Promise<readonly CopyTierMove[]> {
	const lying = await db
		.selectDistinct({ copyId: pileCards.copyId })
		.from(pileCards)
		.where(eq(pileCards.pileId, pile));
	if (lying.length === 0) return [];
	const rules = await readPreference(db, HOLDER_RULES);
	const { moves } = await readTierMoves(
		db,
		rules,
		lying.map(({ copyId }) => copyId)
	);
	// What no holder takes is told on the page of holders.
	return moves.filter(({ oddity }) => !oddity);
}

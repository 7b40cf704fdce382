import { sql } from 'drizzle-orm';
import type { Reader } from '../../database/open.ts';
import { readJoined } from '../../database/read-joined.ts';
import { FILED_CARD, WITH_FILED_CARD } from '../../places/filed-card.ts';
import type { CopyTierMove } from './read-tier-moves.ts';
import type { CopyId } from '../../../core/row-id.ts';

/** A move as it is shown: with its card, its release, and what it is worth. */
export interface NamedTierMove extends CopyTierMove {
	/** "27 Quiet Harbour Light, Brass" */
	readonly name: string;
	readonly release: string;
	readonly releaseKey: string;
	readonly cardKey: string;
	readonly valueMinor: number | null;
	readonly currency: string | null;
}

interface NameRow {
	readonly id: CopyId;
	readonly number: string | null;
	readonly title: string;
	readonly parallel: string | null;
	readonly variant: string | null;
	readonly release: string;
	readonly releaseKey: string;
	readonly cardKey: string;
	readonly valueMinor: number | null;
	readonly currency: string | null;
}

/** Moves with their names: of those that are shown. */
export async function nameTierMoves(
	db: Reader,
	moves: readonly CopyTierMove[]
): Promise<readonly NamedTierMove[]> {
	const ids = JSON.stringify(moves.map(({ copyId }) => copyId));
	const rows = await readJoined<NameRow>(
		db,
		{
			id: sql`"copies"."id"`,
			number: FILED_CARD.number,
			title: FILED_CARD.title,
			parallel: sql`p.name`,
			variant: sql`v.rule ->> 'name'`,
			release: sql`r.name`,
			releaseKey: sql`r.key`,
			cardKey: sql`"copies"."card_key"`,
			valueMinor: sql`"copies"."value_minor"`,
			currency: sql`"copies"."currency"`
		},
		sql`"copies" join releases r on r.id = "copies"."release_id" ${WITH_FILED_CARD}
			left join parallels p
				on p.release_id = "copies"."release_id" and p.key = "copies"."parallel_key"
			left join variants v
				on v.release_id = "copies"."release_id" and v.key = "copies"."variant_key"
			where "copies"."id" in (select value from json_each(${ids}))`
	);
	const rowOf = new Map(rows.map((row) => [row.id, row]));
	return moves.flatMap((move): NamedTierMove[] => {
		const row = rowOf.get(move.copyId);
		if (!row) return [];
		const { id: _, number, title, parallel, variant, ...shown } = row;
		const card = [number, title].filter(Boolean).join(' ');
		return [{ ...move, ...shown, name: [card, parallel, variant].filter(Boolean).join(', ') }];
	});
}

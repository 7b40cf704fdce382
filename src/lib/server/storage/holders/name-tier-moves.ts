import { sql } from 'drizzle-orm';
import type { Reader } from '../../database/open.ts';
import { readJoined } from '../../database/read-joined.ts';
import { NAMED_COPY, nameOfCopy, WITH_NAMES, type NamedCopy } from '../../places/named-copy.ts';
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

interface NameRow extends NamedCopy {
	readonly id: CopyId;
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
			...NAMED_COPY,
			releaseKey: sql`r.key`,
			cardKey: sql`"copies"."card_key"`,
			valueMinor: sql`"copies"."value_minor"`,
			currency: sql`"copies"."currency"`
		},
		sql`"copies" ${WITH_NAMES}
			where "copies"."id" in (select value from json_each(${ids}))`
	);
	const rowOf = new Map(rows.map((row) => [row.id, row]));
	return moves.flatMap((move): NamedTierMove[] => {
		const row = rowOf.get(move.copyId);
		if (!row) return [];
		const { id: _, number, title, parallel, variant, ...shown } = row;
		return [{ ...move, ...shown, name: nameOfCopy({ number, title, parallel, variant }) }];
	});
}

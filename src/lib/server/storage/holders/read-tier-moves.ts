import { rollup, sum } from 'd3-array';
import { and, asc, eq, gt, isNotNull, or, sql } from 'drizzle-orm';
import {
	tierMoves,
	type TieredCard,
	type TierMove
} from '../../../core/storage/holders/tier-moves.ts';
import type { Reader } from '../../database/open.ts';
import {
	cards,
	copies,
	editionCards,
	parallels,
	releases,
	sections,
	variants
} from '../../database/tables/index.ts';
import { USUAL_CURRENCY, type HolderRules } from '../../places/holder-tiers.ts';
import { isHere } from '../../places/homeless.ts';
import { formatColumns, formatOf } from '../../places/kept-columns.ts';
import { readSwatches } from '../../places/read-swatches.ts';

/** A move up or down a tier, with the card's name. */
export interface NamedTierMove extends TierMove {
	readonly copyId: number;
	readonly name: string;
	readonly release: string;
	readonly releaseKey: string;
	readonly cardKey: string;
	readonly valueMinor: number | null;
	readonly currency: string | null;
}

export interface TierMoves {
	readonly moves: readonly NamedTierMove[];
	/** What the tiers are stated in. */
	readonly currency: string;
	/** Cards of which no tier says anything, because they are valued in other money; by currency. */
	readonly otherMoney: readonly { readonly currency: string; readonly cards: number }[];
}

/** Which cards should be in another holder, as values and rules are now. Read are those with a value, a holder or a word. */
export async function readTierMoves(db: Reader, rules: HolderRules): Promise<TierMoves> {
	const rows = await db
		.select({
			id: copies.id,
			quantity: copies.quantity,
			valueMinor: copies.valueMinor,
			currency: copies.currency,
			grade: copies.grade,
			isAuthentic: copies.isAuthentic,
			cardKey: copies.cardKey,
			parallelKey: copies.parallelKey,
			releaseId: copies.releaseId,
			parallel: parallels.name,
			variant: sql<string | null>`${variants.rule} ->> 'name'`,
			number: sql<string | null>`coalesce(${cards.number}, ${editionCards.number})`,
			title: sql<string | null>`coalesce(${cards.title}, ${editionCards.title})`,
			subjects: cards.subjects,
			marks: cards.marks,
			section: sections.name,
			...formatColumns,
			release: releases.name,
			releaseKey: releases.key
		})
		.from(copies)
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.leftJoin(cards, and(eq(cards.releaseId, copies.releaseId), eq(cards.key, copies.cardKey)))
		.leftJoin(
			editionCards,
			and(eq(editionCards.releaseId, copies.releaseId), eq(editionCards.key, copies.cardKey))
		)
		.leftJoin(
			sections,
			sql`${sections.id} = coalesce(${cards.sectionId}, ${editionCards.sectionId})`
		)
		.leftJoin(
			parallels,
			and(eq(parallels.releaseId, copies.releaseId), eq(parallels.key, copies.parallelKey))
		)
		.leftJoin(
			variants,
			and(eq(variants.releaseId, copies.releaseId), eq(variants.key, copies.variantKey))
		)
		// Without a rule by name only what has a value or a holder can move.
		.where(
			and(
				isHere,
				rules.names.length > 0 ? undefined : or(gt(copies.valueMinor, 0), isNotNull(copies.holder))
			)
		)
		.orderBy(asc(copies.id));
	const known = new Map(rows.map((row) => [String(row.id), row]));
	const swatchOf = await readSwatches(db);
	const { tiers, names, currency = USUAL_CURRENCY } = rules;
	const tiered = rows.map((row): TieredCard => ({
		key: String(row.id),
		quantity: row.quantity,
		...(row.valueMinor === null ? {} : { valueMinor: row.valueMinor }),
		...(row.currency === null ? {} : { currency: row.currency }),
		format: formatOf(row, swatchOf(row)) ?? {},
		holder: row.holder,
		isGraded: row.grade !== null || row.isAuthentic,
		words: [row.title ?? '', ...(row.subjects ?? []), ...(row.marks ?? []), row.section ?? '']
	}));
	const moves = tierMoves(tiered, tiers, names, currency).flatMap((move): NamedTierMove[] => {
		const row = known.get(move.card);
		if (!row) return [];
		const card = [row.number, row.title ?? row.cardKey].filter(Boolean).join(' ');
		return [
			{
				...move,
				copyId: row.id,
				name: [card, row.parallel, row.variant].filter(Boolean).join(', '),
				release: row.release,
				releaseKey: row.releaseKey,
				cardKey: row.cardKey,
				valueMinor: row.valueMinor,
				currency: row.currency
			}
		];
	});
	const other = rows.filter((row) => row.valueMinor && (row.currency ?? currency) !== currency);
	const byCurrency = rollup(
		other,
		(same) => sum(same, ({ quantity }) => quantity),
		(row) => row.currency ?? currency
	);
	return {
		moves,
		currency,
		otherMoney: [...byCurrency].map(([of, cards]) => ({ currency: of, cards }))
	};
}

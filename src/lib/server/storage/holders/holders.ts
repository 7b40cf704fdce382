import { and, asc, eq, gt, inArray, isNotNull, or, sql } from 'drizzle-orm';
import {
	handAfter,
	tierMoves,
	type TieredCard,
	type TierMove
} from '../../../core/storage/holders/tier-moves.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { Static } from 'typebox';
import type { Collection, Reader } from '../../database/open.ts';
import { cards, copies, releases, sections, editionCards } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { readPreference, writePreference } from '../../preferences/preferences.ts';
import { HOLDER_RULES, type HolderRulesSchema } from '../../places/holder-tiers.ts';
import { isHere } from '../../places/homeless.ts';
import { formatColumns, formatOf } from '../../places/kept-columns.ts';
import { readSwatches } from '../../places/read-swatches.ts';
import { measureAnew } from '../../places/measure-anew.ts';

export type HolderRules = Static<typeof HolderRulesSchema>;

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

/** Which cards should be in another holder, as values and rules are now. Read are those with a value, a holder or a word. */
export async function readTierMoves(
	db: Reader,
	rules: HolderRules
): Promise<readonly NamedTierMove[]> {
	const rows = await db
		.select({
			id: copies.id,
			quantity: copies.quantity,
			valueMinor: copies.valueMinor,
			currency: copies.currency,
			grade: copies.grade,
			isAuthentic: copies.isAuthentic,
			cardKey: copies.cardKey,
			parallel: copies.parallelKey,
			parallelKey: copies.parallelKey,
			releaseId: copies.releaseId,
			variant: copies.variantKey,
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
	const tiered = rows
		// What is graded is in its grading house's holder.
		.filter(({ grade, isAuthentic }) => grade === null && !isAuthentic)
		.map((row): TieredCard => ({
			key: String(row.id),
			quantity: row.quantity,
			...(row.valueMinor === null ? {} : { valueMinor: row.valueMinor }),
			format: formatOf(row, swatchOf(row)) ?? {},
			holder: row.holder,
			words: [row.title ?? '', ...(row.subjects ?? []), ...(row.marks ?? []), row.section ?? '']
		}));
	return tierMoves(tiered, rules.tiers, rules.names).flatMap((move) => {
		const row = known.get(move.card);
		if (!row) return [];
		const name = [
			[row.number, row.title ?? row.cardKey].filter(Boolean).join(' '),
			row.parallel,
			row.variant
		];
		return [
			{
				...move,
				copyId: row.id,
				name: name.filter(Boolean).join(', '),
				release: row.release,
				releaseKey: row.releaseKey,
				cardKey: row.cardKey,
				valueMinor: row.valueMinor,
				currency: row.currency
			}
		];
	});
}

/** Records that copies are in other holders now; what is used up leaves the supplies on hand. */
export function setHolders(
	collection: Collection,
	moves: readonly { readonly copyId: number; readonly to: string | null }[]
): Promise<Outcome<{ readonly moved: number }>> {
	return makeChange(collection, async (record, tx) => {
		const ids = moves.map(({ copyId }) => copyId);
		const rows = await tx.select().from(copies).where(inArray(copies.id, ids));
		const rowOf = new Map(rows.map((row) => [row.id, row]));
		if (moves.some(({ copyId }) => !rowOf.has(copyId))) {
			return refused([{ message: 'a copy is gone', remedy: 'Look at the list as it is now.' }]);
		}
		const rules = await readPreference(tx, HOLDER_RULES);
		let { onHand } = rules;
		for (const { copyId, to } of moves) {
			const row = rowOf.get(copyId);
			if (!row || row.holder === to) continue;
			await record.update(copies, copyId, { holder: to });
			await measureAnew(record, tx, row.id);
			onHand = handAfter(onHand, { from: row.holder, to, quantity: row.quantity });
		}
		await writePreference(record, tx, HOLDER_RULES, { ...rules, onHand });
		const label =
			moves.length === 1
				? 'A card into another holder'
				: `${moves.length} cards into other holders`;
		return { value: good({ moved: moves.length }), label };
	});
}

/** Sets tiers, rules by name and supplies on hand. */
export function setHolderRules(
	collection: Collection,
	rules: HolderRules
): Promise<Outcome<{ readonly tiers: number }>> {
	return makeChange(collection, async (record, tx) => {
		const tiers = new Set(rules.tiers.map(({ name }) => name));
		const problems = [
			...(tiers.size < rules.tiers.length
				? [
						{
							field: 'tiers',
							message: 'two tiers have the same name',
							remedy: 'Rename one of them.'
						}
					]
				: []),
			...rules.names
				.filter(({ tier }) => !tiers.has(tier))
				.map(({ word, tier }) => ({
					field: 'names',
					message: `"${word}" names the tier "${tier}", which is not there`
				}))
		];
		if (problems.length > 0) return refused(problems);
		await writePreference(record, tx, HOLDER_RULES, rules);
		return { value: good({ tiers: rules.tiers.length }), label: 'Holders' };
	});
}

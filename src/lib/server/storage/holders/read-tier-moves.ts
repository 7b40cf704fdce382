import { rollup, sum } from 'd3-array';
import { and, sql } from 'drizzle-orm';
import type { CardFormat } from '../../../core/checklist/card-format.ts';
import {
	tierMoves,
	type TieredCard,
	type TierMove
} from '../../../core/storage/holders/tier-moves.ts';
import { convertMinor } from '../../../core/money/exchange-rates.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import type { Reader } from '../../database/open.ts';
import { readJoined } from '../../database/read-joined.ts';
import { FILED_CARD, WITH_FILED_CARD } from '../../places/filed-card.ts';
import { USUAL_CURRENCY, type HolderRules } from '../../places/holder-tiers.ts';
import { readHolderKinds } from '../../places/keeping.ts';
import { isHere } from '../../places/homeless.ts';
import { formatOf, parallelStock } from '../../places/kept-columns.ts';
import { readSwatches } from '../../places/read-swatches.ts';
import { type CopyId, type ReleaseId, rowId } from '../../../core/row-id.ts';

/** A move up or down a tier of a copy. */
export interface CopyTierMove extends TierMove {
	readonly copyId: CopyId;
}

export interface TierMoves {
	readonly moves: readonly CopyTierMove[];
	/** What the tiers are stated in. */
	readonly currency: string;
	/** Cards of which no tier says anything, because they are valued in other money; by currency. */
	readonly otherMoney: readonly { readonly currency: string; readonly cards: number }[];
}

interface TieredRow {
	readonly id: CopyId;
	readonly releaseId: ReleaseId;
	readonly cardKey: string;
	readonly parallelKey: string | null;
	readonly quantity: number;
	readonly valueMinor: number | null;
	readonly currency: string | null;
	readonly holder: string | null;
	readonly isGraded: number;
	readonly format: string | null;
	readonly parallelPt: number | null;
	/** Title, subjects, marks, section, finish and variant, where rules by name ask for them. */
	readonly words: readonly string[] | null;
}

/**
 * Which cards should be in another holder, as values and rules are now: of some copies, or of all. Read are
 * those with a value, a holder or a word.
 */
export async function readTierMoves(
	db: Reader,
	rules: HolderRules,
	only?: readonly CopyId[]
): Promise<TierMoves> {
	const { tiers, names, currency = USUAL_CURRENCY } = rules;
	const rates = await readPreference(db, EXCHANGE_RATES);
	const holders = await readHolderKinds(db);
	const rows = await readRows(db, names.length > 0, only);
	const swatchOf = await readSwatches(db);
	// Most cards are made as many others are.
	const formats = new Map<string, CardFormat>();
	const formatLike = (row: TieredRow): CardFormat => {
		const swatch = swatchOf(row);
		const features = `${row.format ?? ''}|${row.parallelPt ?? ''}|${swatch ?? ''}`;
		let found = formats.get(features);
		if (!found) formats.set(features, (found = formatOf(row, swatch) ?? {}));
		return found;
	};
	const tiered = rows.map((row): TieredCard => ({
		key: String(row.id),
		quantity: row.quantity,
		...(row.valueMinor === null ? {} : { valueMinor: row.valueMinor }),
		...(row.currency === null ? {} : { currency: row.currency }),
		format: formatLike(row),
		holder: row.holder,
		isGraded: row.isGraded === 1,
		words: row.words ?? []
	}));
	const other = rollup(
		rows.filter(
			(row) =>
				row.valueMinor &&
				convertMinor(row.valueMinor, row.currency ?? currency, currency, rates) === null
		),
		(same) => sum(same, ({ quantity }) => quantity),
		(row) => row.currency ?? currency
	);
	return {
		moves: tierMoves(tiered, tiers, { names, currency, rates, holders }).map((move) => ({
			...move,
			copyId: rowId(Number(move.card))
		})),
		currency,
		otherMoney: [...other].map(([of, cards]) => ({ currency: of, cards }))
	};
}

function readRows(
	db: Reader,
	hasWords: boolean,
	only: readonly CopyId[] | undefined
): Promise<readonly TieredRow[]> {
	const words = sql`json_array(${FILED_CARD.title}, coalesce(s.name, ''),
		coalesce(k.subjects, e.subjects, ''), coalesce(k.marks, ''),
		coalesce((select p.name from parallels p where p.release_id = "copies"."release_id"
			and p.key = "copies"."parallel_key"), ''),
		coalesce((select v.rule ->> 'name' from variants v where v.release_id = "copies"."release_id"
			and v.key = "copies"."variant_key"), ''))`;
	return readJoined<TieredRow>(
		db,
		{
			id: sql`"copies"."id"`,
			releaseId: sql`"copies"."release_id"`,
			cardKey: sql`"copies"."card_key"`,
			parallelKey: sql`"copies"."parallel_key"`,
			quantity: sql`"copies"."quantity"`,
			valueMinor: sql`"copies"."value_minor"`,
			currency: sql`"copies"."currency"`,
			holder: sql`"copies"."holder"`,
			isGraded: sql`("copies"."grade" is not null or "copies"."is_authentic")`,
			format: FILED_CARD.format,
			parallelPt: parallelStock,
			words: hasWords ? words : sql`null`
		},
		// Without a rule by name only what has a value or a holder can move.
		sql`"copies" ${WITH_FILED_CARD} where ${and(
			isHere,
			only && sql`"copies"."id" in (select value from json_each(${JSON.stringify(only)}))`,
			hasWords
				? undefined
				: sql`"copies"."id" in (select id from copies where value_minor > 0
					union select id from copies where holder is not null)`
		)} order by "copies"."id"`
	);
}

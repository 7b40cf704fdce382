import { group, sum } from 'd3-array';
import { asc, inArray, sql } from 'drizzle-orm';
import { compareFiled, titled } from '../../../core/checklist/filed-title.ts';
import {
	compareCardNumbers,
	compareTitles
} from '../../../core/checklist/numbers/compare-card-numbers.ts';
import { DIVIDER_UM } from '../../../core/storage/plan/choose-box.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import type { Reader } from '../../database/open.ts';
import { readJoined } from '../../database/read-joined.ts';
import { FILED_CARD, WITH_FILED_CARD } from '../../places/filed-card.ts';
import { dividers } from '../../database/tables/index.ts';
import { readBoxes, type StoredBox } from './read-storage.ts';
import type { BoxId, CopyId, DividerId, ReleaseId } from '../../../core/row-id.ts';

/** So many cards of a copy behind a divider. */
export interface StandingCopy {
	readonly id: CopyId;
	readonly copyId: CopyId;
	readonly release: string;
	/** Key of its version. */
	readonly version: string;
	readonly cardKey: string;
	readonly number: string | null;
	readonly title: string;
	/** What it is sorted as where it has no number; null: its title. */
	readonly sortAs: string | null;
	readonly quantity: number;
	readonly um: number;
}

export interface StoredDivider {
	readonly id: DividerId;
	readonly boxId: BoxId;
	readonly row: number;
	readonly position: number;
	readonly label: string;
	readonly releaseId: ReleaseId | null;
	/** The run of that release that stands there (`runOfDivider`). */
	readonly sectionKey: string | null;
	readonly parallelKey: string | null;
	readonly setNumber: number | null;
	/** The year whose strays stand there. */
	readonly straysOf: string | null;
	/** The divider where what stands there begins; null: here. */
	readonly partOf: number | null;
	/** ISO 8601; null: never. */
	readonly checkedAt: string | null;
	/** In the order in which they stand. */
	readonly standing: readonly StandingCopy[];
	readonly cards: number;
	/** With the divider itself. */
	readonly um: number;
}

export interface OpenBox extends StoredBox {
	readonly dividers: readonly StoredDivider[];
}

/** A box with its dividers and what stands behind each; null where there is none. */
export async function readBox(db: Reader, id: BoxId): Promise<OpenBox | null> {
	const [box] = await readBoxes(db, [id]);
	return box ? { ...box, dividers: await readDividers(db, { boxes: [id] }) } : null;
}

/** Dividers row by row with what stands behind each: those of some boxes, of a set, or some of them. */
export async function readDividers(
	db: Reader,
	which: { readonly boxes?: readonly BoxId[]; readonly ids?: readonly DividerId[] }
): Promise<readonly StoredDivider[]> {
	const where = which.ids
		? inArray(dividers.id, [...which.ids])
		: inArray(dividers.boxId, [...(which.boxes ?? [])]);
	const rows = await db
		.select()
		.from(dividers)
		.where(where)
		.orderBy(asc(dividers.boxId), asc(dividers.row), asc(dividers.position), asc(dividers.id));
	const standing = group(
		await readStanding(
			db,
			rows.map(({ id }) => id)
		),
		(card) => card.dividerId
	);
	return rows.map((row) => {
		const cards = (standing.get(row.id) ?? []).sort(inRow);
		return {
			...row,
			standing: cards,
			cards: sum(cards, ({ quantity }) => quantity),
			um: DIVIDER_UM + sum(cards, ({ quantity, um }) => quantity * um)
		};
	});
}

async function readStanding(db: Reader, ids: readonly DividerId[]) {
	const rows = await readJoined<
		Omit<StandingCopy, 'version'> & {
			readonly dividerId: DividerId;
			readonly parallel: string | null;
			readonly variant: string | null;
		}
	>(
		db,
		{
			id: sql`b.id`,
			dividerId: sql`b.divider_id`,
			copyId: sql`b.copy_id`,
			quantity: sql`b.quantity`,
			um: sql`b.um`,
			release: sql`r.key`,
			cardKey: sql`"copies"."card_key"`,
			parallel: sql`"copies"."parallel_key"`,
			variant: sql`"copies"."variant_key"`,
			number: FILED_CARD.number,
			title: FILED_CARD.title,
			sortAs: FILED_CARD.sortAs
		},
		sql`box_cards b join "copies" on "copies"."id" = b.copy_id
			join releases r on r.id = "copies"."release_id" ${WITH_FILED_CARD}
			where b.divider_id in (select value from json_each(${JSON.stringify(ids)})) order by b.id`
	);
	return rows.map(({ parallel, variant, ...row }) => ({
		...row,
		version: formatVersionKey({ release: row.release, card: row.cardKey, parallel, variant })
	}));
}

/** Release by release, by number, what has none by title; versions of a card beside each other. */
export function inRow(
	a: Pick<StandingCopy, 'release' | 'number' | 'title' | 'sortAs' | 'version'>,
	b: Pick<StandingCopy, 'release' | 'number' | 'title' | 'sortAs' | 'version'>
): number {
	return (
		compareTitles(a.release, b.release) ||
		compareCardNumbers(a.number, b.number) ||
		compareFiled(titled(a.title, a.sortAs), titled(b.title, b.sortAs)) ||
		(a.version < b.version ? -1 : a.version > b.version ? 1 : 0)
	);
}

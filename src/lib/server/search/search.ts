import { inArray, sql } from 'drizzle-orm';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import { placesOfCards, placesOfCopies, type CardPlace } from '../places/places-of.ts';
import type { Reader } from '../database/open.ts';
import {
	cards,
	copies,
	editionCards,
	parallels,
	releases,
	sections,
	variants
} from '../database/tables/index.ts';
import type { CopyId, IndexedCardId } from '../../core/row-id.ts';

/** A card, or a copy, that a search found. */
export interface Found {
	readonly releaseKey: string;
	readonly releaseName: string;
	readonly section: string;
	readonly cardKey: string;
	readonly number: string | null;
	readonly title: string;
	readonly group: string | null;
	/** Copies of the card, in any version. */
	readonly owned: number;
	/** What of a copy was found: its finish, variant, serial number, place or note. */
	readonly copy: { readonly version: string; readonly text: string } | null;
	/** Boxes and binders in which it is, or copies of the card are. */
	readonly places: readonly CardPlace[];
}

/** The most that one search gives. */
const MOST_FOUND = 60;
/** The most of them that are copies, where cards were found as well. */
const MOST_COPIES = 30;
/** Candidates looked at: so many are taken from the index, unsorted, and then put in order. */
const MOST_CANDIDATES = 200;

/**
 * Finds cards by number, title, subject, group, section, release and year, and copies by these
 * together with words of their own: finish, variant, attributes, serial number, house, certificate,
 * place, note and source. All words must be there, the last may be a beginning.
 */
export async function search(db: Reader, text: string): Promise<readonly Found[]> {
	return withPlaces(db, await findRows(db, text));
}

/** Keys of the releases of which cards or copies are found so, the best first; where they are is not looked up. */
export async function searchReleases(db: Reader, text: string): Promise<readonly string[]> {
	const found = await findRows(db, text);
	return [...new Set(found.map(({ releaseKey }) => releaseKey))];
}

async function findRows(db: Reader, text: string): Promise<readonly FoundRow[]> {
	const words = text.match(/[\p{L}\p{N}/.-]+/gu)?.slice(0, 12) ?? [];
	if (words.length === 0) return [];
	const quoted = words.map((word) => `"${word}"`);
	const begun = [...quoted.slice(0, -1), `${quoted.at(-1) ?? ''}*`];
	const ids = async <Id extends CopyId | IndexedCardId>(
		table: 'card_search' | 'copy_search',
		toQuery: (of: string[]) => string
	) => {
		const rows: { readonly id: Id }[] = [];
		for (const of of [quoted, begun]) {
			rows.push(
				...(await db.all<{ id: Id }>(
					sql`select rowid as id from ${sql.identifier(table)} where ${sql.identifier(table)} match ${toQuery(of)} limit ${MOST_CANDIDATES}`
				))
			);
		}
		return [...new Set(rows.map(({ id }) => id))];
	};
	const all = (of: string[]) => of.join(' AND ');
	// A copy all of whose words are its card's is found as the card.
	const withOwn = (of: string[]) => `(${all(of)}) AND own : (${of.join(' OR ')})`;
	const first = words[0]?.toLowerCase();
	const isNumbered = ({ number }: Found) => words.some((word) => word === number?.toLowerCase());
	const starts = ({ title }: Found) => title.toLowerCase().startsWith(first ?? '');
	const rank = (found: Found) =>
		(isNumbered(found) ? 4 : 0) + (starts(found) ? 2 : 0) + (found.owned > 0 ? 1 : 0);
	const ranked = (found: readonly FoundRow[]) => found.toSorted((a, b) => rank(b) - rank(a));
	const ofCopies = ranked(await foundCopies(db, await ids<CopyId>('copy_search', withOwn)));
	const ofCards = ranked(await foundCards(db, await ids<IndexedCardId>('card_search', all)));
	return [
		...ofCopies.slice(0, Math.max(MOST_COPIES, MOST_FOUND - ofCards.length)),
		...ofCards
	].slice(0, MOST_FOUND);
}

/** Of a copy its id, of a card none. */
type FoundRow = Found & { readonly cardId: IndexedCardId | null; readonly copyId: CopyId | null };

async function withPlaces(db: Reader, shown: readonly FoundRow[]): Promise<readonly Found[]> {
	const byCopy = await placesOfCopies(
		db,
		shown.flatMap(({ copyId }) => copyId ?? [])
	);
	const byCard = await placesOfCards(
		db,
		shown.flatMap(({ cardId, owned }) => (cardId !== null && owned > 0 ? cardId : []))
	);
	return shown.map(({ cardId, copyId, ...found }) => ({
		...found,
		places:
			(copyId !== null ? byCopy.get(copyId) : cardId !== null ? byCard.get(cardId) : undefined) ??
			[]
	}));
}

const head = {
	releaseKey: releases.key,
	releaseName: releases.name,
	section: sections.name,
	cardKey: cards.key,
	number: cards.number,
	title: cards.title,
	group: cards.group
} as const;

/** Cards by their numbers in the index: above 0 listed ones, below 0 those that editions repeat. */
async function foundCards(db: Reader, ids: readonly IndexedCardId[]): Promise<FoundRow[]> {
	return [...(await cardsIn(db, cards, ids, 1)), ...(await cardsIn(db, editionCards, ids, -1))];
}

async function cardsIn(
	db: Reader,
	table: typeof cards | typeof editionCards,
	indexed: readonly IndexedCardId[],
	sign: 1 | -1
): Promise<FoundRow[]> {
	const ids = indexed.flatMap((id) => (sign * id > 0 ? sign * id : []));
	if (ids.length === 0) return [];
	const rows = await db
		.select({
			...head,
			cardKey: table.key,
			number: table.number,
			title: table.title,
			group: table.group,
			cardId: sql<IndexedCardId>`${sign} * ${table.id}`,
			owned: sql<number>`(select coalesce(sum(${copies.quantity}), 0) from ${copies} where ${copies.releaseId} = ${table.releaseId} and ${copies.cardKey} = ${table.key})`
		})
		.from(table)
		.innerJoin(releases, sql`${releases.id} = ${table.releaseId}`)
		.innerJoin(sections, sql`${sections.id} = ${table.sectionId}`)
		.where(inArray(sql`${table.id}`, ids));
	return rows.map((row) => ({ ...row, copyId: null, copy: null, places: [] }));
}

async function foundCopies(db: Reader, ids: readonly CopyId[]): Promise<FoundRow[]> {
	if (ids.length === 0) return [];
	const rows = await db
		.select({
			...head,
			number: sql<string | null>`coalesce(${cards.number}, ${editionCards.number})`,
			title: sql<string | null>`coalesce(${cards.title}, ${editionCards.title})`,
			row: copies,
			finish: parallels.name,
			variant: variants.rule
		})
		.from(copies)
		.innerJoin(releases, sql`${releases.id} = ${copies.releaseId}`)
		.leftJoin(
			cards,
			sql`${cards.releaseId} = ${copies.releaseId} and ${cards.key} = ${copies.cardKey}`
		)
		.leftJoin(
			editionCards,
			sql`${editionCards.releaseId} = ${copies.releaseId} and ${editionCards.key} = ${copies.cardKey}`
		)
		.leftJoin(
			sections,
			sql`${sections.id} = coalesce(${cards.sectionId}, ${editionCards.sectionId})`
		)
		.leftJoin(
			parallels,
			sql`${parallels.releaseId} = ${copies.releaseId} and ${parallels.key} = ${copies.parallelKey}`
		)
		.leftJoin(
			variants,
			sql`${variants.releaseId} = ${copies.releaseId} and ${variants.key} = ${copies.variantKey}`
		)
		.where(inArray(copies.id, [...ids]));
	return rows.map(({ row, section, cardKey, title, finish, variant, ...rest }) => ({
		...rest,
		section: section ?? '',
		cardKey: cardKey ?? row.cardKey,
		title: title ?? row.cardKey,
		owned: row.quantity,
		cardId: null,
		copyId: row.id,
		places: [],
		copy: {
			version: formatVersionKey({
				release: rest.releaseKey,
				card: row.cardKey,
				parallel: row.parallelKey,
				variant: row.variantKey
			}),
			text: [
				variant?.name ?? row.variantKey,
				finish ?? row.parallelKey,
				...row.attributes,
				row.serial,
				row.house,
				row.certificate,
				row.place,
				row.note,
				row.source
			]
				.filter(Boolean)
				.join(' · ')
		}
	}));
}

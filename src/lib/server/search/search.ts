import { inArray, sql } from 'drizzle-orm';
import { formatVersionKey } from '../../core/checklist/version-key.ts';
import type { Reader } from '../database/open.ts';
import { cards, copies, releases, sections } from '../database/tables/index.ts';

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
	/** What of a copy was found: its serial number, place or note. */
	readonly copy: { readonly version: string; readonly text: string } | null;
}

/** The most that one search gives. */
const MOST_FOUND = 60;
/** Candidates looked at: so many are taken from the index, unsorted, and then put in order. */
const MOST_CANDIDATES = 200;

/**
 * Finds cards by number, title, subject, group, section, release and year, and copies by serial
 * number, certificate, place, note and source. All words must be there, the last may be a beginning.
 */
export async function search(db: Reader, text: string): Promise<readonly Found[]> {
	const words = text.match(/[\p{L}\p{N}/.-]+/gu)?.slice(0, 12) ?? [];
	if (words.length === 0) return [];
	const quoted = words.map((word) => `"${word}"`);
	const whole = quoted.join(' ');
	const begun = [...quoted.slice(0, -1), `${quoted.at(-1) ?? ''}*`].join(' ');
	const ids = async (table: 'card_search' | 'copy_search') => {
		const rows = [];
		for (const query of [whole, begun]) {
			rows.push(
				...(await db.all<{ id: number }>(
					sql`select rowid as id from ${sql.identifier(table)} where words match ${query} limit ${MOST_CANDIDATES}`
				))
			);
		}
		return [...new Set(rows.map(({ id }) => id))];
	};
	const copyHits = await foundCopies(db, await ids('copy_search'));
	const cardHits = await foundCards(db, await ids('card_search'));
	const first = words[0]?.toLowerCase();
	const isNumbered = ({ number }: Found) => words.some((word) => word === number?.toLowerCase());
	const starts = ({ title }: Found) => title.toLowerCase().startsWith(first ?? '');
	const rank = (found: Found) =>
		(isNumbered(found) ? 4 : 0) + (starts(found) ? 2 : 0) + (found.owned > 0 ? 1 : 0);
	return [...copyHits, ...cardHits.sort((a, b) => rank(b) - rank(a))].slice(0, MOST_FOUND);
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

async function foundCards(db: Reader, ids: readonly number[]): Promise<Found[]> {
	if (ids.length === 0) return [];
	const rows = await db
		.select({
			...head,
			owned: sql<number>`(select coalesce(sum(${copies.quantity}), 0) from ${copies} where ${copies.releaseId} = ${cards.releaseId} and ${copies.cardKey} = ${cards.key})`
		})
		.from(cards)
		.innerJoin(releases, sql`${releases.id} = ${cards.releaseId}`)
		.innerJoin(sections, sql`${sections.id} = ${cards.sectionId}`)
		.where(inArray(cards.id, [...ids]));
	return rows.map((row) => ({ ...row, copy: null }));
}

async function foundCopies(db: Reader, ids: readonly number[]): Promise<Found[]> {
	if (ids.length === 0) return [];
	const rows = await db
		.select({ ...head, row: copies })
		.from(copies)
		.innerJoin(releases, sql`${releases.id} = ${copies.releaseId}`)
		.leftJoin(
			cards,
			sql`${cards.releaseId} = ${copies.releaseId} and ${cards.key} = ${copies.cardKey}`
		)
		.leftJoin(sections, sql`${sections.id} = ${cards.sectionId}`)
		.where(inArray(copies.id, [...ids]));
	return rows.map(({ row, section, cardKey, title, ...rest }) => ({
		...rest,
		section: section ?? '',
		cardKey: cardKey ?? row.cardKey,
		title: title ?? row.cardKey,
		owned: row.quantity,
		copy: {
			version: formatVersionKey({
				release: rest.releaseKey,
				card: row.cardKey,
				parallel: row.parallelKey,
				variant: row.variantKey
			}),
			text: [row.serial, row.certificate, row.place, row.note, row.source]
				.filter(Boolean)
				.join(' · ')
		}
	}));
}

import { group } from 'd3-array';
import { and, inArray } from 'drizzle-orm';
import {
	boxLabel,
	dividerTab,
	shelfTag,
	type LabelledSet,
	type LabelText
} from '../../../core/storage/labels/label-text.ts';
import { isKeptApart } from '../../../core/storage/kinds/use-of-copy.ts';
import { labelOf } from '../../../core/storage/plan/plan-boxes.ts';
import { compareTitles, sortByCardNumber } from '../../../core/checklist/compare-card-numbers.ts';
import type { Reader } from '../../database/open.ts';
import { cards, copies, releases } from '../../database/tables/index.ts';
import { isHere } from '../../places/homeless.ts';
import { placesOf, type CardPlace } from '../../places/places-of.ts';
import { readDividers } from '../room/read-box.ts';
import { readBoxes, readShelves } from '../room/read-storage.ts';

export const LABEL_SORTS = ['boxes', 'dividers', 'shelves'] as const;
export type LabelSort = (typeof LABEL_SORTS)[number];

interface LabelChoice {
	readonly sort: LabelSort;
	/** Boxes whose labels, or dividers' tabs, are wanted; empty: all. */
	readonly boxIds: readonly number[];
	/** Where a phone reaches this program: "http://192.168.1.5:3000". */
	readonly address: string;
	/** ISO 8601 date */
	readonly date: string;
}

/** The texts of the labels that are wanted, in walking order. */
export async function labelTexts(
	db: Reader,
	{ sort, boxIds, address, date }: LabelChoice
): Promise<readonly LabelText[]> {
	const wanted = (await readBoxes(db)).filter(
		({ id }) => boxIds.length === 0 || boxIds.includes(id)
	);
	if (sort === 'shelves') {
		const all = await readBoxes(db);
		return (await readShelves(db)).map((shelf) =>
			shelfTag(
				shelf,
				all.filter(({ shelfId }) => shelfId === shelf.id).map(({ name }) => name)
			)
		);
	}
	const own = group(
		await readDividers(db, { boxes: wanted.map(({ id }) => id) }),
		({ boxId }) => boxId
	);
	if (sort === 'dividers') {
		return wanted.flatMap((box) =>
			(own.get(box.id) ?? []).map(({ label, row, standing }) =>
				dividerTab(
					label,
					standing.map(({ number, title }) => number ?? title),
					{ box: box.name, row }
				)
			)
		);
	}
	const setsOf = (id: number) => [
		...new Set((own.get(id) ?? []).flatMap(({ releaseId }) => releaseId ?? []))
	];
	const label = await setLabeller(db, [...new Set(wanted.flatMap(({ id }) => setsOf(id)))]);
	return wanted.map(({ id, name, use }) =>
		boxLabel(
			{ name, isForSets: !isKeptApart(use), link: `${address}/boxes/${id}` },
			setsOf(id).flatMap((set) => label(set, id) ?? []),
			date
		)
	);
}

/** What a label says of a set in a box, for some releases that are read at once. */
async function setLabeller(
	db: Reader,
	releaseIds: readonly number[]
): Promise<(releaseId: number, boxId: number) => LabelledSet | null> {
	const ids = [...releaseIds];
	const heads = await db.select().from(releases).where(inArray(releases.id, ids));
	const headOf = new Map(heads.map((row) => [row.id, row]));
	const listed = group(
		await db
			.select({
				releaseId: cards.releaseId,
				key: cards.key,
				number: cards.number,
				title: cards.title
			})
			.from(cards)
			.where(inArray(cards.releaseId, ids)),
		({ releaseId }) => releaseId
	);
	const owned = await db
		.select({
			id: copies.id,
			releaseId: copies.releaseId,
			cardKey: copies.cardKey,
			place: copies.place
		})
		.from(copies)
		.where(and(isHere, inArray(copies.releaseId, ids)));
	const placeOf = await placesOf(db, inArray(copies.releaseId, ids));
	const byCard = group(owned, ({ releaseId, cardKey }) => `${releaseId} ${cardKey}`);
	return (id, boxId) => {
		const head = headOf.get(id);
		if (!head) return null;
		const all = sortByCardNumber(
			listed.get(id) ?? [],
			({ number }) => number,
			(a, b) => compareTitles(a.title, b.title)
		);
		const missing: string[] = [];
		const elsewhere = new Map<string, string[]>();
		for (const { key, number, title } of all) {
			const own = byCard.get(`${id} ${key}`) ?? [];
			const places = own.flatMap((copy): readonly CardPlace[] =>
				copy.place === null
					? (placeOf.get(copy.id) ?? [])
					: [{ name: copy.place, boxId: null, row: null }]
			);
			if (own.length === 0) missing.push(number ?? title);
			else if (!places.some((place) => place.boxId === boxId)) {
				const place = places[0]?.name ?? 'no place yet';
				elsewhere.set(place, [...(elsewhere.get(place) ?? []), number ?? title]);
			}
		}
		return {
			name: labelOf(head),
			have: all.length - missing.length,
			total: all.length,
			missing,
			elsewhere: [...elsewhere].map(([place, numbers]) => ({ place, numbers }))
		};
	};
}

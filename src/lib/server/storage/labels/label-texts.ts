import { group, sum } from 'd3-array';
import { and, inArray, sql } from 'drizzle-orm';
import {
	boxLabel,
	dividerTab,
	shelfTag,
	type LabelledSet,
	type LabelText
} from '../../../core/storage/labels/label-text.ts';
import { labelOf } from '../../../core/storage/plan/plan-boxes.ts';
import { at } from '../../../core/at.ts';
import { labelRun, type RunCard } from '../../../core/storage/labels/label-run.ts';
import { cardsOfRun } from '../../../core/storage/runs/cards-of-run.ts';
import { DOUBLES, nameRun, runKey, type Run } from '../../../core/storage/runs/run.ts';
import { loadReleases } from '../../releases/load-release.ts';
import { runOfDivider } from '../runs/read-homes.ts';
import type { Reader } from '../../database/open.ts';
import { readJoined } from '../../database/read-joined.ts';
import { copies } from '../../database/tables/index.ts';
import { isHere } from '../../places/homeless.ts';
import { readKeeping } from '../../places/keeping.ts';
import { placesOf } from '../../places/places-of.ts';
import { readDividers } from '../room/read-box.ts';
import { readBoxHeads, readShelves } from '../room/read-storage.ts';
import type { BoxId, ReleaseId } from '../../../core/row-id.ts';

export const LABEL_SORTS = ['boxes', 'dividers', 'shelves'] as const;
export type LabelSort = (typeof LABEL_SORTS)[number];

export interface LabelChoice {
	readonly sort: LabelSort;
	/** Boxes whose labels, or dividers' tabs, are wanted; empty: all. */
	readonly boxIds: readonly BoxId[];
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
	const wanted = (await readBoxHeads(db)).filter(
		({ id }) => boxIds.length === 0 || boxIds.includes(id)
	);
	if (sort === 'shelves') {
		const all = await readBoxHeads(db);
		return (await readShelves(db)).map((shelf) =>
			shelfTag(
				shelf,
				all.filter(({ shelfId }) => shelfId === shelf.id).map(({ name }) => name)
			)
		);
	}
	const byBox = group(
		await readDividers(db, { boxes: wanted.map(({ id }) => id) }),
		({ boxId }) => boxId
	);
	if (sort === 'dividers') {
		return wanted.flatMap((box) =>
			(byBox.get(box.id) ?? []).map(({ label, row, standing }) =>
				dividerTab(
					label,
					standing.map(({ number, title }) => number ?? title),
					{ box: box.name, row }
				)
			)
		);
	}
	const setsOf = (id: BoxId) => {
		const runs = (byBox.get(id) ?? []).flatMap((divider) => {
			const { releaseId } = divider;
			const run = runOfDivider(divider, releaseId === null ? null : String(releaseId));
			return releaseId === null || run === null ? [] : [{ releaseId, run, divider }];
		});
		return [...group(runs, ({ run }) => runKey(run)).values()].map((parts) => ({
			...at(parts, 0),
			behind: new Set(
				parts.flatMap(({ divider }) => divider.standing.map(({ cardKey }) => cardKey))
			)
		}));
	};
	const label = await runLabeller(db, [
		...new Set(wanted.flatMap(({ id }) => setsOf(id).map(({ releaseId }) => releaseId)))
	]);
	const { isKeptApart } = await readKeeping(db);
	return wanted.map(({ id, name, use }) =>
		boxLabel(
			{ name, isForSets: !isKeptApart(use), link: `${address}/boxes/${id}` },
			setsOf(id).map(({ releaseId, run, behind }) => label(releaseId, run, id, behind)),
			date
		)
	);
}

/** What a label says of a run in a box, for some releases that are read at once. */
async function runLabeller(
	db: Reader,
	releaseIds: readonly ReleaseId[]
): Promise<
	(releaseId: ReleaseId, run: Run, boxId: BoxId, behind: ReadonlySet<string>) => LabelledSet
> {
	const ids = [...releaseIds];
	const stored = new Map((await loadReleases(db, ids)).map((row) => [row.id, row.release]));
	const owned = await readJoined<
		Pick<
			typeof copies.$inferSelect,
			'id' | 'releaseId' | 'cardKey' | 'parallelKey' | 'quantity' | 'place'
		>
	>(
		db,
		{
			id: sql`id`,
			releaseId: sql`release_id`,
			cardKey: sql`card_key`,
			parallelKey: sql`parallel_key`,
			quantity: sql`quantity`,
			place: sql`place`
		},
		sql`${copies} where ${and(isHere, inArray(copies.releaseId, ids))}`
	);
	const placeOf = await placesOf(db, inArray(copies.releaseId, ids));
	const byCard = group(owned, ({ releaseId, cardKey }) => `${releaseId} ${cardKey}`);
	return (id, run, boxId, behind) => {
		const release = stored.get(id);
		if (!release) throw new RangeError(`runLabeller: no release ${id}`);
		const name = labelOf({ ...release, part: nameRun(run, release) });
		// Doubles are counted where they stand: there is no whole of which any could be missing.
		const counted = cardsOfRun(release, run).filter(
			({ card }) => run.set !== DOUBLES || behind.has(card.key)
		);
		const cards = counted.map(({ card }): RunCard => {
			const all = (byCard.get(`${id} ${card.key}`) ?? []).filter(
				({ parallelKey }) => run.section === null || parallelKey === run.parallel
			);
			const places = all.flatMap((copy) => {
				const { place, quantity } = copy;
				const known: readonly { name: string; boxId: BoxId | null; quantity: number }[] =
					place === null ? (placeOf.get(copy.id) ?? []) : [{ name: place, boxId: null, quantity }];
				const rest = quantity - sum(known, (part) => part.quantity);
				return [...known, { name: '', boxId: null, quantity: Math.max(0, rest) }];
			});
			return {
				number: card.number,
				title: card.title,
				...(card.sortAs === undefined ? {} : { sortAs: card.sortAs }),
				// A card is there as often as there are cards of it.
				places: places
					.flatMap(({ name: place, quantity }) => Array<string>(quantity).fill(place))
					.sort((a, b) => Number(a === '') - Number(b === '')),
				// Of a second set only what stands behind its divider: the first may share its box.
				isHere: behind.has(card.key) || (run.set === 1 && places.some((p) => p.boxId === boxId))
			};
		});
		return labelRun(name, cards, run.set);
	};
}

import { at } from '../../../core/at.ts';
import { asc, sql } from 'drizzle-orm';
import { adviseShelves, type HeavyBox } from '../../../core/storage/shelves/advise-shelves.ts';
import { arrangeShelf } from '../../../core/storage/shelves/arrange-shelf.ts';
import { shelfLoad } from '../../../core/storage/room/box-weight.ts';
import { binderKindOf } from '../../../core/binder/binder-kind.ts';
import { resolveLayout } from '../../../core/binder/binder-layout.ts';
import type { Reader } from '../../database/open.ts';
import { binderPockets, binders } from '../../database/tables/index.ts';
import { readOwnKinds } from '../../binders/read-binder.ts';
import { readBoxes, readShelves, type StoredBox, type StoredShelf } from './read-storage.ts';
import type { BinderId } from '../../../core/row-id.ts';

/** A binder stands upright beside the boxes; an assumption of ours. */
const BINDER_MM = 320;
/** Its two covers. */
const COVERS_MM = 6;
/** A thin one is drawn so wide that it can be hit. */
const LEAST_MM = 50;

/** What stands on a shelf, as it is drawn. */
export interface RoomItem {
	readonly key: string;
	readonly name: string;
	readonly lengthMm: number;
	readonly heightMm: number;
	/** Null for a binder. */
	readonly box: StoredBox | null;
	readonly binderId: BinderId | null;
}

export interface RoomShelf extends StoredShelf {
	readonly items: readonly (RoomItem & { readonly leftMm: number; readonly bottomMm: number })[];
	readonly heightMm: number;
	readonly boards: number;
	readonly tooLong: readonly string[];
	/** Weight of its boxes; whether that is over its maker's rating, null where none is known. */
	readonly grams: number;
	readonly isOver: boolean | null;
}

const heavy = ({ id, grams, kind, shelfId }: StoredBox): HeavyBox => ({
	key: String(id),
	grams,
	lengthMm: kind.lengthMm,
	shelf: shelfId === null ? null : String(shelfId)
});

/** The storage room: shelves with what stands on them, what stands on none, and what should move. */
export async function readRoom(db: Reader) {
	const [shelves, boxes] = [await readShelves(db), await readBoxes(db)];
	const { binderKinds } = await readOwnKinds(db);
	// As many volumes as have cards in them.
	const filled = await db
		.select({
			id: binderPockets.binderId,
			last: sql<number>`max(cast(${binderPockets.pocket} as integer))`
		})
		.from(binderPockets)
		.groupBy(binderPockets.binderId);
	const volumes = new Map(filled.map(({ id, last }) => [id, last]));
	const books = (await db.select().from(binders).orderBy(asc(binders.id))).map((row) => ({
		id: row.id,
		name: row.name,
		shelfId: row.shelfId,
		volumes: volumes.get(row.id) ?? 1,
		depthMm: binderKindOf(resolveLayout(row.layout).binderKind, binderKinds).spineDepthMm
	}));
	const drawn = shelves.map((shelf): RoomShelf => {
		const onShelf = boxes.filter(({ shelfId }) => shelfId === shelf.id);
		const items: RoomItem[] = [
			...onShelf.map((box) => ({
				key: `box ${box.id}`,
				name: box.name,
				lengthMm: box.kind.lengthMm,
				heightMm: box.kind.heightMm,
				box,
				binderId: null
			})),
			...books
				.filter(({ shelfId }) => shelfId === shelf.id)
				.map(({ id, name, depthMm, volumes: count }) => ({
					key: `binder ${id}`,
					name,
					lengthMm: count * Math.max(LEAST_MM, depthMm + COVERS_MM),
					heightMm: BINDER_MM,
					box: null,
					binderId: id
				}))
		];
		const { boxes: places, boards, tooLong, layers } = arrangeShelf(items, shelf.lengthMm);
		const layerMm = Array.from({ length: layers }, (_, layer) =>
			Math.max(
				...items.filter((_item, i) => places[i]?.layer === layer).map(({ heightMm }) => heightMm)
			)
		);
		const bottomOf = (layer: number) => layerMm.slice(0, layer).reduce((sum, mm) => sum + mm, 0);
		return {
			...shelf,
			items: items.map((item, i) => ({
				...item,
				leftMm: at(places, i).leftMm,
				bottomMm: bottomOf(at(places, i).layer)
			})),
			heightMm: Math.max(140, bottomOf(layers)),
			boards,
			tooLong: items.filter(({ key }) => tooLong.includes(key)).map(({ name }) => name),
			...shelfLoad(
				onShelf.map(({ grams }) => grams),
				shelf.ratingG
			)
		};
	});
	return {
		shelves: drawn,
		loose: boxes.filter(({ shelfId, insideId }) => shelfId === null && insideId === null),
		binders: books,
		boxes,
		...adviseShelves(boxes.filter(({ insideId }) => insideId === null).map(heavy), shelves)
	};
}

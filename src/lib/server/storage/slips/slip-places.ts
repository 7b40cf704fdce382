import { group } from 'd3-array';
import { eq, inArray, isNull, or, sql } from 'drizzle-orm';
import {
	pullList,
	putAway,
	type DividerPlace,
	type Slip,
	type StackCard
} from '../../../core/storage/slips/put-away.ts';
import { titled } from '../../../core/checklist/filed-title.ts';
import type { Reader } from '../../database/open.ts';
import { boxCards, dividers } from '../../database/tables/index.ts';
import { readKeeping } from '../../places/keeping.ts';
import { homelessCopies } from '../../places/homeless.ts';
import { at } from '../../../core/at.ts';
import { homeFinder } from '../../../core/storage/runs/find-home.ts';
import { runForUse } from '../../../core/storage/runs/run-for-use.ts';
import { runKey } from '../../../core/storage/runs/run.ts';
import { readAmong, runOfDivider } from '../runs/read-homes.ts';
import { readBehind, type Behind } from '../room/read-behind.ts';
import { readBoxHeads, type BoxHead } from '../room/read-storage.ts';
import {
	type BoxId,
	type CopyId,
	type DividerId,
	type ReleaseId,
	type SlipLineId,
	rowId
} from '../../../core/row-id.ts';

/** A card of a slip, for which a place is looked for. */
export interface SlipCard {
	readonly id: SlipLineId;
	readonly copyId: CopyId;
	readonly releaseId: ReleaseId;
	readonly releaseKey: string;
	/** The section in whose numbering it is filed. */
	readonly section: string | null;
	readonly parallel: string | null;
	/** The set it goes to; null: the first. */
	readonly setNumber: number | null;
	readonly year: string;
	readonly number: string | null;
	readonly title: string | null;
	readonly sortAs: string | null;
	readonly cardKey: string;
}

export interface SlipPlace {
	readonly dividerId: DividerId;
	readonly box: string;
	readonly boxId: BoxId;
	/** "Rack A, shelf 2" */
	readonly shelf: string | null;
	readonly row: number;
	readonly divider: string;
	/** Neighbours as they stand; of the first lines of a slip only. */
	readonly after: string | null;
	readonly before: string | null;
}

/** Places by the id of the line, in walking order. */
export type SlipPlaces = ReadonlyMap<
	SlipLineId,
	{ readonly place: SlipPlace; readonly order: number }
>;

/** Lines for which neighbours are looked up: what is on the screen, and some more. */
const WITH_NEIGHBOURS = 40;

type Divider = typeof dividers.$inferSelect & { readonly box: BoxHead };

/**
 * Where cards go: behind the divider of their set in a box for such copies, or among strays.
 *
 * @param near lines for which neighbours are looked up
 */
export async function placesToPut(
	db: Reader,
	rows: readonly SlipCard[],
	near = WITH_NEIGHBOURS
): Promise<SlipPlaces> {
	if (rows.length === 0) return new Map();
	const keeping = await readKeeping(db);
	const free = await homelessCopies(db, keeping, {
		copies: rows.map(({ copyId }) => copyId)
	});
	const useOf = new Map(free.map(({ id, use }) => [id, use]));
	const ids = [...new Set(rows.map(({ releaseId }) => releaseId))];
	const walk = await readWalk(db, or(inArray(dividers.releaseId, ids), isNull(dividers.releaseId)));
	const headOf = (row: SlipCard) => {
		const use = useOf.get(row.copyId) ?? 'sets';
		const { releaseKey: release, section, parallel, setNumber, year } = row;
		const isApart = keeping.isKeptApart(use);
		return {
			run: runForUse(isApart, { release, section, parallel, set: setNumber ?? 1 }),
			use,
			year
		};
	};
	const runs = [
		...group(
			rows.filter(({ copyId }) => useOf.has(copyId)),
			(row) => {
				const { use, run } = headOf(row);
				return `${use} ${runKey(run)}`;
			}
		).values()
	];
	const keyOf = new Map(rows.map(({ releaseId, releaseKey }) => [releaseId, releaseKey]));
	const homes = walk.map((divider) => ({
		...divider,
		use: divider.box.use,
		run: runOfDivider(
			divider,
			divider.releaseId === null ? null : (keyOf.get(divider.releaseId) ?? null)
		)
	}));
	const findOwn = homeFinder(homes);
	const head = (cards: readonly SlipCard[]) => ({ ...headOf(at(cards, 0)), isFew: true });
	const lost = runs.filter((cards) => findOwn({ ...head(cards), isFew: false }).length === 0);
	const findHome = homeFinder(
		homes,
		await readAmong(
			db,
			lost.map((cards) => at(cards, 0).releaseId),
			keeping
		)
	);
	const choices = runs.map((cards) => ({ cards, found: findHome(head(cards)) }));
	// Numbers decide only where a set has several dividers.
	const several = choices.flatMap(({ found }) =>
		found.length > 1 ? found.map(({ id }) => id) : []
	);
	const behind = await readBehind(db, several);
	const stack: StackCard[] = [];
	const places: DividerPlace[] = [];
	choices.forEach(({ cards, found }, set) => {
		places.push(...found.map((divider) => asPlace(divider, String(set), behind.get(divider.id))));
		for (const card of cards) stack.push(asStack(card, String(set)));
	});
	const order = new Map(walk.map(({ id }, i) => [String(id), i]));
	places.sort((a, b) => (order.get(a.divider) ?? 0) - (order.get(b.divider) ?? 0));
	return withNeighbours(db, putAway(stack, places), stack, walk, putAway, near);
}

/** Where cards stand: behind which divider, between which. */
export async function placesToPull(
	db: Reader,
	rows: readonly SlipCard[],
	near = WITH_NEIGHBOURS
): Promise<SlipPlaces> {
	if (rows.length === 0) return new Map();
	// Of a copy that stands in several places the doubles are pulled, before the last set.
	const set = sql`coalesce(${dividers.setNumber}, 0)`;
	const standing = await db
		.select({ copyId: boxCards.copyId, dividerId: boxCards.dividerId })
		.from(boxCards)
		.innerJoin(dividers, eq(boxCards.dividerId, dividers.id))
		.where(
			inArray(
				boxCards.copyId,
				rows.map(({ copyId }) => copyId)
			)
		)
		.orderBy(sql`${set} = 0`, set);
	const dividerOf = new Map(standing.map((row) => [row.copyId, row.dividerId]));
	const walk = await readWalk(db, inArray(dividers.id, [...dividerOf.values()]));
	const stack = rows.flatMap((row) => {
		const divider = dividerOf.get(row.copyId);
		return divider === undefined ? [] : [asStack(row, String(divider))];
	});
	const places = walk.map((divider) => asPlace(divider, String(divider.id)));
	// Each card's divider is known: the walk needs no neighbours, the first lines get theirs.
	return withNeighbours(db, putAway(stack, places), stack, walk, pullList, near);
}

/** Dividers in walking order. */
async function readWalk(db: Reader, where: ReturnType<typeof or>): Promise<readonly Divider[]> {
	const heads = await readBoxHeads(db);
	const rows = group(await db.select().from(dividers).where(where), ({ boxId }) => boxId);
	return heads.flatMap((box) =>
		(rows.get(box.id) ?? [])
			.sort((a, b) => a.row - b.row || a.position - b.position || a.id - b.id)
			.map((divider) => ({ ...divider, box }))
	);
}

/** Looks up neighbours for the first lines: what stands behind their dividers, and what goes there before. */
async function withNeighbours(
	db: Reader,
	slip: Slip,
	stack: readonly StackCard[],
	walk: readonly Divider[],
	work: typeof putAway,
	most: number
): Promise<SlipPlaces> {
	const near = new Set(slip.lines.slice(0, most).map(({ divider }) => divider));
	const behind = await readBehind(
		db,
		[...near].map((id) => rowId(Number(id)))
	);
	const dividerOf = new Map(slip.lines.map(({ card, divider }) => [card, divider]));
	const cards = stack.flatMap((card) => {
		const divider = dividerOf.get(card.key);
		return divider !== undefined && near.has(divider) ? [{ ...card, set: divider }] : [];
	});
	const places = walk
		.filter(({ id }) => near.has(String(id)))
		.map((divider) => asPlace(divider, String(divider.id), behind.get(divider.id)));
	const known = new Map(work(cards, places).lines.map((line) => [line.card, line]));
	const found = new Map(walk.map((divider) => [String(divider.id), divider]));
	return new Map(
		slip.lines.flatMap(({ card, divider: key }, order) => {
			const divider = found.get(key);
			if (!divider) return [];
			const { after = null, before = null } = known.get(card) ?? {};
			const { id, row, label, box } = divider;
			const where = { box: box.name, boxId: box.id, shelf: box.shelf };
			const place = { dividerId: id, row, divider: label, ...where, after, before };
			return [[rowId<'slip_lines'>(Number(card)), { place, order }] as const];
		})
	);
}

const asStack = ({ id, number, title, sortAs, cardKey }: SlipCard, set: string): StackCard => ({
	key: String(id),
	set,
	number,
	...titled(title ?? cardKey, sortAs)
});

const asPlace = (
	{ id, row }: Divider,
	set: string,
	behind: Behind = { numbers: [], titles: [] }
): DividerPlace => ({ box: '', row, divider: String(id), set, ...behind });

import { group } from 'd3-array';
import { and, asc, count, eq, inArray, sql } from 'drizzle-orm';
import { pullList, putAway, type DividerPlace, type StackCard } from '../../core/boxes/put-away.ts';
import type { SlipSort, SlipState } from '../../core/boxes/slip-line.ts';
import { strayLabel } from '../../core/boxes/plan-boxes.ts';
import { nameShelf } from '../../core/boxes/shelf.ts';
import type { Reader } from '../database/open.ts';
import {
	boxCards,
	cards,
	copies,
	dividers,
	parallels,
	releases,
	slipLines,
	slips,
	variants
} from '../database/tables/index.ts';
import { valuableFrom } from './holder-tiers.ts';
import { homelessCopies } from './homeless.ts';
import { readBoxes, readShelves } from './read-storage.ts';
import { readDividers, type StoredDivider } from './read-box.ts';

/** A line of a slip in walking order: which card, where, and between which. */
export interface SlipLine {
	readonly id: number;
	readonly copyId: number;
	readonly quantity: number;
	readonly state: SlipState;
	/** "27 Quiet Harbour Light, Brass" */
	readonly card: string;
	readonly release: string;
	/** Where it stands or goes; null: it stands nowhere, or its set has no divider yet. */
	readonly place: {
		readonly dividerId: number;
		readonly box: string;
		readonly boxId: number;
		/** "Rack A, shelf 2" */
		readonly shelf: string | null;
		readonly row: number;
		readonly divider: string;
		readonly after: string | null;
		readonly before: string | null;
	} | null;
}

export interface OpenSlip {
	readonly id: number;
	readonly sort: SlipSort;
	readonly name: string;
	readonly createdAt: string;
	readonly lines: readonly SlipLine[];
}

export async function listSlips(db: Reader) {
	const of = (state: SlipState) => sql<number>`sum(${slipLines.state} = ${state})`;
	return db
		.select({
			id: slips.id,
			sort: slips.sort,
			name: slips.name,
			createdAt: slips.createdAt,
			lines: count(slipLines.id),
			open: of('open'),
			skipped: of('skipped')
		})
		.from(slips)
		.leftJoin(slipLines, eq(slipLines.slipId, slips.id))
		.groupBy(slips.id)
		.orderBy(asc(slips.id));
}

/** A slip as things stand now; null where there is none. */
export async function readSlip(db: Reader, id: number): Promise<OpenSlip | null> {
	const [slip] = await db.select().from(slips).where(eq(slips.id, id));
	if (!slip) return null;
	const rows = await db
		.select({
			id: slipLines.id,
			copyId: slipLines.copyId,
			quantity: slipLines.quantity,
			state: slipLines.state,
			releaseId: copies.releaseId,
			release: releases.key,
			releaseName: releases.name,
			year: releases.year,
			cardKey: copies.cardKey,
			parallel: copies.parallelKey,
			variant: copies.variantKey,
			number: cards.number,
			title: cards.title
		})
		.from(slipLines)
		.innerJoin(copies, eq(slipLines.copyId, copies.id))
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.leftJoin(cards, and(eq(cards.releaseId, copies.releaseId), eq(cards.key, copies.cardKey)))
		.where(eq(slipLines.slipId, id))
		.orderBy(asc(slipLines.id));
	const finish = await finishNames(db, rows);
	const waiting = rows.filter(({ state }) => state === 'open' || state === 'skipped');
	const places =
		slip.sort === 'put away' ? await placesToPut(db, waiting) : await placesToPull(db, waiting);
	const lines = rows.map((row): SlipLine => ({
		id: row.id,
		copyId: row.copyId,
		quantity: row.quantity,
		state: row.state,
		card: [[row.number, row.title ?? row.cardKey].filter(Boolean).join(' '), ...finish(row)].join(
			', '
		),
		release: row.releaseName,
		place: places.get(row.id)?.place ?? null
	}));
	const order = (line: SlipLine) => places.get(line.id)?.order ?? Infinity;
	return { ...slip, lines: lines.sort((a, b) => compare(order(a), order(b)) || a.id - b.id) };
}

interface Row {
	readonly id: number;
	readonly copyId: number;
	readonly releaseId: number;
	readonly release: string;
	readonly year: string;
	readonly number: string | null;
	readonly title: string | null;
	readonly cardKey: string;
	readonly parallel: string | null;
	readonly variant: string | null;
}
type Places = ReadonlyMap<
	number,
	{ readonly place: NonNullable<SlipLine['place']>; readonly order: number }
>;

const compare = (a: number, b: number) => (a === b ? 0 : a - b);

/** Where cards go: behind the divider of their set in a box for such copies, or among strays. */
async function placesToPut(db: Reader, rows: readonly Row[]): Promise<Places> {
	if (rows.length === 0) return new Map();
	const free = await homelessCopies(db, await valuableFrom(db), {
		copies: rows.map(({ copyId }) => copyId)
	});
	const useOf = new Map(free.map(({ id, use }) => [id, use]));
	const walk = await readWalk(
		db,
		rows.map(({ releaseId }) => releaseId)
	);
	const places: Walked[] = [];
	const stack: StackCard[] = [];
	for (const [set, own] of group(
		rows,
		(row) => `${useOf.get(row.copyId) ?? ''} ${row.releaseId}`
	)) {
		const [first] = own;
		const use = useOf.get(first?.copyId ?? 0);
		if (!first || !use) continue;
		const there = walk.filter((one) => one.use === use);
		const mine = there.filter(({ divider }) => divider.releaseId === first.releaseId);
		const among = there.filter(
			({ divider }) =>
				divider.releaseId === null &&
				divider.standing.some(({ release }) => release === first.release)
		);
		const strays = there.filter(({ divider }) => divider.label === strayLabel(first.year));
		const chosen = [mine, among, strays].find(({ length }) => length > 0) ?? [];
		places.push(...chosen.map((one) => ({ ...one, set })));
		stack.push(...own.map((row) => asStack(row, set)));
	}
	return onSlip(putAway(stack, asPlaces(places)).lines, places);
}

/** Where cards stand: behind which divider, between which. */
async function placesToPull(db: Reader, rows: readonly Row[]): Promise<Places> {
	if (rows.length === 0) return new Map();
	const standing = await db
		.select({ copyId: boxCards.copyId, dividerId: boxCards.dividerId })
		.from(boxCards)
		.where(
			inArray(
				boxCards.copyId,
				rows.map(({ copyId }) => copyId)
			)
		);
	const dividerOf = new Map(standing.map((row) => [row.copyId, row.dividerId]));
	const walk = await readWalk(db, [], [...new Set(dividerOf.values())]);
	const places = walk.map((one) => ({ ...one, set: String(one.divider.id) }));
	const stack = rows.flatMap((row) => {
		const divider = dividerOf.get(row.copyId);
		return divider === undefined ? [] : [asStack(row, String(divider))];
	});
	return onSlip(pullList(stack, asPlaces(places)).lines, places);
}

interface Walked {
	readonly divider: StoredDivider;
	readonly box: string;
	readonly shelf: string | null;
	readonly use: string;
	/** Which cards of the stack go there. */
	readonly set: string;
}

/** Dividers of some sets, and of strays, in walking order, with what stands behind each. */
async function readWalk(
	db: Reader,
	releaseIds: readonly number[],
	only?: readonly number[]
): Promise<readonly Walked[]> {
	const all = await db.select().from(dividers);
	const wanted = new Set(releaseIds);
	const ids =
		only ??
		all.filter(({ releaseId }) => releaseId === null || wanted.has(releaseId)).map(({ id }) => id);
	const order = await readBoxes(db);
	const shelfOf = new Map((await readShelves(db)).map((shelf) => [shelf.id, nameShelf(shelf)]));
	const byBox = group(await readDividers(db, { ids }), ({ boxId }) => boxId);
	return order.flatMap((box) =>
		(byBox.get(box.id) ?? []).map((divider) => ({
			divider,
			box: box.name,
			shelf: shelfOf.get(box.shelfId ?? 0) ?? null,
			use: box.use,
			set: ''
		}))
	);
}

const asStack = ({ id, number, title, cardKey }: Row, set: string): StackCard => ({
	key: String(id),
	set,
	number,
	title: title ?? cardKey
});

/** Places by their place in the list: names are put in afterwards. */
const asPlaces = (places: readonly Walked[]): readonly DividerPlace[] =>
	places.map(({ divider, set }, i) => ({
		box: String(i),
		row: divider.row,
		divider: String(divider.id),
		set,
		numbers: divider.standing.flatMap(({ number }) => number ?? []),
		titles: divider.standing.filter(({ number }) => number === null).map(({ title }) => title)
	}));

function onSlip(lines: ReturnType<typeof putAway>['lines'], places: readonly Walked[]): Places {
	return new Map(
		lines.flatMap(({ card, box, after, before }, i) => {
			const there = places[Number(box)];
			if (!there) return [];
			const { divider, box: name, shelf } = there;
			const place = {
				dividerId: divider.id,
				box: name,
				boxId: divider.boxId,
				shelf,
				row: divider.row,
				divider: divider.label,
				after,
				before
			};
			return [[Number(card), { place, order: i }] as const];
		})
	);
}

/** What of a version stands beside its card: names of parallel and variant. */
async function finishNames(db: Reader, rows: readonly Row[]) {
	const ids = [...new Set(rows.map(({ releaseId }) => releaseId))];
	const names = new Map<string, string>();
	const finishes = await db
		.select({ releaseId: parallels.releaseId, key: parallels.key, name: parallels.name })
		.from(parallels)
		.where(inArray(parallels.releaseId, ids));
	for (const { releaseId, key, name } of finishes) names.set(`parallels ${releaseId} ${key}`, name);
	const deviations = await db
		.select({ releaseId: variants.releaseId, key: variants.key, rule: variants.rule })
		.from(variants)
		.where(inArray(variants.releaseId, ids));
	for (const { releaseId, key, rule } of deviations) {
		names.set(`variants ${releaseId} ${key}`, rule.name);
	}
	return ({ releaseId, parallel, variant }: Pick<Row, 'releaseId' | 'parallel' | 'variant'>) =>
		[`parallels ${releaseId} ${parallel ?? ''}`, `variants ${releaseId} ${variant ?? ''}`].flatMap(
			(key) => names.get(key) ?? []
		);
}

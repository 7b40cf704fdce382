import { asc, count, eq, inArray, sql } from 'drizzle-orm';
import type { SlipSort, SlipState } from '../../../core/storage/slips/slip-line.ts';
import type { Reader } from '../../database/open.ts';
import { FILED_CARD } from '../../places/filed-card.ts';
import { readJoined } from '../../database/read-joined.ts';
import { parallels, slipLines, slips, variants } from '../../database/tables/index.ts';
import { placesToPull, placesToPut, type SlipCard, type SlipPlace } from './slip-places.ts';
import type { CopyId, SlipId, SlipLineId } from '../../../core/row-id.ts';

/** A line of a slip in walking order: which card, where, and between which. */
export interface SlipLine {
	readonly id: SlipLineId;
	readonly copyId: CopyId;
	readonly quantity: number;
	readonly state: SlipState;
	/** "27 Quiet Harbour Light, Brass" */
	readonly card: string;
	readonly release: string;
	/** Where it stands or goes; null: it stands nowhere, or its set has no divider yet. */
	readonly place: SlipPlace | null;
}

export interface OpenSlip {
	readonly id: SlipId;
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

/** A slip as things stand now, with neighbours for its first lines, `near` many; null where there is none. */
export async function readSlip(db: Reader, id: SlipId, near?: number): Promise<OpenSlip | null> {
	const [slip] = await db.select().from(slips).where(eq(slips.id, id));
	if (!slip) return null;
	const rows = await readJoined<Row>(
		db,
		{
			id: sql`l.id`,
			copyId: sql`l.copy_id`,
			quantity: sql`l.quantity`,
			state: sql`l.state`,
			releaseId: sql`c.release_id`,
			releaseName: sql`r.name`,
			releaseKey: sql`r.key`,
			year: sql`r.year`,
			cardKey: sql`c.card_key`,
			parallel: sql`c.parallel_key`,
			variant: sql`c.variant_key`,
			setNumber: sql`l.set_number`,
			number: sql`coalesce(k.number, e.number)`,
			title: sql`coalesce(k.title, e.title)`,
			sortAs: FILED_CARD.sortAs,
			section: sql`coalesce(s.numbered_in, s.key)`
		},
		sql`slip_lines l join copies c on c.id = l.copy_id join releases r on r.id = c.release_id
			left join cards k on k.release_id = c.release_id and k.key = c.card_key
			left join edition_cards e on k.id is null and e.release_id = c.release_id and e.key = c.card_key
			left join sections s on s.id = coalesce(k.section_id, e.section_id)
			where l.slip_id = ${id}`
	);
	const finish = await finishNames(db, rows);
	// A skipped card is in the hand: it is no neighbour of those that are put away before it.
	const find = slip.sort === 'put away' ? placesToPut : placesToPull;
	const places = new Map<SlipLineId, { readonly place: SlipPlace; readonly order: number }>();
	for (const state of ['open', 'skipped'] as const) {
		const waiting = rows.filter((row) => row.state === state);
		for (const [line, place] of await find(db, waiting, near)) places.set(line, place);
	}
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

const compare = (a: number, b: number) => (a === b ? 0 : a - b);

type Row = SlipCard & {
	readonly quantity: number;
	readonly state: SlipState;
	readonly releaseName: string;
	readonly variant: string | null;
};

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

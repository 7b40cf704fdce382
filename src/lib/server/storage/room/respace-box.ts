import { group, sum } from 'd3-array';
import { and, asc, eq, inArray } from 'drizzle-orm';
import { dividersUm, longestRowUm } from '../../../core/storage/rows/dividers-um.ts';
import { isTooFull } from '../../../core/storage/rows/is-too-full.ts';
import { respaceSlip, type RespaceStep } from '../../../core/storage/rows/respace-slip.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { Collection, Transaction } from '../../database/open.ts';
import { boxCards, dividers } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import type { Recorder } from '../../database/record.ts';
import { insertDivider } from './insert-divider.ts';
import { readBox, type OpenBox, type StoredDivider } from './read-box.ts';
import { runOfDivider } from '../runs/read-homes.ts';
import { removeDividerRows } from '../../removal/remove-divider-rows.ts';
import type { BoxId, DividerId } from '../../../core/row-id.ts';

/** A step in words and numbers: which cards of which set go into which row. */
export interface RespaceLine {
	readonly name: string;
	readonly label: string;
	readonly fromRow: number;
	readonly toRow: number;
	readonly cards: number;
	readonly first: string;
	readonly last: string;
}

export interface BoxRespacing {
	readonly lines: readonly RespaceLine[];
	readonly row: number;
	readonly overUm: number;
	/** Even all rows together are too short: the shortest divider of the row that makes room has to go. */
	readonly isHopeless: boolean;
	readonly out?: { readonly dividerId: DividerId; readonly label: string; readonly cards: number };
}

/** What stands behind a divider, whatever is written on it: parts of one run have the same. */
function runKey(divider: StoredDivider): string {
	const { id, releaseId, straysOf, partOf } = divider;
	if (releaseId !== null) {
		const { sectionKey, parallelKey, setNumber } = divider;
		return `release ${JSON.stringify([releaseId, sectionKey, parallelKey, setNumber])}`;
	}
	return straysOf === null ? `divider ${partOf ?? id}` : `strays ${straysOf}`;
}

function slipOf(box: OpenBox) {
	const byRow = group(box.dividers, ({ row }) => row);
	const rows = box.rows.map(({ row }) =>
		(byRow.get(row) ?? []).map((divider) => ({
			key: runKey(divider),
			dividerUm: dividersUm(box.kind, box.dividers.length) / Math.max(1, box.dividers.length),
			cards: divider.standing.map(({ id, quantity, um }) => ({
				key: String(id),
				um: quantity * um
			}))
		}))
	);
	// Small boxes stay where they are: each row is as short as the one that holds the most of them.
	const smallUm = Math.max(
		0,
		...box.rows.map(({ row }) =>
			sum(
				box.inside.filter((inner) => inner.row === row),
				({ um }) => um
			)
		)
	);
	if (smallUm > 0 && !isTooFull(box)) return { fits: true, slip: null };
	return respaceSlip(rows, longestRowUm(box.kind) - smallUm);
}

const nameOf = ({ run, from, to, cards }: RespaceStep) =>
	[run, from, to, cards.length, cards[0]].join(' ');

/** How to make room in a box of which a row is too full; null where none is. */
export function respacingOf(box: OpenBox): BoxRespacing | null {
	const { fits, slip } = slipOf(box);
	if (!fits) {
		const full = box.rows.find(({ usedUm }) => usedUm > longestRowUm(box.kind));
		const overUm = (full?.usedUm ?? 0) - box.kind.rowMm * 1000;
		const [least] = box.dividers
			.filter(({ row, um }) => row === full?.row && um >= overUm)
			.sort((a, b) => a.um - b.um);
		const out = least && { dividerId: least.id, label: least.label, cards: least.cards };
		return { lines: [], row: full?.row ?? 1, overUm, isHopeless: true, ...(out ? { out } : {}) };
	}
	if (slip === null) return null;
	const cardOf = new Map(
		box.dividers.flatMap(({ standing }) => standing.map((card) => [String(card.id), card] as const))
	);
	const lines = slip.steps.map((step): RespaceLine => {
		const moving = step.cards.flatMap((key) => cardOf.get(key) ?? []);
		const title = (card: (typeof moving)[number] | undefined) => card?.number ?? card?.title ?? '';
		return {
			name: nameOf(step),
			label: box.dividers.find((divider) => runKey(divider) === step.run)?.label ?? step.run,
			fromRow: step.from + 1,
			toRow: step.to + 1,
			cards: moving.reduce((total, { quantity }) => total + quantity, 0),
			first: title(moving[0]),
			last: title(moving.at(-1))
		};
	});
	return { lines, row: slip.row + 1, overUm: slip.overUm, isHopeless: false };
}

/** Records the first step of a box's re-spacing slip, if it is still the one that was shown. */
export function takeRespaceStep(
	collection: Collection,
	boxId: BoxId,
	name: string
): Promise<Outcome<{ readonly id: BoxId }>> {
	return makeChange(collection, async (record, tx) => {
		const box = await readBox(tx, boxId);
		const step = box && slipOf(box).slip?.steps[0];
		if (!box || !step || nameOf(step) !== name) {
			return refused([
				{
					message: 'the slip has changed since it was shown',
					remedy: 'Look at it as it is now; nothing was recorded.'
				}
			]);
		}
		const to = await dividerIn(record, tx, box, step);
		const ids = step.cards.map(Number);
		const moved = await tx.select().from(boxCards).where(inArray(boxCards.id, ids));
		const standing = await tx.select().from(boxCards).where(eq(boxCards.dividerId, to));
		for (const row of moved) {
			const same = standing.find(({ copyId }) => copyId === row.copyId);
			if (same) {
				await record.remove(boxCards, [row.id]);
				await record.update(boxCards, same.id, { quantity: same.quantity + row.quantity });
			} else await record.update(boxCards, row.id, { dividerId: to });
		}
		await dropEmpty(record, tx, box, step);
		return {
			value: good({ id: boxId }),
			label: `${box.name}: cards into row ${step.to + 1}`
		};
	});
}

/** The divider of a run in the row it goes to: there already, or new at the near end of the row. */
async function dividerIn(
	record: Recorder,
	tx: Transaction,
	box: OpenBox,
	step: RespaceStep
): Promise<DividerId> {
	const row = step.to + 1;
	const target = box.dividers.find(
		(divider) => divider.row === row && runKey(divider) === step.run
	);
	if (target) return target.id;
	const from = box.dividers.find(
		(divider) => divider.row === step.from + 1 && runKey(divider) === step.run
	);
	const others = await tx
		.select({ position: dividers.position })
		.from(dividers)
		.where(and(eq(dividers.boxId, box.id), eq(dividers.row, row)))
		.orderBy(asc(dividers.position));
	// From a row before it comes in front, from one behind it at the end.
	const at = step.to > step.from ? 0 : (others.at(-1)?.position ?? -1) + 1;
	return insertDivider(record, tx, {
		boxId: box.id,
		row,
		at,
		label: from?.label ?? step.run,
		releaseId: from?.releaseId ?? null,
		run: from ? runOfDivider(from, from.releaseId === null ? null : String(from.releaseId)) : null,
		straysOf: from?.straysOf ?? null,
		partOf: from && from.releaseId === null ? (from.partOf ?? from.id) : null
	});
}

/** A divider behind which nothing is left goes with its cards. */
async function dropEmpty(
	record: Recorder,
	tx: Transaction,
	box: OpenBox,
	step: RespaceStep
): Promise<void> {
	const from = box.dividers.find(
		(divider) => divider.row === step.from + 1 && runKey(divider) === step.run
	);
	if (!from) return;
	const [left] = await tx.select().from(boxCards).where(eq(boxCards.dividerId, from.id)).limit(1);
	if (!left) await removeDividerRows(record, tx, [from.id]);
}

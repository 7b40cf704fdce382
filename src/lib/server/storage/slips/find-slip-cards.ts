import type { Keeping } from '../../../core/storage/classes/keeping.ts';
import { group, sum } from 'd3-array';
import { asc, eq, inArray } from 'drizzle-orm';
import { USUAL_BOX_RULES } from '../../../core/storage/plan/choose-box.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { bad, good, type Outcome, type Problem } from '../../../core/problem.ts';
import { outOf } from '../../copies/outings.ts';
import { readEntry } from '../../copies/read-entry.ts';
import type { Transaction } from '../../database/open.ts';
import { boxCards, copies, releases } from '../../database/tables/index.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { readKeeping } from '../../places/keeping.ts';
import { releasesWithLoose } from '../../places/loose-releases.ts';
import { at } from '../../../core/at.ts';
import { homeFinder } from '../../../core/storage/runs/find-home.ts';
import { runKey } from '../../../core/storage/runs/run.ts';
import {
	takeFrom,
	type StockPart,
	type TakenCards
} from '../../../core/storage/slips/take-from.ts';
import { looseCards, looseCardsInTurn, type LooseCards } from '../runs/loose-cards.ts';
import { readAmong, readHomes } from '../runs/read-homes.ts';
import type { CopyId, ReleaseId } from '../../../core/row-id.ts';

/** Which cards a slip is made for. */
export type SlipSource =
	/** Every card without a place whose set has a divider; only for putting away. */
	| { readonly of: 'homeless' }
	/** An entry line in hand order: numbers of a release. */
	| { readonly of: 'line'; readonly release: string; readonly line: string }
	/** Every copy that is to be sold and stands in a box; only for pulling. */
	| { readonly of: 'to sell' }
	/** So many cards of copies, as far as they are without a place and their set has a divider; only for putting away. */
	| { readonly of: 'picked'; readonly picks: ReadonlyMap<CopyId, number> }
	/** Named copies that stand in boxes; only for pulling. */
	| { readonly of: 'copies'; readonly ids: readonly CopyId[] };

/** A slip is for an evening, not for a house move: that is what the plan is for. */
const MOST_LINES = 2000;

/** So many cards of a copy that a slip is made for. */
export interface SlipCards {
	readonly copyId: CopyId;
	readonly quantity: number;
	/** Of cards to put away: the set they go to. */
	readonly setNumber?: number;
}

/** Cards without a place, for a slip to put them away. */
export async function findHomeless(
	tx: Transaction,
	source: SlipSource
): Promise<Outcome<readonly SlipCards[]>> {
	const keeping = await readKeeping(tx);
	if (source.of === 'homeless') {
		const found = (await housedCards(tx, keeping, await releasesWithLoose(tx))).map(asFound);
		const notes =
			found.length > MOST_LINES
				? [
						{
							message: `the first ${MOST_LINES} of ${found.length} lines`,
							remedy: 'Make the next slip when this one is done.'
						}
					]
				: [];
		return good(found.slice(0, MOST_LINES), notes);
	}
	if (source.of === 'picked') {
		const left = new Map(source.picks);
		const ids = [...left.keys()];
		const of = await tx
			.selectDistinct({ id: copies.releaseId })
			.from(copies)
			.where(inArray(copies.id, ids));
		const housed = await housedCards(
			tx,
			keeping,
			of.map(({ id }) => id)
		);
		return good(
			housed.map(asFound).flatMap((cards) => {
				const quantity = Math.min(left.get(cards.copyId) ?? 0, cards.quantity);
				left.set(cards.copyId, (left.get(cards.copyId) ?? 0) - quantity);
				return quantity > 0 ? [{ ...cards, quantity }] : [];
			})
		);
	}
	if (source.of !== 'line') return good([]);
	const entry = await readEntry(tx, source.release, source.line);
	if (!entry.ok) return entry;
	const loose = await looseCards(tx, keeping, [entry.value.releaseId]);
	const stock = loose.map((cards) => ({
		key: cards,
		version: formatVersionKey({
			release: source.release,
			card: cards.copy.cardKey,
			parallel: cards.copy.parallelKey,
			variant: cards.copy.variantKey
		}),
		left: cards.quantity
	}));
	const taken = await take(tx, entry.value.additions, stock, 'is logged and without a place');
	if (!taken.ok) return taken;
	return good(
		taken.value.map(({ key, quantity }) => ({ ...asFound(key), quantity })),
		taken.notes
	);
}

const asFound = ({ copy, quantity, run }: LooseCards): SlipCards => ({
	copyId: copy.id,
	quantity,
	setNumber: run.set
});

/** Cards without a place whose run has a divider it can go behind. */
async function housedCards(
	tx: Transaction,
	keeping: Keeping,
	releaseIds: readonly ReleaseId[]
): Promise<readonly LooseCards[]> {
	const loose = await looseCardsInTurn(tx, keeping, releaseIds);
	const runs = [...group(loose, ({ copy, run }) => `${copy.use} ${runKey(run)}`).values()];
	const homes = await readHomes(tx, releaseIds);
	const asHead = (ofRun: readonly LooseCards[]) => {
		const { copy, run, year } = at(ofRun, 0);
		const cards = sum(ofRun, ({ quantity }) => quantity);
		return { run, use: copy.use, year, isFew: cards <= USUAL_BOX_RULES.mostStrays };
	};
	const findOwn = homeFinder(homes);
	const lost = runs.filter((ofRun) => findOwn(asHead(ofRun)).length === 0);
	const findHome = homeFinder(
		homes,
		await readAmong(
			tx,
			lost.map((ofRun) => at(ofRun, 0).copy.releaseId),
			keeping
		)
	);
	return runs
		.filter((ofRun) => findHome(asHead(ofRun)).length > 0)
		.flat()
		.sort((a, b) => a.copy.id - b.copy.id);
}

/** Cards that stand in boxes, for a pull list. */
export async function findStanding(
	tx: Transaction,
	source: SlipSource
): Promise<Outcome<readonly SlipCards[]>> {
	const entry = source.of === 'line' ? await readEntry(tx, source.release, source.line) : null;
	if (entry && !entry.ok) return entry;
	const which =
		source.of === 'to sell'
			? eq(copies.status, 'to sell')
			: source.of === 'copies'
				? inArray(copies.id, [...source.ids])
				: entry
					? eq(copies.releaseId, entry.value.releaseId)
					: null;
	if (which === null) return good([]);
	// What is to sell, and spares, go before what is kept.
	const rows = await tx
		.select({
			copyId: copies.id,
			release: releases.key,
			card: copies.cardKey,
			parallel: copies.parallelKey,
			variant: copies.variantKey,
			status: copies.status,
			quantity: boxCards.quantity
		})
		.from(boxCards)
		.innerJoin(copies, eq(boxCards.copyId, copies.id))
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.where(which)
		.orderBy(asc(copies.id));
	// What is out cannot be pulled.
	const left = new Map(await outOf(tx));
	const here = rows.flatMap((row) => {
		const out = Math.min(row.quantity, left.get(row.copyId) ?? 0);
		left.set(row.copyId, (left.get(row.copyId) ?? 0) - out);
		return row.quantity > out ? [{ ...row, quantity: row.quantity - out }] : [];
	});
	if (!entry) return good(here.map(({ copyId, quantity }) => ({ copyId, quantity })));
	const order = ['to sell', 'spare', 'kept', 'incoming'];
	const stock = here
		.sort((a, b) => order.indexOf(a.status) - order.indexOf(b.status))
		.map(({ copyId, quantity, ...version }) => ({
			key: copyId,
			version: formatVersionKey(version),
			left: quantity
		}));
	const taken = await take(tx, entry.value.additions, stock, 'stands in a box');
	if (!taken.ok) return taken;
	return good(
		taken.value.map(({ key, quantity }) => ({ copyId: key, quantity })),
		taken.notes
	);
}

/** Takes the wanted cards from stock in their order; what is not there is a note, not a failure. */
async function take<Key>(
	tx: Transaction,
	wanted: readonly { readonly version: string; readonly quantity: number }[],
	stock: readonly StockPart<Key>[],
	is: string
): Promise<Outcome<TakenCards<Key>['found']>> {
	const { found, lacking } = takeFrom(stock, wanted);
	const names = await nameVersions(
		tx,
		lacking.map(({ version }) => version)
	);
	const notes = lacking.map(({ version, count }): Problem => {
		const cards = count === 1 ? 'one card' : `${count} cards`;
		return { message: `${cards} of ${names.get(version)?.card ?? version}: none ${is}` };
	});
	return found.length === 0 && notes.length > 0
		? bad([
				{
					message: `none of these ${is}`,
					remedy: 'Look at the card: it says where its copies are.'
				}
			])
		: good(found, notes);
}

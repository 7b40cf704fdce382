import { asc, eq, inArray } from 'drizzle-orm';
import { formatVersionKey } from '../../core/checklist/version-key.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { readEntry } from '../copies/read-entry.ts';
import type { Transaction } from '../database/open.ts';
import { boxCards, copies, releases } from '../database/tables/index.ts';
import { valuableFrom } from './holder-tiers.ts';
import { homelessCopies } from './homeless.ts';
import { plannedStorage } from './plan-storage.ts';

/** Which cards a slip is made for. */
export type SlipSource =
	/** Every card without a place whose set has a divider; only for putting away. */
	| { readonly of: 'homeless' }
	/** An entry line in hand order: numbers of a release. */
	| { readonly of: 'line'; readonly release: string; readonly line: string }
	/** Every copy that is to be sold and stands in a box; only for pulling. */
	| { readonly of: 'to sell' }
	/** Named copies that stand in boxes; only for pulling. */
	| { readonly of: 'copies'; readonly ids: readonly number[] };

/** A slip is for an evening, not for a house move: that is what the plan is for. */
const MOST_LINES = 2000;

interface Found {
	readonly copyId: number;
	readonly quantity: number;
}

/** Cards without a place, for a slip to put them away. */
export async function findHomeless(
	tx: Transaction,
	source: SlipSource
): Promise<Outcome<readonly Found[]>> {
	const valuable = await valuableFrom(tx);
	if (source.of === 'homeless') {
		const { toPutAway } = await plannedStorage(tx);
		const housed = new Set(toPutAway.map(({ id, use }) => `${use} ${id}`));
		const releases = [...new Set(toPutAway.map(({ id }) => id))];
		const found = (await homelessCopies(tx, valuable, { releases }))
			.filter(({ use, releaseId }) => housed.has(`${use} ${releaseId}`))
			.map(({ id, free }) => ({ copyId: id, quantity: free }));
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
	if (source.of !== 'line') return good([]);
	const entry = await readEntry(tx, source.release, source.line);
	if (!entry.ok) return entry;
	const free = await homelessCopies(tx, valuable, { releases: [entry.value.releaseId] });
	const stock = free.map((copy) => ({
		copyId: copy.id,
		version: formatVersionKey({
			release: source.release,
			card: copy.cardKey,
			parallel: copy.parallelKey,
			variant: copy.variantKey
		}),
		left: copy.free
	}));
	return take(entry.value.additions, stock, 'is logged and without a place');
}

/** Cards that stand in boxes, for a pull list. */
export async function findStanding(
	tx: Transaction,
	source: SlipSource
): Promise<Outcome<readonly Found[]>> {
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
	if (!entry) return good(rows.map(({ copyId, quantity }) => ({ copyId, quantity })));
	const order = ['to sell', 'spare', 'kept', 'incoming'];
	const stock = rows
		.sort((a, b) => order.indexOf(a.status) - order.indexOf(b.status))
		.map(({ copyId, quantity, ...version }) => ({
			copyId,
			version: formatVersionKey(version),
			left: quantity
		}));
	return take(entry.value.additions, stock, 'stands in a box');
}

/** Takes the wanted cards from stock in their order; what is not there is a note, not a failure. */
function take(
	wanted: readonly { readonly version: string; readonly quantity: number }[],
	stock: readonly { readonly copyId: number; readonly version: string; left: number }[],
	is: string
): Outcome<readonly Found[]> {
	const found: Found[] = [];
	const notes: Problem[] = [];
	for (const { version, quantity } of wanted) {
		let needed = quantity;
		for (const one of stock.filter((own) => own.version === version)) {
			const taken = Math.min(needed, one.left);
			if (taken === 0) continue;
			found.push({ copyId: one.copyId, quantity: taken });
			one.left -= taken;
			needed -= taken;
		}
		if (needed > 0) {
			const count = needed === 1 ? 'one card' : `${needed} cards`;
			notes.push({ message: `${count} of ${version}: none ${is}` });
		}
	}
	return found.length === 0 && notes.length > 0
		? bad([
				{
					message: `none of these ${is}`,
					remedy: 'Look at the card: it says where its copies are.'
				}
			])
		: good(found, notes);
}

import { and, asc, eq, inArray } from 'drizzle-orm';
import { formatVersionKey } from '../../core/checklist/version-key.ts';
import type { SlipSort, SlipState } from '../../core/boxes/slip-line.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { readEntry } from '../copies/read-entry.ts';
import type { Collection, Transaction } from '../database/open.ts';
import {
	boxCards,
	copies,
	discrepancies,
	releases,
	slipLines,
	slips
} from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { valuableFrom } from './holder-tiers.ts';
import { homelessCopies } from './homeless.ts';
import { readSlip } from './slips.ts';
import { standBehind, takeOut } from './stand-behind.ts';

/** Which cards a slip is made for. */
export type SlipSource =
	/** Every card that has no place; only for putting away. */
	| { readonly of: 'homeless' }
	/** An entry line in hand order: numbers of a release. */
	| { readonly of: 'line'; readonly release: string; readonly line: string }
	/** Every copy that is to be sold and stands in a box; only for pulling. */
	| { readonly of: 'to sell' }
	/** Named copies that stand in boxes; only for pulling. */
	| { readonly of: 'copies'; readonly ids: readonly number[] };

interface Found {
	readonly copyId: number;
	readonly quantity: number;
}

/** Makes a slip; refused where it would have no line. */
export function makeSlip(
	collection: Collection,
	sort: SlipSort,
	name: string,
	source: SlipSource
): Promise<Outcome<{ readonly id: number }>> {
	return makeChange(collection, async (record, tx) => {
		const found =
			sort === 'put away' ? await findHomeless(tx, source) : await findStanding(tx, source);
		if (!found.ok) return refused(found.problems);
		if (found.value.length === 0) {
			return refused([
				sort === 'put away'
					? {
							message: 'no such card is without a place',
							remedy: 'Log it first, or look where it stands.'
						}
					: {
							message: 'no such card stands in a box',
							remedy: 'It may lie in a binder, or have no place.'
						}
			]);
		}
		const usual = sort === 'put away' ? 'Put away' : 'Pull';
		const [slip] = await record.insert(slips, [
			{
				sort,
				name: name.trim() || `${usual}, ${collection.now().slice(0, 10)}`,
				createdAt: collection.now()
			}
		]);
		const slipId = slip?.id ?? 0;
		await record.insert(
			slipLines,
			found.value.map((one) => ({ ...one, slipId, state: 'open' as const }))
		);
		return {
			value: good({ id: slipId }, found.notes),
			label: `Slip ${slip?.name ?? ''}`,
			touches: []
		};
	});
}

async function findHomeless(
	tx: Transaction,
	source: SlipSource
): Promise<Outcome<readonly Found[]>> {
	const valuable = await valuableFrom(tx);
	if (source.of === 'homeless') {
		const all = await homelessCopies(tx, valuable);
		return good(all.map(({ id, free }) => ({ copyId: id, quantity: free })));
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

async function findStanding(
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
		.where(and(which))
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
		if (needed > 0)
			notes.push({ message: `${needed === 1 ? 'one' : needed} of ${version} less ${is}` });
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

/**
 * Answers a line: done, skipped, open again, or not there, which opens a discrepancy. `divider` is
 * the one that was shown; where the card goes elsewhere by now, nothing is recorded.
 */
export function answerLine(
	collection: Collection,
	slipId: number,
	lineId: number,
	state: SlipState,
	divider: number | null
): Promise<Outcome<{ readonly id: number }>> {
	return makeChange(collection, async (record, tx) => {
		const slip = await readSlip(tx, slipId);
		const line = slip?.lines.find(({ id }) => id === lineId);
		if (!slip || !line)
			return refused([{ message: 'there is no such line', remedy: 'Reload the slip.' }]);
		const isWaiting = line.state === 'open' || line.state === 'skipped';
		const dividerId = line.place?.dividerId ?? null;
		if (!isWaiting || (state === 'done' && (dividerId === null || dividerId !== divider))) {
			return refused([
				{
					message: 'the slip has changed since it was shown',
					remedy: 'Look at it as it is now; nothing was recorded.'
				}
			]);
		}
		if (state === 'done' && slip.sort === 'put away') {
			const [copy] = await homelessCopies(tx, await valuableFrom(tx), { copies: [line.copyId] });
			if (!copy || copy.free < line.quantity || dividerId === null) {
				return refused([{ message: `${line.card} has a place already`, remedy: 'Skip it.' }]);
			}
			const { um, mg } = copy;
			await standBehind(record, tx, dividerId, [
				{ copyId: copy.id, quantity: line.quantity, um, mg }
			]);
		}
		if (state === 'done' && slip.sort === 'pull')
			await takeOut(record, tx, line.copyId, line.quantity);
		if (state === 'not there') {
			await record.insert(discrepancies, [
				{
					sort: 'not there',
					dividerId: slip.sort === 'pull' ? dividerId : null,
					copyId: line.copyId,
					version: await versionOf(tx, line.copyId),
					quantity: line.quantity,
					at: collection.now()
				}
			]);
		}
		await record.update(slipLines, lineId, { state });
		return {
			value: good({ id: lineId }),
			label: `${slip.name}: ${line.card} ${state}`,
			touches: []
		};
	});
}

/** Removes a slip; what was done stays done. */
export function removeSlip(collection: Collection, id: number): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [slip] = await tx.select().from(slips).where(eq(slips.id, id));
		if (!slip) return { value: false, label: '', touches: [] };
		const lines = await tx
			.select({ id: slipLines.id })
			.from(slipLines)
			.where(eq(slipLines.slipId, id));
		await record.remove(
			slipLines,
			lines.map((line) => line.id)
		);
		await record.remove(slips, [id]);
		return { value: true, label: `Throw away the slip ${slip.name}`, touches: [] };
	});
}

async function versionOf(tx: Transaction, copyId: number): Promise<string> {
	const [row] = await tx
		.select({
			release: releases.key,
			card: copies.cardKey,
			parallel: copies.parallelKey,
			variant: copies.variantKey
		})
		.from(copies)
		.innerJoin(releases, eq(copies.releaseId, releases.id))
		.where(eq(copies.id, copyId));
	if (!row) throw new RangeError(`versionOf: no copy ${copyId}`);
	return formatVersionKey(row);
}

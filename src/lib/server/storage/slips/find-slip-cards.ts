import { group, sum } from 'd3-array';
import { asc, eq, inArray } from 'drizzle-orm';
import { USUAL_BOX_RULES } from '../../../core/storage/plan/choose-box.ts';
import { formatVersionKey } from '../../../core/checklist/version-key.ts';
import { bad, good, type Outcome, type Problem } from '../../../core/problem.ts';
import { readEntry } from '../../copies/read-entry.ts';
import type { Transaction } from '../../database/open.ts';
import { boxCards, copies, releases } from '../../database/tables/index.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { valuableFrom } from '../../places/holder-tiers.ts';
import { readHoused } from '../plan/add-sets.ts';
import { homelessCopies, type HomelessCopy } from '../../places/homeless.ts';

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
		const found = (await housedCopies(tx, valuable)).map(({ id, free }) => ({
			copyId: id,
			quantity: free
		}));
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
	return take(tx, entry.value.additions, stock, 'is logged and without a place');
}

/** Copies without a place whose set, or whose year's strays, have a divider already. */
async function housedCopies(tx: Transaction, valuable: number): Promise<readonly HomelessCopy[]> {
	const housed = await readHoused(tx);
	const all = await homelessCopies(tx, valuable);
	const years = new Map(
		(await tx.select({ id: releases.id, year: releases.year }).from(releases)).map(
			({ id, year }) => [id, year]
		)
	);
	const bySet = group(all, ({ use, releaseId }) => `${use} ${releaseId}`);
	const isHoused = ({ use, releaseId }: HomelessCopy) => {
		if (housed.releases.get(use)?.has(releaseId)) return true;
		const cards = sum(bySet.get(`${use} ${releaseId}`) ?? [], ({ free }) => free);
		const year = years.get(releaseId) ?? '';
		return cards <= USUAL_BOX_RULES.mostStrays && (housed.strays.get(use)?.has(year) ?? false);
	};
	const isSetHoused = new Map([...bySet].map(([set, [first]]) => [set, first && isHoused(first)]));
	return all.filter(({ use, releaseId }) => isSetHoused.get(`${use} ${releaseId}`));
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
	return take(tx, entry.value.additions, stock, 'stands in a box');
}

/** Takes the wanted cards from stock in their order; what is not there is a note, not a failure. */
async function take(
	tx: Transaction,
	wanted: readonly { readonly version: string; readonly quantity: number }[],
	stock: readonly { readonly copyId: number; readonly version: string; left: number }[],
	is: string
): Promise<Outcome<readonly Found[]>> {
	const found: Found[] = [];
	const lacking: { readonly version: string; readonly count: number }[] = [];
	const byVersion = group(stock, ({ version }) => version);
	for (const { version, quantity } of wanted) {
		let needed = quantity;
		for (const one of byVersion.get(version) ?? []) {
			const taken = Math.min(needed, one.left);
			if (taken === 0) continue;
			found.push({ copyId: one.copyId, quantity: taken });
			one.left -= taken;
			needed -= taken;
		}
		if (needed > 0) lacking.push({ version, count: needed });
	}
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

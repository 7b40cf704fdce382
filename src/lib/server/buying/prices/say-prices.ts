import { and, eq } from 'drizzle-orm';
import { readPriceLine } from '../../../core/buying/prices/read-price-line.ts';
import { parseVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { numberingsOf } from '../../../core/checklist/numbering.ts';
import { bad, good, type Outcome } from '../../../core/problem.ts';
import type { GoalId } from '../../../core/row-id.ts';
import { entryContext } from '../../copies/entry-context.ts';
import { priceLumps, pricePoints } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { findRelease, loadRelease } from '../../releases/load-release.ts';
import type { Collection } from '../../database/open.ts';
import { pointRows, replacePoints } from './point-rows.ts';
import { sheetView } from './sheet-view.ts';

/** What a price line is said of. */
export interface SaidPrices {
	/** Key of the release that its numbers are of. */
	readonly release: string;
	readonly line: string;
	/** Who said it; empty: the price sheet itself. */
	readonly source: string;
}

/** The source of prices that were typed without one. */
const OWN_SHEET = 'price sheet';

/**
 * Applies a line of prices to the sheet of a goal: prices of cards go into the price book, sums for several
 * cards stay with the goal. What the same source said of a card in the same condition on the same day is
 * replaced. With any problem nothing is applied.
 */
export function sayPrices(
	collection: Collection,
	goalId: GoalId,
	{ release: releaseKey, line, source }: SaidPrices
): Promise<Outcome<{ readonly prices: number; readonly lumps: number }>> {
	return makeChange(collection, async (record, tx) => {
		const view = await sheetView(tx, goalId);
		const stored = await loadRelease(tx, releaseKey);
		if (!view || !stored) {
			const message = view ? 'this release is not in the collection' : 'there is no such goal';
			return refused([{ message, remedy: 'Choose another one.' }]);
		}
		const { currency } = view.rules;
		const wants = view.wants.filter(({ release }) => release === releaseKey);
		const reading = readPriceLine(line, {
			...(await entryContext(tx, stored.release, {
				numberingKey: numberingsOf(stored.release)[0]?.key ?? null,
				parallelKey: null,
				owned: new Map()
			})),
			wants,
			priced: new Set(wants.flatMap(({ price, versions }) => (price ? versions : []))),
			currency
		});
		if (reading.problems.length > 0) return { value: bad(reading.problems), label: '' };
		const { prices, lumps } = reading;
		if (prices.length + lumps.length === 0) {
			return refused([{ message: 'the line says no price', remedy: 'Write: 5 24 nm.' }]);
		}
		const saidOn = collection.now().slice(0, 10);
		const from = source.trim() || OWN_SHEET;
		const rows = pointRows(stored.id, prices, {
			...{ currency, saidOn, kind: 'asking', source: from, house: null }
		});
		await replacePoints(record, tx, rows);
		const words = lumps.map((lump) => lump.words.toLowerCase());
		const replaced = (
			await tx.select().from(priceLumps).where(eq(priceLumps.goalId, goalId))
		).filter((lump) => words.includes(lump.words.toLowerCase()) && lump.releaseId === stored.id);
		await record.remove(
			priceLumps,
			replaced.map(({ id }) => id)
		);
		await record.insert(
			priceLumps,
			lumps.map(({ price, words: of, versions, cards, reason }) => ({
				...{ goalId, releaseId: stored.id, words: of, versions, cards, ...price, currency, saidOn },
				reason: reason ?? null
			}))
		);
		const value = { prices: prices.length, lumps: lumps.length };
		return { value: good(value, reading.notes), label: `Prices: ${clip(line.trim())}` };
	});
}

/** Takes what a line of the sheet says away: all prices of its card, or the sum. */
export function forgetPrice(
	collection: Collection,
	what: { readonly version: string } | { readonly lump: number }
): Promise<Outcome<{ readonly forgotten: number }>> {
	return makeChange(collection, async (record, tx) => {
		const gone = 'this price is not there any more';
		if ('lump' in what) {
			const [lump] = await tx.select().from(priceLumps).where(eq(priceLumps.id, what.lump));
			if (!lump) return refused([{ message: gone, remedy: 'Reload the page.' }]);
			await record.remove(priceLumps, [lump.id]);
			return { value: good({ forgotten: 1 }), label: `Forget the price of ${lump.words}` };
		}
		const name = parseVersionKey(what.version);
		const releaseId = await findRelease(tx, name?.release ?? '');
		const rows =
			releaseId === null || !name
				? []
				: (
						await tx
							.select()
							.from(pricePoints)
							.where(and(eq(pricePoints.releaseId, releaseId), eq(pricePoints.cardKey, name.card)))
					).filter((row) => row.parallelKey === name.parallel && row.variantKey === name.variant);
		if (rows.length === 0) return refused([{ message: gone, remedy: 'Reload the page.' }]);
		await record.remove(
			pricePoints,
			rows.map(({ id }) => id)
		);
		return { value: good({ forgotten: rows.length }), label: 'Forget a price' };
	});
}

function clip(text: string): string {
	return text.length > 60 ? `${text.slice(0, 59)}…` : text;
}

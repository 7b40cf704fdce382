import { and, inArray, ne, sql } from 'drizzle-orm';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import { setWorth } from '../../../core/worth/value/set-worth.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import { readPriceBook } from '../../buying/prices/read-price-book.ts';
import { qualityOfRow } from '../../copies/quality-of-row.ts';
import type { Collection, Reader } from '../../database/open.ts';
import { copies, pricePoints, releases } from '../../database/tables/index.ts';
import { makeChange } from '../../journal/change.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { WORTH_RULES, worthRulesOf } from '../worth-rules.ts';

/** Where a value comes from that was taken over; its owner's own word names another source, or none. */
const PRICE_BOOK = 'price book';

/** A value that the price book gives a copy, in minor units of the currency that is reckoned in. */
interface NewValue {
	readonly id: (typeof copies.$inferSelect)['id'];
	readonly valueMinor: number;
	readonly valueOn: string;
}

/**
 * Values that copies would take over: those of sales, of copies that their owner has not valued, whose value is another one by
 * now.
 */
async function newValues(
	db: Reader,
	today: string
): Promise<{ readonly currency: string; readonly values: readonly NewValue[] }> {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rules = worthRulesOf(await readPreference(db, WORTH_RULES));
	const priced = await db.selectDistinct({ id: pricePoints.releaseId }).from(pricePoints);
	const ids = priced.map(({ id }) => id);
	const heads = await db
		.select({ id: releases.id, key: releases.key })
		.from(releases)
		.where(inArray(releases.id, ids));
	const keys = new Map(heads.map(({ id, key }) => [id, key]));
	const book = await readPriceBook(db, keys, currency);
	const rows = (
		await db
			.select()
			.from(copies)
			.where(
				and(
					inArray(copies.releaseId, ids),
					ne(copies.status, 'incoming'),
					sql`exists (select 1 from ${pricePoints} where ${pricePoints.releaseId} = ${copies.releaseId}
						and ${pricePoints.cardKey} = ${copies.cardKey})`
				)
			)
	).filter(({ valueMinor, valueSource }) => valueMinor === null || valueSource === PRICE_BOOK);
	const { lines } = setWorth(
		rows.map((row) => {
			const { cardKey: card, parallelKey: parallel, variantKey: variant } = row;
			const version = formatVersionKey({
				...{ release: keys.get(row.releaseId) ?? '', card, parallel, variant }
			});
			return {
				...{ key: `${row.id}`, version, quantity: row.quantity, isKey: false, group: '' },
				...qualityOfRow(row),
				...(row.house === null ? {} : { house: row.house })
			};
		}),
		[...book.points.values()].flat(),
		today,
		rules
	);
	return {
		currency,
		values: rows.flatMap(({ id, valueMinor, currency: money, costMinor }, i): NewValue[] => {
			const line = lines[i];
			if (line?.basis !== 'sales') return [];
			// What it cost is in the same currency as its value: a copy has one.
			const isOther = money !== null && money !== currency && costMinor !== null;
			const isSame = valueMinor === line.eachMinor && money === currency;
			return isOther || isSame
				? []
				: [{ id, valueMinor: line.eachMinor, valueOn: line.on ?? today }];
		})
	};
}

/** Copies take the price book's values over, in one step: holders, storage classes and plans follow them. */
export function takeEstimates(
	collection: Collection
): Promise<Outcome<{ readonly copies: number }>> {
	return makeChange(collection, async (record, tx) => {
		const { currency, values } = await newValues(tx, collection.now().slice(0, 10));
		await record.updateMany(
			copies,
			values.map(({ id, valueMinor, valueOn }) => ({
				id,
				values: { valueMinor, valueOn, currency, valueSource: PRICE_BOOK }
			}))
		);
		return { value: good({ copies: values.length }), label: 'Values from the price book' };
	});
}

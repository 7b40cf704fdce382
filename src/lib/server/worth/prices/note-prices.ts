import { eq } from 'drizzle-orm';
import { parsePriceLine } from '../../../core/buying/prices/price-phrase.ts';
import { readPriceLine } from '../../../core/buying/prices/read-price-line.ts';
import { numberingsOf } from '../../../core/checklist/numbering.ts';
import { bad, good, type Outcome } from '../../../core/problem.ts';
import type { PricePointId } from '../../../core/row-id.ts';
import type { PriceKind } from '../../../core/worth/prices/price-point.ts';
import { pointRows, replacePoints } from '../../buying/prices/point-rows.ts';
import { entryContext } from '../../copies/entry-context.ts';
import type { Collection } from '../../database/open.ts';
import { pricePoints } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { loadRelease } from '../../releases/load-release.ts';
import { unknownHouse } from './unknown-house.ts';

/** Prices as they were heard: a line, and what holds for all of it. */
export interface NotedPrices {
	readonly release: string;
	/** "5 24 nm; 7 grade 8 40–45 (signed)" */
	readonly line: string;
	readonly kind: PriceKind;
	/** Empty: not said. */
	readonly house: string;
	readonly source: string;
	/** ISO 8601 date; null: today. */
	readonly on: string | null;
	readonly currency: string;
}

/** Notes prices of any cards of a release in the price book. With any problem nothing is noted. */
export function notePrices(
	collection: Collection,
	{ release: key, line, kind, house, source, on, currency }: NotedPrices
): Promise<Outcome<{ readonly prices: number }>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await loadRelease(tx, key);
		if (!stored) {
			const message = 'this release is not in the collection';
			return refused([{ field: 'release', message, remedy: 'Choose another one.' }]);
		}
		const { prices, lumps, problems } = readPriceLine(line, {
			...(await entryContext(tx, stored.release, {
				numberingKey: numberingsOf(stored.release)[0]?.key ?? null,
				parallelKey: null,
				owned: new Map()
			})),
			...{ wants: [], priced: new Set<string>(), currency }
		});
		const today = collection.now().slice(0, 10);
		const all = [
			...problems,
			...(await unknownHouse(
				tx,
				house,
				parsePriceLine(line, currency).phrases.flatMap(({ grade }) => grade ?? [])
			)),
			...(lumps.length > 0
				? [
						{
							message: 'one sum for several cards is no price of a card',
							remedy: 'Say what each was sold for, or write the sum on a price sheet under Buying.'
						}
					]
				: []),
			...(on !== null && on > today
				? [{ field: 'on', message: `${on} is still to come`, remedy: 'Write the day it was said.' }]
				: [])
		];
		if (all.length > 0) return { value: bad(all), label: '' };
		if (prices.length === 0) {
			return refused([{ message: 'the line says no price', remedy: 'Write: 5 24 nm.' }]);
		}
		await replacePoints(
			record,
			tx,
			pointRows(stored.id, prices, {
				...{ currency, saidOn: on ?? today, kind, source: source.trim() },
				house: house.trim() || null
			})
		);
		return {
			value: good({ prices: prices.length }),
			label: `Prices of ${stored.release.name}: ${line.trim().slice(0, 60)}`
		};
	});
}

/** Takes a price out of the book. */
export function dropPrice(
	collection: Collection,
	id: PricePointId
): Promise<Outcome<{ readonly id: PricePointId }>> {
	return makeChange(collection, async (record, tx) => {
		const [known] = await tx.select().from(pricePoints).where(eq(pricePoints.id, id));
		if (!known) return refused([{ message: 'this price is gone', remedy: 'Reload the page.' }]);
		await record.remove(pricePoints, [id]);
		return { value: good({ id }), label: 'Take a price out of the book' };
	});
}

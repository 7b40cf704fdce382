import type { Static } from 'typebox';
import { eq } from 'drizzle-orm';
import type { SupplyPrice } from '../../core/binder/supplies.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import { parseAmount } from '../../core/money/amount.ts';
import type { PricesFormSchema } from '../../schemas/forms/binders.ts';
import type { Collection } from '../database/open.ts';
import { supplyPrices } from '../database/tables/index.ts';
import { makeChange } from '../journal/change.ts';

/** What no pack costs, in minor units: a slip of the hand. */
const MOST_PRICE = 100_000_000;

/** What a pack costs, or null to take the price away. */
export type PriceChange = readonly [key: string, price: Omit<SupplyPrice, 'key'> | null];

/** Sets prices, all in one step. */
export function setPrices(collection: Collection, changes: readonly PriceChange[]): Promise<void> {
	return makeChange(collection, async (record, tx) => {
		for (const [key, price] of changes) {
			const [row] = await tx.select().from(supplyPrices).where(eq(supplyPrices.key, key));
			if (!price) {
				if (row) await record.remove(supplyPrices, [row.id]);
				continue;
			}
			const { priceMinor, currency, packOf } = price;
			const isSame =
				row?.priceMinor === priceMinor && row.currency === currency && row.packOf === packOf;
			if (isSame) continue;
			if (row) await record.update(supplyPrices, row.id, price);
			else await record.insert(supplyPrices, [{ key, ...price }]);
		}
		return { value: undefined, label: 'Prices of supplies' };
	});
}

/** Prices out of a form, line by line: no price takes it away. All problems at once. */
export function readPrices({
	currency: code,
	key,
	price: prices,
	packOf
}: Static<typeof PricesFormSchema>): Outcome<readonly PriceChange[]> {
	const currency = code.toUpperCase();
	const problems: Problem[] = [];
	if (!/^[A-Z]{3}$/.test(currency)) {
		problems.push({
			field: 'currency',
			message: `"${code}" is no currency`,
			remedy: 'Three letters, as EUR or USD.'
		});
	}
	const changes = key.map((name, i): PriceChange => {
		const [price = '', pack = ''] = [prices[i], packOf[i]];
		if (price === '') return [name, null];
		const amount = parseAmount(price, currency);
		if (!amount.ok) {
			problems.push(
				...amount.problems.map((problem) => ({
					...problem,
					field: 'price',
					message: `${name}: ${problem.message}`
				}))
			);
		} else if (amount.value.minor > MOST_PRICE) {
			problems.push({ field: 'price', message: `${name}: "${price}" is more than any pack costs` });
		}
		if (!/^[1-9]\d{0,4}$/.test(pack)) {
			problems.push({
				field: 'packOf',
				message: `${name}: "${pack}" is no number in a pack`,
				remedy: 'A whole number from 1.'
			});
		}
		const priceMinor = amount.ok ? amount.value.minor : 0;
		return [name, { priceMinor, currency, packOf: Number(pack) }];
	});
	return problems.length > 0 ? bad(problems) : good(changes);
}

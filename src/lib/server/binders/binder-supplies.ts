import type { SupplyPrice } from '../../core/binder/supplies.ts';
import { usualChanges, whatIf } from '../../core/binder/what-if.ts';
import type { Reader } from '../database/open.ts';
import { supplyPrices } from '../database/tables/index.ts';
import type { StoredBinder } from './read-binder.ts';

/** What packs of supplies cost. */
export async function readPrices(db: Reader): Promise<readonly SupplyPrice[]> {
	return db
		.select({
			key: supplyPrices.key,
			priceMinor: supplyPrices.priceMinor,
			currency: supplyPrices.currency,
			packOf: supplyPrices.packOf
		})
		.from(supplyPrices);
}

/** What a binder takes and costs, and what it would under the changes people ask about. */
export async function binderSupplies(db: Reader, state: StoredBinder) {
	const { slots, layout, setting } = state;
	const prices = await readPrices(db);
	const changes = usualChanges(layout, setting);
	const [{ supplies: list }, ...tried] = whatIf(slots, layout, changes, setting, prices);
	return { list, tried, prices };
}

import { priceSupplies } from '../../../core/binder/supplies.ts';
import { HOLDER_KINDS, holderKindOf } from '../../../core/storage/kinds/holder-kind.ts';
import { holdersToBuy, type TierMove } from '../../../core/storage/holders/tier-moves.ts';
import { readPrices } from '../../binders/binder-supplies.ts';
import type { Reader } from '../../database/open.ts';
import { holderSupply } from '../../../core/storage/supplies/supply.ts';
import { readHolderKinds } from '../../places/keeping.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { STOCK } from '../supplies/stock.ts';

/** What holders are to be bought for some moves, less what is on hand, with their prices. */
export async function holderSupplies(db: Reader, moves: readonly TierMove[]) {
	const prices = await readPrices(db);
	const holders = await readHolderKinds(db);
	const stock = await readPreference(db, STOCK);
	const onHand = Object.fromEntries(
		[...HOLDER_KINDS, ...holders].map(({ key }) => [key, stock[holderSupply(key)]?.count ?? 0])
	);
	const needs = holdersToBuy(moves, onHand, holders).map(({ holder, buy }) => ({
		key: holderSupply(holder),
		sort: 'holder' as const,
		name: holderKindOf(holder, holders).name,
		count: buy
	}));
	return { list: priceSupplies(needs, prices), prices, onHand };
}

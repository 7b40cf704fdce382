import { priceSupplies } from '../../../core/binder/supplies.ts';
import { holderKindOf } from '../../../core/storage/kinds/holder-kind.ts';
import { holdersToBuy, type TierMove } from '../../../core/storage/holders/tier-moves.ts';
import { readPrices } from '../../binders/binder-supplies.ts';
import type { Reader } from '../../database/open.ts';
import type { HolderRules } from '../../places/holder-tiers.ts';

/** What stands before the key of a holder among the keys of supplies. */
export const HOLDER_SUPPLY = 'holder:';

/** What holders are to be bought for some moves, less what is on hand, with their prices. */
export async function holderSupplies(
	db: Reader,
	moves: readonly TierMove[],
	{ onHand }: Pick<HolderRules, 'onHand'>
) {
	const prices = await readPrices(db);
	const needs = holdersToBuy(moves, onHand).map(({ holder, buy }) => ({
		key: `${HOLDER_SUPPLY}${holder}`,
		sort: 'holder' as const,
		name: holderKindOf(holder).name,
		count: buy
	}));
	return { list: priceSupplies(needs, prices), prices };
}

import type { Reader } from '../../database/open.ts';
import { HOLDER_RULES } from '../../places/holder-tiers.ts';
import { EXCHANGE_RATES } from '../../preferences/exchange-rates.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { holderSupplies } from './holder-supplies.ts';
import { nameTierMoves } from './name-tier-moves.ts';
import { readTierMoves } from './read-tier-moves.ts';

/** Which cards should be in another holder, the first of them by name, and what is to be bought for all. */
export async function holderView(db: Reader, most: number) {
	const rules = await readPreference(db, HOLDER_RULES);
	const { moves, currency, otherMoney } = await readTierMoves(db, rules);
	const { list, prices, onHand } = await holderSupplies(db, moves);
	return {
		rules: { ...rules, currency },
		otherMoney,
		rates: await readPreference(db, EXCHANGE_RATES),
		moves: await nameTierMoves(db, moves.slice(0, most)),
		count: moves.length,
		list,
		onHand,
		prices,
		currency: prices[0]?.currency ?? currency
	};
}

import { parseBandLines, parseChannelLines } from '../../core/selling/lots/band-line.ts';
import type { LotRules } from '../../core/selling/lots/deal-lots.ts';
import { parseAmount } from '../../core/money/amount.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { SellingRulesSchema, type SellingRulesKept } from '../../schemas/selling-rules.ts';
import { BUYING_RULES } from '../buying/buying-rules.ts';
import type { Collection } from '../database/open.ts';
import { makeChange, refused } from '../journal/change.ts';
import { readPreference, writePreference, type Preference } from '../preferences/preferences.ts';

/**
 * By what things are sold. ● Singles of 1 to 50 go one way, sets another, bulk in lots; ● inserts and parallels are sold, base
 * kept. Fees and shares are assumptions of ours.
 */
export const SELLING_RULES: Preference<typeof SellingRulesSchema> = {
	key: 'selling-rules',
	schema: SellingRulesSchema,
	usual: {
		channels: [
			{ name: 'fair', feePercent: 0, feeMinor: 0 },
			{ name: 'market', feePercent: 10, feeMinor: 30 },
			{ name: 'auction', feePercent: 15, feeMinor: 0 }
		],
		bands: [
			{ fromMinor: 0, channel: 'fair', as: 'lot', mostCards: 100 },
			{ fromMinor: 100, channel: 'market', as: 'single', mostCards: 1 },
			{ fromMinor: 5000, channel: 'auction', as: 'single', mostCards: 1 }
		],
		sellsInserts: true,
		sellsDoubles: false,
		askPercent: 110,
		floorPercent: 80,
		lotPercent: 50,
		unpricedMinor: null
	}
};

/** The same as the core takes them. */
export function lotRulesOf(kept: SellingRulesKept): LotRules {
	const { bands, askPercent, floorPercent, lotPercent, unpricedMinor } = kept;
	return {
		...{ bands, unpricedMinor },
		askShare: askPercent / 100,
		floorShare: floorPercent / 100,
		lotShare: lotPercent / 100
	};
}

/** The rules as they are typed. */
export interface TypedSellingRules {
	/** A line each, as `formatChannelLines` and `formatBandLines` write them. */
	readonly channels: string;
	readonly bands: string;
	readonly sellsInserts: boolean;
	readonly sellsDoubles: boolean;
	readonly askPercent: number;
	readonly floorPercent: number;
	readonly lotPercent: number;
	/** An amount; empty: such cards are not dealt. */
	readonly unpriced: string;
}

/** Sets the rules; with any problem they stay. */
export function setSellingRules(
	collection: Collection,
	typed: TypedSellingRules
): Promise<Outcome<{ readonly bands: number }>> {
	return makeChange(collection, async (record, tx) => {
		const { currency } = await readPreference(tx, BUYING_RULES);
		const channels = parseChannelLines(typed.channels, currency);
		const bands = parseBandLines(typed.bands, currency);
		const unpriced =
			typed.unpriced.trim() === '' ? good(null) : parseAmount(typed.unpriced, currency);
		const problems: readonly Problem[] = [channels, bands, unpriced].flatMap((read) =>
			read.ok ? [] : read.problems
		);
		if (!channels.ok || !bands.ok || !unpriced.ok) return refused(problems);
		const known = new Set(channels.value.map(({ name }) => name));
		const strangers = bands.value.filter(({ channel }) => !known.has(channel));
		if (strangers.length > 0) {
			const remedy = `Name one of: ${[...known].join(', ')}; or add it to the channels.`;
			return refused(
				strangers.map(({ channel }) => ({ message: `there is no channel "${channel}"`, remedy }))
			);
		}
		const { sellsInserts, sellsDoubles, askPercent, floorPercent, lotPercent } = typed;
		await writePreference(record, tx, SELLING_RULES, {
			...{ sellsInserts, sellsDoubles, askPercent, floorPercent, lotPercent },
			channels: [...channels.value],
			bands: [...bands.value],
			unpricedMinor: unpriced.value?.minor ?? null
		});
		return { value: good({ bands: bands.value.length }), label: 'Rules for selling' };
	});
}

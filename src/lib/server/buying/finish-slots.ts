import { rollup, sum } from 'd3-array';
import type { FinishSlot } from '../../core/buying/finish/cost-to-finish.ts';
import { middleOf } from '../../core/worth/prices/price.ts';
import { typicalPrice } from '../../core/buying/prices/typical-price.ts';
import type { PricePoint } from '../../core/worth/prices/price-point.ts';
import { cardFinder } from '../../core/checklist/versions/find-version.ts';
import { convertMinor, type ExchangeRate } from '../../core/money/exchange-rates.ts';
import type { GoalState } from '../goals/work-out-goals.ts';

/** The slots of a goal with what is there of each, what it lacks, and what is known of its price. */
export function finishSlots(
	{ slots, releases, copies, filling }: GoalState,
	points: ReadonlyMap<string, readonly PricePoint[]>,
	{ currency, rates }: { readonly currency: string; readonly rates: readonly ExchangeRate[] }
): readonly FinishSlot[] {
	const finders = new Map(releases.map((release) => [release.key, cardFinder(release)]));
	const lacking = new Map(filling.missing.map(({ slot, quantity }) => [slot, quantity]));
	const worth = new Map(
		copies.flatMap(({ key, valueMinor, currency: code = currency }) => {
			const minor =
				valueMinor === undefined ? null : convertMinor(valueMinor, code, currency, rates);
			return minor === null ? [] : [[key, minor] as const];
		})
	);
	const held = rollup(
		filling.placements.filter(({ copy }) => worth.has(copy)),
		(some) => sum(some, ({ copy }) => worth.get(copy) ?? 0),
		({ slot }) => slot
	);
	return slots.map((slot): FinishSlot => {
		const { key, versions, quantity: need, release, version } = slot;
		const found = finders.get(release)?.(version.key);
		const missing = lacking.get(key) ?? 0;
		const said = versions.flatMap((each) => points.get(each) ?? []);
		const price = typicalPrice(said, slot);
		const before = price && beforeOf(said, slot, price.on);
		const heldMinor = missing < need ? held.get(key) : undefined;
		return {
			...{ key, versions, quantity: missing, need, release, price },
			section: version.sectionKey,
			kind: found?.section.kind ?? 'base',
			parallel: version.parallelKey,
			isVariant: version.variantKey !== null,
			marks: found?.card.marks ?? [],
			...(found?.card.rarity === undefined ? {} : { rarity: found.card.rarity }),
			...(before === null ? {} : { beforeMinor: before }),
			...(heldMinor === undefined ? {} : { heldMinor })
		};
	});
}

/** The middle of what was known before a day, in minor units; null: nothing was. */
function beforeOf(
	points: readonly PricePoint[],
	need: Parameters<typeof typicalPrice>[1],
	on: string
): number | null {
	const before = typicalPrice(
		points.filter((point) => point.on < on),
		need
	);
	return before && middleOf(before);
}

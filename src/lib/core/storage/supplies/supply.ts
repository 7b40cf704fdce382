import { holderKindOf, HOLDER_KINDS, type HolderKind } from '../kinds/holder-kind.ts';
import type { BoxKind } from '../kinds/box-kind.ts';
import { holdersTaken, type TierMove } from '../holders/tier-moves.ts';

/** holder: sleeves, loaders, cases. scuffed: those that serve for shipping. box: boxes that are not made up yet. */
export const STOCK_SORTS = ['holder', 'scuffed', 'box', 'divider', 'bag'] as const;

/** Something of which a number is on hand. */
export interface Supply {
	/** "holder:top-loader-35", "scuffed:top-loader-35", "box:800", "box-divider", "bag:set" */
	readonly key: string;
	readonly sort: (typeof STOCK_SORTS)[number];
	readonly name: string;
}

/** What is on hand of a supply, and from which number on one wants to be warned. */
export interface Stock {
	readonly count: number;
	/** Fewer than this are few; left out: none is. */
	readonly least?: number;
}

/** Stock by key of the supply; what was never counted is not there. */
export type StockOnHand = Readonly<Record<string, Stock>>;

/** So many of a supply that are taken; below 0: they come back. */
export interface SupplyUse {
	readonly key: string;
	readonly count: number;
}

export const BOX_DIVIDER = 'box-divider';
export const holderSupply = (holder: string) => `holder:${holder}`;
export const scuffedSupply = (holder: string) => `scuffed:${holder}`;
export const boxSupply = (kind: string) => `box:${kind}`;

/** All that may be counted: holders and boxes that come with the program, and one's own. */
export function suppliesFor(
	boxKinds: readonly BoxKind[],
	holders: readonly HolderKind[]
): readonly Supply[] {
	const kept = [...HOLDER_KINDS, ...holders].filter(({ sort }) => sort !== 'graded');
	return [
		...kept.map(({ key, name }): Supply => ({ key: holderSupply(key), sort: 'holder', name })),
		...kept
			.filter(({ isRigid }) => isRigid)
			.map(({ key, name }): Supply => ({
				...{ key: scuffedSupply(key), sort: 'scuffed' },
				name: `${name}, scuffed`
			})),
		...boxKinds.map(({ key, name }): Supply => ({
			...{ key: boxSupply(key), sort: 'box' },
			name: `${name}, unmade`
		})),
		{ key: BOX_DIVIDER, sort: 'divider', name: 'Box divider' },
		{ key: 'bag:set', sort: 'bag', name: 'Bag for a set' },
		{ key: 'bag:graded', sort: 'bag', name: 'Bag for a graded holder' }
	];
}

/** What a card takes that changes its holder; a rigid one that is free again comes back. */
export function holderUses(
	{ from, to, quantity }: Pick<TierMove, 'from' | 'to' | 'quantity'>,
	holders: readonly HolderKind[] = []
): readonly SupplyUse[] {
	const taken = holdersTaken(from, to, holders).map((holder) => ({
		key: holderSupply(holder),
		count: quantity
	}));
	const now = from === null || from === to ? null : holderKindOf(from, holders);
	// A graded holder that was opened is none any more.
	const isFree = now !== null && now.isRigid && now.sort !== 'graded';
	return isFree ? [...taken, { key: holderSupply(now.key), count: -quantity }] : taken;
}

/**
 * What is on hand after some uses: never below nothing; what was never counted stays uncounted.
 *
 * @example stockAfter({ 'box:800': { count: 3, least: 2 } }, [{ key: 'box:800', count: 2 }, { key: 'bag:set', count: 1 }]) // { 'box:800': { count: 1, least: 2 } }
 */
export function stockAfter(onHand: StockOnHand, uses: readonly SupplyUse[]): StockOnHand {
	const after: Record<string, Stock> = { ...onHand };
	for (const { key, count } of uses) {
		const stock = Object.hasOwn(after, key) ? after[key] : undefined;
		if (stock) after[key] = { ...stock, count: Math.max(0, stock.count - count) };
	}
	return after;
}

/** A supply that runs out. */
export interface LowSupply extends Supply {
	readonly count: number;
	/** From which number on there is enough. */
	readonly enough: number;
}

/** What is counted, and is less than one wants to have or than what waits takes; the scarcest first. */
export function lowSupplies(
	onHand: StockOnHand,
	supplies: readonly Supply[],
	waiting: readonly SupplyUse[] = []
): readonly LowSupply[] {
	const needed = new Map<string, number>();
	for (const { key, count } of waiting) needed.set(key, (needed.get(key) ?? 0) + count);
	return supplies
		.flatMap((supply): LowSupply[] => {
			const stock = Object.hasOwn(onHand, supply.key) ? onHand[supply.key] : undefined;
			if (!stock) return [];
			const enough = Math.max(stock.least ?? 0, needed.get(supply.key) ?? 0);
			return stock.count < enough ? [{ ...supply, count: stock.count, enough }] : [];
		})
		.sort((a, b) => a.count / a.enough - b.count / b.enough);
}

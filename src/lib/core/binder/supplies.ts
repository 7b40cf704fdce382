import type { BinderKind } from './binder-kind.ts';
import { binderKindOf } from './binder-kind.ts';
import { resolveLayout, type LayoutChoice } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';
import { STANDARD_CARD } from '../measuring/card-size.ts';
import { pageKindOf, type PageKind } from './page-kind.ts';
import type { BinderPlan } from './plan-binder.ts';

/** A sleeve for thicker cards than this is a wide one. Common practice, no source. */
const WIDE_SLEEVE_PT = 55;

export const SUPPLY_SORTS = ['sleeve', 'page', 'binder', 'divider', 'holder'] as const;
export type SupplySort = (typeof SUPPLY_SORTS)[number];

/** Something a binder takes, and how many. */
export interface SupplyNeed {
	/** What prices are kept by: "sleeve:63.5x88.9", "page:3x3", "binder:rings-50", "divider". */
	readonly key: string;
	readonly sort: SupplySort;
	readonly name: string;
	/** When everything is there. */
	readonly count: number;
	/** For what is there today; left out where that makes no difference. */
	readonly today?: number;
}

/** What a pack of something costs, in minor units of the currency (ISO 4217). */
export interface SupplyPrice {
	readonly key: string;
	readonly priceMinor: number;
	readonly currency: string;
	/** How many are in a pack. */
	readonly packOf: number;
}

export interface SupplyLine extends SupplyNeed {
	/** Whole packs to buy; left out without a price. */
	readonly packs?: number;
	readonly costMinor?: number;
	readonly currency?: string;
}

export interface SupplyList {
	readonly lines: readonly SupplyLine[];
	/** One a currency. */
	readonly totals: readonly { readonly currency: string; readonly costMinor: number }[];
	/** Names of what has no price, so that the total lacks it. */
	readonly unpriced: readonly string[];
}

interface OwnKinds {
	readonly pageKinds?: readonly PageKind[];
	readonly binderKinds?: readonly BinderKind[];
}

/**
 * What a planned binder takes: a sleeve for each card (common practice, no source), by card size; leaves
 * by kind, unless they are sewn in; a cover for each volume; a divider for each block that begins on a new
 * leaf.
 */
export function suppliesOf(
	plan: BinderPlan,
	slots: readonly BinderSlot[],
	choice: LayoutChoice,
	kinds: OwnKinds = {}
): readonly SupplyNeed[] {
	const layout = resolveLayout(choice);
	const laid = new Set(plan.pages.flatMap(({ pockets }) => pockets));
	const sleeves = new Map<string, { count: number; today: number; name: string }>();
	for (const slot of slots) {
		if (!laid.has(slot.key)) continue;
		const { key, name } = sleeveFor(slot);
		const known = sleeves.get(key) ?? { count: 0, today: 0, name };
		known.count++;
		if (slot.isFilled !== false) known.today++;
		sleeves.set(key, known);
	}
	const leaves = new Map<string, number>();
	for (const { kind, pageInVolume } of plan.pages) {
		if (pageInVolume % 2 === 1) leaves.set(kind, (leaves.get(kind) ?? 0) + 1);
	}
	const hasDividers = layout.blockStart === 'new-leaf' || layout.blockStart === 'new-volume';
	const blocks = new Set(plan.pages.flatMap((page) => page.blocks));
	const binder = binderKindOf(layout.binderKind, kinds.binderKinds);
	const isSewn = binder.hasSewnLeaves ?? false;
	const needs: SupplyNeed[] = [
		...[...sleeves].map(([key, line]) => ({ key, sort: 'sleeve' as const, ...line })),
		...(isSewn ? [] : [...leaves]).map(([key, count]) => ({
			key: `page:${key}`,
			sort: 'page' as const,
			name: `Leaf, ${pageKindOf(key, kinds.pageKinds).name}`,
			count
		})),
		{
			key: `binder:${layout.binderKind}`,
			sort: 'binder',
			name: `Binder, ${binder.name}`,
			count: plan.volumes.length
		},
		{ key: 'divider', sort: 'divider', name: 'Divider', count: hasDividers ? blocks.size : 0 }
	];
	return needs.filter(({ count }) => count > 0);
}

/** Prices needs in whole packs. */
export function priceSupplies(
	needs: readonly SupplyNeed[],
	prices: readonly SupplyPrice[]
): SupplyList {
	const known = new Map(prices.map((price) => [price.key, price]));
	const lines = needs.map((need): SupplyLine => {
		const price = known.get(need.key);
		if (!price) return need;
		const packs = Math.ceil(need.count / price.packOf);
		return { ...need, packs, costMinor: packs * price.priceMinor, currency: price.currency };
	});
	const totals = new Map<string, number>();
	for (const { costMinor, currency } of lines) {
		if (costMinor === undefined || currency === undefined) continue;
		totals.set(currency, (totals.get(currency) ?? 0) + costMinor);
	}
	return {
		lines,
		totals: [...totals].map(([currency, costMinor]) => ({ currency, costMinor })),
		unpriced: lines.filter(({ packs }) => packs === undefined).map(({ name }) => name)
	};
}

function sleeveFor({ format }: BinderSlot): { readonly key: string; readonly name: string } {
	const width = format?.widthMm ?? STANDARD_CARD.widthMm;
	const height = format?.heightMm ?? STANDARD_CARD.heightMm;
	const isWide = (format?.stockPt ?? 0) > WIDE_SLEEVE_PT;
	return {
		key: `sleeve:${width}x${height}${isWide ? '-wide' : ''}`,
		name: `${isWide ? 'Wide sleeve' : 'Sleeve'}, ${width} × ${height} mm`
	};
}

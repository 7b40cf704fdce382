import { descending, group, sum } from 'd3-array';
import { formatQuality, type LabelledQuality } from '../../copies/quality-label.ts';
import { latestReports, type PopulationReport } from '../population/population.ts';
import type { EstimateRules } from '../prices/estimate-price.ts';
import { cellOf, type LadderCell, type LastSale } from './ladder-cell.ts';
import { bestToBuy, stepsOf, type LadderStep } from './ladder-steps.ts';
import { indexPoints } from '../prices/like-points.ts';
import type { PricePoint } from '../prices/price-point.ts';

/** A card on the ladder. */
export interface LadderCard {
	readonly version: string;
	/** A rookie, a key card, a short print. */
	readonly isKey: boolean;
}

export interface LadderRow {
	readonly version: string;
	readonly cells: readonly LadderCell[];
	/** Over the graded columns, from the worst to the best. */
	readonly steps: readonly LadderStep[];
	/** The best grade that is reached without a jump, from the lowest that has a price; null: none has. */
	readonly bestToBuy: string | null;
	/** Where it stands in the column that is ranked by. */
	readonly standing: 'top' | 'near miss' | 'below' | 'no price';
}

/** What is ranked by. */
export interface LadderRank {
	/** Label of the column. */
	readonly column: string;
	/** So many cards are the top. */
	readonly top: number;
	/** A card that costs at least this part of the last of the top has nearly made it. */
	readonly nearShare: number;
}

export const USUAL_RANK = { top: 10, nearShare: 0.8 } as const;

export interface GradeLadder {
	/** The dearest first, by the column that is ranked by; those without a price of today last. */
	readonly rows: readonly LadderRow[];
	/** By column: what all its prices come to, in minor units, and which part key cards make; null: it has no price. */
	readonly columns: readonly {
		readonly label: string;
		readonly priced: number;
		readonly totalMinor: number;
		readonly keyShare: number | null;
		readonly topShare: number | null;
	}[];
}

/** What a ladder is made of. */
export interface LadderGround {
	readonly cards: readonly LadderCard[];
	/** The grades and conditions that are asked for, in their order. */
	readonly columns: readonly LabelledQuality[];
	readonly points: readonly PricePoint[];
	readonly populations: readonly PopulationReport[];
	/** Only what this house graded; null: all houses together. */
	readonly house: string | null;
	/** ISO 8601 date */
	readonly on: string;
	readonly rules: EstimateRules;
	readonly rank: LadderRank;
	readonly jump: number;
}

/**
 * Cards by grades: what each costs, how many were graded, when the last was sold; ranked at one grade, with those that
 * nearly made it. A sale that is old makes no price: it is told by itself.
 */
export function gradeLadder(ground: LadderGround): GradeLadder {
	const { columns, rank } = ground;
	const index = indexPoints(ground.points);
	const reports = group(ground.populations, ({ version }) => version);
	const labels = columns.map(formatQuality);
	const cells = ground.cards.map(({ version }) => {
		const alike = index.get(version);
		const counts = countsOf(reports.get(version) ?? [], ground.house);
		return columns.map((column, i) => {
			const label = labels[i] ?? '';
			return cellOf(alike?.get(label) ?? [], { column, label, counts }, ground);
		});
	});
	const ranks = labels.map((_, at) => ranksOf(cells.map((row) => row[at]?.priceMinor ?? null)));
	const at = labels.indexOf(rank.column);
	const prices = cells.map((row) => row[at]?.priceMinor ?? null);
	const bound = prices.filter((price) => price !== null).sort(descending)[rank.top - 1] ?? 0;
	const rows = ground.cards.map(({ version }, i): LadderRow & { readonly i: number } => {
		const row = (cells[i] ?? []).map((cell, j) => ({ ...cell, rank: ranks[j]?.[i] ?? null }));
		const steps = stepsOf(row, columns, ground.jump);
		const lastMinor = row[at]?.lastSale ? middleOfSale(row[at].lastSale) : null;
		return {
			...{ i, version, cells: row, steps, bestToBuy: bestToBuy(row, steps, columns) },
			standing: standingOf(prices[i] ?? null, lastMinor, row[at]?.rank ?? null, bound, rank)
		};
	});
	rows.sort((a, b) => descending(prices[a.i] ?? -1, prices[b.i] ?? -1) || a.i - b.i);
	return {
		rows: rows.map(({ i: _, ...row }) => row),
		columns: labels.map((label, j) => {
			const priced = cells.flatMap((row, i) => {
				const minor = row[j]?.priceMinor ?? null;
				return minor === null
					? []
					: [
							{
								minor,
								isKey: ground.cards[i]?.isKey ?? false,
								isTop: (ranks[j]?.[i] ?? Infinity) <= rank.top
							}
						];
			});
			const totalMinor = sum(priced, ({ minor }) => minor);
			const share = (some: typeof priced) =>
				totalMinor === 0 ? null : sum(some, ({ minor }) => minor) / totalMinor;
			return {
				...{ label, priced: priced.length, totalMinor },
				keyShare: share(priced.filter(({ isKey }) => isKey)),
				topShare: share(priced.filter(({ isTop }) => isTop))
			};
		})
	};
}

/** How many of each label the latest reports of the houses count; null: no house reports on the card. */
function countsOf(
	reports: readonly PopulationReport[],
	house: string | null
): ReadonlyMap<string, number> | null {
	const latest = latestReports(reports).filter(
		(report) => house === null || report.house === house
	);
	if (latest.length === 0) return null;
	const counts = new Map<string, number>();
	for (const count of latest.flatMap((report) => report.counts)) {
		const label = formatQuality(count);
		counts.set(label, (counts.get(label) ?? 0) + count.count);
	}
	return counts;
}

/** Places from the dearest on; equal prices share theirs. */
function ranksOf(prices: readonly (number | null)[]): readonly (number | null)[] {
	const sorted = prices.filter((price) => price !== null).sort(descending);
	const first = new Map<number, number>();
	for (const [i, price] of sorted.entries()) if (!first.has(price)) first.set(price, i + 1);
	return prices.map((price) => (price === null ? null : (first.get(price) ?? null)));
}

function standingOf(
	price: number | null,
	lastMinor: number | null,
	rank: number | null,
	bound: number,
	{ top, nearShare }: LadderRank
): LadderRow['standing'] {
	if (rank !== null && rank <= top) return 'top';
	// What was sold long ago, at a price that would be in the top, has nearly made it as well.
	const worth = price ?? lastMinor;
	if (worth !== null && bound > 0 && worth >= nearShare * bound) return 'near miss';
	return price === null ? 'no price' : 'below';
}

function middleOfSale({ lowMinor, highMinor }: LastSale): number {
	return Math.round((lowMinor + highMinor) / 2);
}

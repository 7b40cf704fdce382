import type { LabelledQuality } from '../../copies/quality-label.ts';
import type { LadderCell } from './ladder-cell.ts';

/** A step of a card from one grade that has a price to the next that has one. */
export interface LadderStep {
	readonly from: string;
	readonly to: string;
	readonly addsMinor: number;
	/** So many times the price of the lower one; null: that is nothing. */
	readonly factor: number | null;
	/** It costs the factor of the rule or more: to stay below it is cheap. */
	readonly isJump: boolean;
	/** One of the two rests on a lone sale. */
	readonly isThin: boolean;
}

/** A step that doubles the price is a jump. A rule of thumb of ours. */
export const USUAL_JUMP = 2;

/** Clean grades that have a price, the worst first. */
function pricedGrades(
	cells: readonly Omit<LadderCell, 'rank'>[],
	columns: readonly LabelledQuality[]
) {
	return cells
		.flatMap((cell, i) => {
			const { grade, qualifier } = columns[i] ?? {};
			return grade === undefined || qualifier !== undefined || cell.priceMinor === null
				? []
				: [{ cell, grade, priceMinor: cell.priceMinor }];
		})
		.sort((a, b) => a.grade - b.grade);
}

/** The steps of a row over its clean grades that have a price. */
export function stepsOf(
	cells: readonly Omit<LadderCell, 'rank'>[],
	columns: readonly LabelledQuality[],
	jump: number
): readonly LadderStep[] {
	const priced = pricedGrades(cells, columns);
	return priced.slice(1).map(({ cell, priceMinor }, i): LadderStep => {
		const below = priced[i] ?? { cell, priceMinor };
		const factor = below.priceMinor === 0 ? null : priceMinor / below.priceMinor;
		return {
			...{ from: below.cell.label, to: cell.label, factor },
			addsMinor: priceMinor - below.priceMinor,
			isJump: factor === null ? priceMinor > 0 : factor >= jump,
			isThin: below.cell.isLone || cell.isLone
		};
	});
}

/**
 * The best grade before the first jump. Where a better one costs no more (an inversion), the better is bought: a step down
 * in price is no jump, and a grade is passed over for a better one at the same price or less.
 */
export function bestToBuy(
	cells: readonly Omit<LadderCell, 'rank'>[],
	steps: readonly LadderStep[],
	columns: readonly LabelledQuality[]
): string | null {
	const [lowest] = pricedGrades(cells, columns);
	if (!lowest) return null;
	const jump = steps.findIndex(({ isJump }) => isJump);
	return (jump < 0 ? steps.at(-1)?.to : steps[jump]?.from) ?? lowest.cell.label;
}

import { sum } from 'd3-array';
import { formatQuality, type LabelledQuality } from '../../copies/quality-label.ts';

/** The chance that a card comes back with a grade. */
export interface GradeChance extends LabelledQuality {
	readonly chance: number;
}

/** What a card of a grade sells for, in minor units. */
export interface GradePrice extends LabelledQuality {
	readonly lowMinor: number;
	readonly middleMinor: number;
	readonly highMinor: number;
}

/** A card that could be sent for grading. Amounts in minor units. */
export interface GradingCase {
	/** What it sells for as it is. */
	readonly rawMinor: number;
	/** What grading it costs: the fee of the house, and its part of postage and insurance both ways. */
	readonly feeMinor: number;
	readonly postageMinor: number;
	/** What is taken when it is sold, raw or graded: 0 to 1. */
	readonly sellingShare: number;
	/** At most 1 together; what is left comes back without a grade. */
	readonly chances: readonly GradeChance[];
	readonly prices: readonly GradePrice[];
	/** The grade that is hoped for: the break-even is of this one or better, without a qualifier; left out: the best that has a price. */
	readonly hopedGrade?: number;
}

/** A way in which it may come back. */
export interface GradingOutcome {
	readonly label: string;
	readonly chance: number;
	/** What it then sells for, before anything is taken. */
	readonly valueMinor: number;
	/** What is won against selling it raw, everything paid; below nothing: lost. */
	readonly gainMinor: number;
	/** Nobody is known to have paid anything at that grade: the next worse price, or the raw one, is taken. */
	readonly isAssumed: boolean;
}

export interface GradingAnswer {
	readonly verdict: 'grade' | 'leave it raw';
	/** What grading wins on average, and at the lowest and highest prices. */
	readonly gainMinor: number;
	readonly gainLowMinor: number;
	readonly gainHighMinor: number;
	/** The best first; what comes back without a grade last. */
	readonly outcomes: readonly GradingOutcome[];
	/** How likely it is that money is lost. */
	readonly lossChance: number;
	readonly hopedGrade: number | null;
	readonly hopedChance: number;
	/** The chance of the hoped grade or better from which on grading pays, the others in proportion; 0: always; null: never. */
	readonly breakEvenChance: number | null;
}

/** What a card without a grade is called. */
export const NO_GRADE = 'no grade';

/** Chances that differ from 1 by less are taken as 1. */
const NEAR = 1e-9;

/**
 * Whether grading a card pays on average: the chance of each grade times its price, against what it sells for raw, after
 * all that is paid. A grade without a price is worth what the next worse is worth, raw at least where none is: marked.
 *
 * @throws RangeError for chances below 0 or above 1 together
 */
export function gradeOrNot(asked: GradingCase): GradingAnswer {
	const { rawMinor, feeMinor, postageMinor, sellingShare, prices } = asked;
	const left = 1 - sum(asked.chances, ({ chance }) => chance);
	if (left < -NEAR || asked.chances.some(({ chance }) => !(chance >= 0))) {
		throw new RangeError(`gradeOrNot: chances ${asked.chances.map((each) => each.chance).join()}`);
	}
	const costs = feeMinor + postageMinor;
	const net = (valueMinor: number) => (valueMinor - rawMinor) * (1 - sellingShare) - costs;
	const ways = [...asked.chances]
		.sort((a, b) => (b.grade ?? 0) - (a.grade ?? 0))
		.map((way) => ({ way, price: priceOf(way, asked) }));
	const raw = { lowMinor: rawMinor, middleMinor: rawMinor, highMinor: rawMinor };
	const all = [
		...ways,
		...(left > NEAR
			? [{ way: { chance: left } as GradeChance, price: { ...raw, isAssumed: false } }]
			: [])
	];
	const mean = (end: keyof GradePrice & `${string}Minor`) =>
		sum(all, ({ way, price }) => way.chance * net(price[end]));
	const graded = prices.flatMap(({ grade, qualifier }) =>
		qualifier === undefined ? (grade ?? []) : []
	);
	const hopedGrade = asked.hopedGrade ?? (graded.length > 0 ? Math.max(...graded) : null);
	const isHoped = ({ grade = 0, qualifier }: LabelledQuality) =>
		hopedGrade !== null && grade >= hopedGrade && qualifier === undefined;
	const hoped = ways.filter(({ way }) => isHoped(way));
	const hopedChance = sum(hoped, ({ way }) => way.chance);
	const gain = mean('middleMinor');
	return {
		verdict: gain > 0 ? 'grade' : 'leave it raw',
		gainMinor: Math.round(gain),
		gainLowMinor: Math.round(mean('lowMinor')),
		gainHighMinor: Math.round(mean('highMinor')),
		outcomes: all.map(({ way, price }) => ({
			label: way.grade === undefined && !way.isAuthentic ? NO_GRADE : formatQuality(way),
			...{ chance: way.chance, valueMinor: price.middleMinor, isAssumed: price.isAssumed },
			gainMinor: Math.round(net(price.middleMinor))
		})),
		lossChance: sum(all, ({ way, price }) => (net(price.middleMinor) < 0 ? way.chance : 0)),
		...{ hopedGrade, hopedChance },
		breakEvenChance:
			hopedGrade === null
				? null
				: breakEven(
						hopedChance > 0
							? sum(hoped, ({ way, price }) => way.chance * net(price.middleMinor)) / hopedChance
							: net(priceOf({ grade: hopedGrade }, asked).middleMinor),
						hopedChance < 1 - NEAR
							? sum(all, ({ way, price }) =>
									isHoped(way) ? 0 : way.chance * net(price.middleMinor)
								) /
									(1 - hopedChance)
							: net(rawMinor)
					)
	};
}

/** The part of good luck at which two gains come to nothing together; 0: always above; null: never. */
function breakEven(withLuck: number, without: number): number | null {
	if (without >= 0) return withLuck >= 0 ? 0 : null;
	return withLuck <= 0 ? (withLuck === 0 ? 1 : null) : -without / (withLuck - without);
}

/** The price of a grade, or of the next worse clean grade that has one, or the raw one. */
function priceOf(quality: LabelledQuality, { prices, rawMinor }: GradingCase) {
	const label = formatQuality(quality);
	const exact = prices.find((price) => formatQuality(price) === label);
	if (exact) return { ...exact, isAssumed: false };
	const raw = { lowMinor: rawMinor, middleMinor: rawMinor, highMinor: rawMinor };
	const worse = prices
		.filter(
			({ grade, qualifier }) =>
				grade !== undefined && qualifier === undefined && grade < (quality.grade ?? 0)
		)
		.sort((a, b) => (b.grade ?? 0) - (a.grade ?? 0))[0];
	return { ...(worse ?? raw), isAssumed: true };
}

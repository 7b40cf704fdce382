import { max, min, sum } from 'd3-array';
import { slotsOf, type PackProfile } from '../profile/pack-profile.ts';
import { chanceWithin, meanOf, quantileOf } from '../../chance/binomial.ts';
import { expectedDraws, openTime } from './complete-in-draws.ts';
import { followGoal, followGroup, MOST_DRAWS, type Followed } from './follow-group.ts';
import {
	cardsOf,
	copiesAfter,
	copiesAPack,
	copiesOfCard,
	groupLaws,
	lackingOf,
	type GroupLaw
} from './group-law.ts';
import { expectedPacks } from './missing-chain.ts';

/** What so many packs bring of a group. */
export interface GroupOdds {
	readonly key: string;
	/** Copies on average; and from where to where in nine cases of ten, with the chance of that range. */
	readonly expected: number;
	readonly low: number;
	readonly high: number;
	readonly chanceOfRange: number;
	/** The chance that a given lacking card does not come, the likeliest to be missing of its classes; null: none is lacking. */
	readonly chanceMissing: number | null;
	/** Different cards that come, on average; lacking copies that come and that are missing still. */
	readonly distinct: number;
	readonly found: number;
	readonly missing: number;
	/** Copies that come and fill nothing. */
	readonly doubles: number;
	/** The chance that nothing of it is lacking any more. */
	readonly chanceComplete: number;
	/** Packs on average until then; null: never. */
	readonly packsToComplete: number | null;
	/** Whether chance and packs to complete are exact; else several cards a pack were reckoned as drawn singly. */
	readonly isExact: boolean;
}

/** A group pack after pack: at each point of the curve. */
export interface GroupCurve {
	readonly key: string;
	readonly missing: readonly number[];
	readonly chanceComplete: readonly number[];
}

export interface PackOdds {
	readonly groups: readonly GroupOdds[];
	readonly curves: readonly GroupCurve[];
	/** Packs of each point of the curves. */
	readonly points: readonly number[];
	/** Everything together: the chance that it is complete at each point, and after the packs asked for. */
	readonly goal: {
		readonly chances: readonly number[];
		readonly chanceComplete: number;
		/** Packs on average until all is complete; null: never. About a thousandth off at most where it is not one group alone. */
		readonly packsToComplete: number | null;
		/** Whether the chances are exact; else groups that share places were reckoned as if they did not. */
		readonly isExact: boolean;
	};
}

/** The chances of the range that is told: nine cases in ten. */
const LOW = 0.05;
const HIGH = 0.95;
/** How far pack by pack all groups together are followed, as a multiple of what completing the commonest takes. */
const BEYOND = 1.5;
const [NEAREST, FARTHEST] = [200, 2000];

/**
 * What packs promise: of each group copies, different cards, missing ones and doubles after so many packs, the chance to be
 * complete, and the packs that takes on average; and the same of all groups together. Packs are independent, but for what is
 * guaranteed by the box.
 *
 * @param profile that `checkProfile` has no problem with
 * @param points packs at which the curves are told
 */
export function packOdds(
	profile: PackProfile,
	packs: number,
	points: readonly number[] = []
): PackOdds {
	const slots = slotsOf(profile);
	const laws = groupLaws(profile, slots);
	const ends = laws.map(packsOfGroup);
	const begun = max(laws, ({ slot }, i) => (slot ? 0 : (ends[i] ?? 0))) ?? 0;
	const isSeveral = laws.filter((law) => lackingOf(law) > 0).length > 1;
	const near = isSeveral ? Math.min(FARTHEST, Math.max(NEAREST, Math.ceil(BEYOND * begun))) : 0;
	const followed = [...new Set([...Array(near + 1).keys(), packs, ...points])].sort(
		(a, b) => a - b
	);
	const placeOf = new Map(followed.map((m, i) => [m, i]));
	const at = (values: Float64Array | undefined, m: number) => values?.[placeOf.get(m) ?? 0] ?? 0;
	const courses = laws.map((law) => followGroup(profile, law, followed));
	const goal = followGoal(profile, laws, slots, courses, followed);
	return {
		groups: laws.map((law, i) => {
			const { missing, complete, isExact } = courses[i] as Followed;
			const here = { missing: at(missing, packs), complete: at(complete, packs), isExact };
			return oddsOfGroup(profile, law, packs, here, ends[i] ?? null);
		}),
		points: [...points],
		curves: laws.map(({ group }, i) => ({
			key: group.key,
			missing: points.map((point) => at(courses[i]?.missing, point)),
			chanceComplete: points.map((point) => at(courses[i]?.complete, point))
		})),
		goal: {
			chances: points.map((point) => at(goal.chances, point)),
			chanceComplete: at(goal.chances, packs),
			packsToComplete: packsOfGoal(laws, ends, goal.chances.subarray(0, near + 1)),
			isExact: goal.isExact
		}
	};
}

function oddsOfGroup(
	profile: PackProfile,
	law: GroupLaw,
	packs: number,
	{ missing, complete, isExact }: { missing: number; complete: number; isExact: boolean },
	packsToComplete: number | null
): GroupOdds {
	const copies = copiesAfter(law, packs, profile.packsPerBox);
	const [low, high] = [quantileOf(copies, LOW), quantileOf(copies, HIGH)];
	const expected = meanOf(copies);
	const none = (weight: number) => {
		const { from, chances } = copiesOfCard(law, weight, packs, profile.packsPerBox);
		return from === 0 ? (chances[0] as number) : 0;
	};
	const found = sum(law.group.classes, (part) => part.cards * part.lacking) - missing;
	return {
		...{ key: law.group.key, expected, low, high },
		chanceOfRange: chanceWithin(copies, low, high),
		chanceMissing:
			max(law.group.classes, (part) =>
				part.lacking > 0 && part.cards > 0 ? none(part.weight) : undefined
			) ?? null,
		distinct: sum(law.group.classes, ({ cards, weight }) => cards * (1 - none(weight))),
		...{ found, missing, doubles: Math.max(0, expected - found) },
		chanceComplete: complete,
		packsToComplete,
		isExact
	};
}

/** Packs on average until a group is complete; null: never. */
function packsOfGroup(law: GroupLaw): number | null {
	const lacking = lackingOf(law);
	if (lacking === 0) return 0;
	const { classes, comes } = law.group;
	const each = copiesAPack(law);
	if (law.isEven) {
		const found = expectedPacks(cardsOf(law), lacking, law.draws);
		return found === Infinity ? null : found;
	}
	const draws = expectedDraws(classes);
	if (each === 0 || draws === Infinity) return null;
	if (comes.sort === 'odds' || comes.count === 1) return draws / each;
	// Of several a pack the last pack is opened whole: pack by pack until hardly anything is open, then card by card.
	const whole = sum(classes, ({ cards, weight }) => cards * weight);
	const rated = classes.map((part) => ({ ...part, rate: (each * part.weight) / whole }));
	const slowest = min(rated, ({ lacking: open, rate }) => (open > 0 ? rate : undefined)) ?? 1;
	const rest = (HARDLY + Math.log(cardsOf(law))) / slowest;
	const far = Math.ceil(Math.min(MOST_DRAWS / comes.count, rest));
	const packs = [...Array(far + 1).keys()];
	const { complete } = followGroup(NO_BOXES, law, packs);
	return sum(complete, (chance) => 1 - chance) + openTime(rated, far + 0.5);
}

/** A card is missing with e to the minus this: hardly ever. */
const HARDLY = 20;
const NO_BOXES: PackProfile = {
	...{ groups: [], guarantees: [], packsPerBox: null, cardsPerPack: null }
};

/**
 * Packs on average until all groups are complete: the chances that something is lacking, summed pack by pack as far as they
 * were followed; from there on, where little is missing, every card by itself.
 *
 * @param ends of each group: packs on average until it is complete
 */
function packsOfGoal(
	laws: readonly GroupLaw[],
	ends: readonly (number | null)[],
	chances: Float64Array
): number | null {
	if (ends.includes(null)) return null;
	const open = laws.flatMap((law, i) => (lackingOf(law) > 0 ? [ends[i] ?? 0] : []));
	if (open.length <= 1) return open[0] ?? 0;
	const rates = laws.flatMap((law) => {
		const whole = sum(law.group.classes, ({ cards, weight }) => cards * weight);
		return law.group.classes.map(({ cards, weight, lacking }) => ({
			...{ cards, lacking },
			rate: whole === 0 ? 0 : (copiesAPack(law) * weight) / whole
		}));
	});
	const found = sum(chances, (chance) => 1 - chance) + openTime(rates, chances.length - 0.5);
	return Math.max(found, ...open);
}

import { quantileSorted, sum } from 'd3-array';
import { copiesAPack, groupLaws } from '../odds/group-law.ts';
import { slotsOf } from '../profile/pack-profile.ts';
import { makeGame, type PackPart, type TradeRules } from './pack-game.ts';

export interface Simulation {
	/** What is opened at a time. Groups of one key are the same cards; the first part that has one says what is lacking. */
	readonly parts: readonly PackPart[];
	readonly runs: number;
	/** A run ends unfinished after so many openings. */
	readonly most: number;
	readonly trades: TradeRules;
}

/** What simulated collectors saw: openings until nothing was lacking. */
export interface SimulationResult {
	readonly runs: number;
	/** Runs that were complete within the most openings. */
	readonly complete: number;
	/** Over the complete runs: the mean, its standard error, and one in twenty, half, 19 in twenty; null: none was complete. */
	readonly mean: number | null;
	readonly standardError: number | null;
	readonly low: number | null;
	readonly median: number | null;
	readonly high: number | null;
	/** How many runs ended in each range of openings. */
	readonly histogram: readonly {
		readonly from: number;
		readonly to: number;
		readonly runs: number;
	}[];
	/** Doubles at the end, on average, by group. */
	readonly doubles: readonly { readonly key: string; readonly copies: number }[];
}

/** Runs after which it is told how far it is. */
const STRETCH = 500;
/** Runs after which it is looked whether it is over. */
const LOOKS = 16;
const BARS = 24;

/**
 * Opens packs until nothing is lacking, over and over. Where nothing but cards of slots is lacking and one kind of pack is
 * opened without a guarantee or trades, packs that bring nothing new are passed over by the geometric law.
 *
 * @param random a number from 0 to below 1, each time another one
 * @param isOver asked now and then: it ends with the runs that are done
 * @returns yields runs done, then the result
 */
export function* simulatePacks(
	{ parts, runs, most, trades }: Simulation,
	random: () => number,
	isOver: () => boolean = () => false
): Generator<number, SimulationResult> {
	const game = makeGame(parts, trades, random);
	const ends: number[] = [];
	const doubles = game.groups.map(() => 0);
	let opened = 0;
	let run = 0;
	for (; run < runs; run++) {
		if (run % STRETCH === STRETCH - 1) yield run;
		if (run % LOOKS === LOOKS - 1 && isOver()) break;
		const openings = game.play(most);
		if (openings <= most) ends.push(openings);
		opened += Math.min(openings, most);
		for (const [g, { whole, missing }] of game.groups.entries()) {
			doubles[g] = (doubles[g] ?? 0) - (whole - missing);
		}
	}
	ends.sort((a, b) => a - b);
	const mean = ends.length === 0 ? null : sum(ends) / ends.length;
	const square = mean === null ? 0 : sum(ends, (each) => (each - mean) ** 2);
	const at = (level: number) => quantileSorted(ends, level) ?? null;
	return {
		...{ runs: run, complete: ends.length, mean },
		standardError: ends.length < 2 ? null : Math.sqrt(square / (ends.length - 1) / ends.length),
		...{ low: at(0.05), median: at(0.5), high: at(0.95) },
		histogram: histogramOf(ends),
		// What came, on average for so many openings (Wald 1944), less what filled something.
		doubles: game.groups.map(({ key }, g) => ({
			key,
			copies: Math.max(
				0,
				((doubles[g] ?? 0) + opened * copiesAnOpening(parts, key)) / Math.max(1, run)
			)
		}))
	};
}

/** Cards of a group that an opening brings on average. */
function copiesAnOpening(parts: readonly PackPart[], key: string): number {
	return sum(parts, ({ profile, packs }) => {
		const law = groupLaws(profile, slotsOf(profile)).find(({ group }) => group.key === key);
		return law ? packs * copiesAPack(law) : 0;
	});
}

function histogramOf(ends: readonly number[]): SimulationResult['histogram'] {
	const [first, last] = [ends[0], ends.at(-1)];
	if (first === undefined || last === undefined) return [];
	const width = Math.max(1, Math.ceil((last - first + 1) / BARS));
	const bars = Array.from({ length: Math.floor((last - first) / width) + 1 }, () => 0);
	for (const end of ends) {
		const bar = Math.floor((end - first) / width);
		bars[bar] = (bars[bar] ?? 0) + 1;
	}
	return bars.map((count, i) => ({
		...{ from: first + i * width, to: first + (i + 1) * width - 1, runs: count }
	}));
}

import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { partsOfPack } from '../../core/packs/format-parts.ts';
import { besideFormula, type BesideFormula } from '../../core/packs/simulate/beside-formula.ts';
import { simulatePacks, type SimulationResult } from '../../core/packs/simulate/simulate-packs.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
import type { GoalId } from '../../core/row-id.ts';
import type { Reader } from '../database/open.ts';
import { readPackGround } from './pack-ground.ts';

/** How many runs are done. */
export interface SimulationTold {
	readonly done: number;
	readonly total: number;
}

export interface SimulationAsk {
	readonly goal: GoalId | null;
	/** "release pack": keys; a format is opened whole. */
	readonly pack: string;
	readonly runs: number;
	readonly seed: number;
	/** Friends take doubles for missing cards of the same group, one for one. */
	readonly isWithinGroup: boolean;
	/** Doubles of other groups for a missing card of a harder one; null: they do not. */
	readonly forHarder: number | null;
}

/** What simulated collectors saw, with doubles by the groups' names. */
export interface SimulationView {
	readonly result: SimulationResult;
	readonly formula: BesideFormula | null;
	readonly seed: number;
	/** Doubles in the end, on average, by group as it is called. */
	readonly doubles: readonly { readonly name: string; readonly copies: number }[];
}

/** Packs that a run may open. */
const MOST_PACKS = 200_000;
/** A simulation ends with the runs that are done by then. */
const LONGEST_MS = 25_000;

/**
 * Opens packs over and over for what a goal lacks; told is why not, where too little is known of them.
 *
 * @param tell is told how many runs are done
 */
export async function simulateGoal(
	db: Reader,
	ask: SimulationAsk,
	tell: (told: SimulationTold) => void
): Promise<Outcome<SimulationView>> {
	const { releases, wants } = await readPackGround(db, ask.goal);
	const [releaseKey = '', packKey = ''] = ask.pack.split(' ');
	const release = releases.find(({ key }) => key === releaseKey);
	const pack = release?.packTypes.find(({ key }) => key === packKey);
	if (!release || !pack)
		return bad([{ message: 'there are no such packs', remedy: 'Choose some.' }]);
	const read = partsOfPack(release, pack, wants);
	if (!read.ok) return read;
	const { parts, names } = read.value;
	const harder = parts.flatMap(({ profile }) =>
		profile.groups.filter(({ comes }) => comes.sort === 'odds').map(({ key }) => key)
	);
	const trades = {
		isWithinGroup: ask.isWithinGroup,
		othersFor: Object.fromEntries(
			ask.forHarder === null ? [] : harder.map((key) => [key, ask.forHarder ?? 1])
		)
	};
	const simulation = { parts, runs: ask.runs, most: MOST_PACKS, trades };
	const generator = xoroshiro128plus(ask.seed);
	const end = performance.now() + LONGEST_MS;
	const work = simulatePacks(
		simulation,
		() => uniformFloat64(generator),
		() => performance.now() > end
	);
	let step = work.next();
	for (; !step.done; step = work.next()) tell({ done: step.value, total: ask.runs });
	const result = step.value;
	return good({
		...{ result, formula: besideFormula(result, simulation), seed: ask.seed },
		doubles: result.doubles.map(({ key, copies }) => ({ name: names.get(key) ?? key, copies }))
	});
}

import { packOdds } from '../odds/pack-odds.ts';
import type { TradeRules } from './pack-game.ts';
import type { Simulation, SimulationResult } from './simulate-packs.ts';

/** What was simulated beside the formula. */
export interface BesideFormula {
	readonly packsToComplete: number;
	/** The formula is exact; else it reckons groups that share places as if they did not. */
	readonly isExact: boolean;
	/** Standard errors of the simulated mean from the formula. */
	readonly errorsOff: number;
	readonly agrees: boolean;
}

/** Standard errors within which mean and formula agree. */
const ERRORS = 4;

/** The simulated mean beside the formula; null where there is none: for formats, guarantees and trades, and of runs that did not end. */
export function besideFormula(
	{ runs, complete, mean, standardError }: SimulationResult,
	{ parts, trades }: Pick<Simulation, 'parts' | 'trades'>
): BesideFormula | null {
	const [only] = parts;
	const isPlain = parts.length === 1 && only?.packs === 1 && isWithoutTrades(trades);
	if (!isPlain || only.profile.guarantees.length > 0) return null;
	if (complete < runs || mean === null || standardError === null) return null;
	const { packsToComplete, isExact } = packOdds(only.profile, 1).goal;
	if (packsToComplete === null) return null;
	const off = mean - packsToComplete;
	const errorsOff = standardError > 0 ? off / standardError : Math.abs(off) < 1e-6 ? 0 : Infinity;
	const told = Number.isFinite(errorsOff) ? errorsOff : Number.MAX_SAFE_INTEGER;
	return { packsToComplete, isExact, errorsOff: told, agrees: Math.abs(told) <= ERRORS };
}

const isWithoutTrades = ({ isWithinGroup, othersFor }: TradeRules) =>
	!isWithinGroup && Object.keys(othersFor).length === 0;

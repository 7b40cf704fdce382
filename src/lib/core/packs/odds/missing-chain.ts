import { hypergeometric } from '../../chance/binomial.ts';

/** The chances of so many drawn at once: 9 with 0.7, 8 with 0.3. */
export type DrawLaw = readonly { readonly count: number; readonly chance: number }[];

/** A group after 0, 1, 2, … packs or draws: lacking cards missing still, on average, and the chance that none is. */
export interface Course {
	readonly missing: readonly number[];
	readonly complete: readonly number[];
}

/** Less than this is missing on average: nothing is. */
const NOTHING = 1e-17;
/** A chance that changes no digit of any other. */
const TINY = 1e-30;

/**
 * How many lacking cards of a group are missing still, pack after pack. Each pack draws different cards of `cards` equally
 * likely ones; of them `lacking` are not here yet. A recursion of positive terms over the number missing: the next pack
 * brings h new ones by the hypergeometric law (group drawings: Stadje 1990, from memory). The course ends with `packs`, or
 * before, where nothing is missing any more.
 */
export function followMissing(
	cards: number,
	lacking: number,
	draws: DrawLaw,
	packs: number
): Course {
	const steps = stepsOf(cards, lacking, draws);
	const width = Math.max(...steps.map((step) => step.length));
	/** Step h from j missing stands at j·width + h. */
	const flat = new Float64Array((lacking + 1) * width);
	for (const [j, step] of steps.entries()) flat.set(step, j * width);
	const [missing, complete]: [number[], number[]] = [[], []];
	let now = new Float64Array(lacking + 1);
	let next = new Float64Array(lacking + 1);
	now[lacking] = 1;
	/** From `low` to `high` the chances are not nothing. */
	let [low, high] = [lacking, lacking];
	// On average each card by itself: it is missing until a pack has it.
	const each = draws.reduce((sum, { count, chance }) => sum + chance * Math.min(count, cards), 0);
	let mean = lacking;
	for (let m = 0; ; m++, mean *= 1 - each / cards) {
		missing.push(mean);
		complete.push(low === 0 ? (now[0] as number) : 0);
		if (m === packs || mean < NOTHING) return { missing, complete };
		const lowest = Math.max(0, low - width + 1);
		next.fill(0, lowest, high + 1);
		for (let j = low; j <= high; j++) {
			const chance = now[j] as number;
			const most = Math.min(width - 1, j);
			for (let h = 0; h <= most; h++) {
				next[j - h] = (next[j - h] as number) + chance * (flat[j * width + h] as number);
			}
		}
		[now, next] = [next, now];
		low = lowest;
		while (high > 0 && (now[high] as number) < TINY) high--;
		while (low < high && (now[low] as number) < TINY) low++;
	}
}

/** By number missing: the chance that a pack brings 0, 1, 2, … of them. */
export function stepsOf(cards: number, lacking: number, draws: DrawLaw): readonly Float64Array[] {
	return Array.from({ length: lacking + 1 }, (_, j) => {
		const most = draws.reduce((max, { count }) => Math.max(max, Math.min(count, j)), 0);
		const step = new Float64Array(most + 1);
		for (const { count, chance } of draws) {
			const { from, chances } = hypergeometric(cards, j, Math.min(cards, count));
			for (let h = 0; h < chances.length; h++) {
				step[from + h] = (step[from + h] as number) + chance * (chances[h] as number);
			}
		}
		return step;
	});
}

/**
 * Packs on average until none is missing, or so few, exactly: by number missing, the packs that bring nothing and what is left
 * after the next that does. With one card a pack this is n·H(n) (Feller, vol. 1, ch. IX). Infinity: never.
 *
 * @example expectedPacks(2, 2, [{ count: 1, chance: 1 }]) // 3
 */
export function expectedPacks(cards: number, lacking: number, draws: DrawLaw, few = 0): number {
	const steps = stepsOf(cards, lacking, draws);
	const left = new Float64Array(lacking + 1);
	for (let j = few + 1; j <= lacking; j++) {
		const step = steps[j] as Float64Array;
		// What a pack brings, summed, not 1 less what it does not: rare odds keep all their digits.
		let [some, rest] = [0, 0];
		for (let h = 1; h < step.length; h++) {
			some += step[h] as number;
			rest += (step[h] as number) * (left[j - h] as number);
		}
		left[j] = some === 0 ? Infinity : (1 + rest) / some;
	}
	return left[lacking] as number;
}

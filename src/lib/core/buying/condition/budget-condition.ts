/** A way in which a slot may be filled. */
export interface ConditionChoice {
	/** "near mint", "8": as it is called. */
	readonly name: string;
	/** What it costs, in minor units. */
	readonly minor: number;
	/** How good it is, any scale: grades 1 to 10, in halves at most. */
	readonly quality: number;
}

/** A slot with the conditions in which it can be had. */
export interface ConditionSlot {
	readonly key: string;
	readonly choices: readonly ConditionChoice[];
	/** Name of the choice that is settled: a key card that has to be as good. */
	readonly pinned?: string;
}

/** A choice for each slot, with what it comes to. */
export interface ConditionPlan {
	readonly choices: readonly { readonly key: string; readonly name: string }[];
	readonly minor: number;
	/** Average quality over the slots; 0 where there is none. */
	readonly average: number;
}

/** Best for the money, cheapest for an average, and the whole trade-off. */
export interface ConditionBudget {
	/** The best set for the budget; null: not even the cheapest is within it. */
	readonly best: ConditionPlan | null;
	/** The cheapest set of at least this average; null: no choice is so good, or nothing was asked. */
	readonly cheapest: ConditionPlan | null;
	/** Cost by average, none both dearer and worse than another: rising. */
	readonly curve: readonly { readonly average: number; readonly minor: number }[];
}

/** Qualities are counted in halves. */
const UNIT = 0.5;

/**
 * Chooses a condition for every slot: the best set for a budget, and the cheapest of an average (the multiple-choice
 * knapsack problem: Kellerer, Pferschy and Pisinger, Knapsack Problems, ch. 11; from memory). Exact: a dynamic programme
 * over the sum of qualities, which is small, gives the least cost of each sum; budget and average are read off it.
 *
 * @throws RangeError for a slot without a choice, a quality that is no half, a cost below nothing, or a pinned choice that
 * is not there
 */
export function budgetCondition(
	slots: readonly ConditionSlot[],
	{ budgetMinor, average }: { readonly budgetMinor?: number; readonly average?: number }
): ConditionBudget {
	const options = slots.map(({ key, choices, pinned }) => {
		const open = pinned === undefined ? choices : choices.filter(({ name }) => name === pinned);
		const isOk = ({ minor, quality }: ConditionChoice) =>
			minor >= 0 && quality >= 0 && Number.isInteger(quality / UNIT);
		if (open.length === 0 || !open.every(isOk)) {
			throw new RangeError(`budgetCondition: "${key}" has no choice that counts`);
		}
		return open;
	});
	const most = options.reduce((sum, open) => sum + Math.max(...open.map(unitsOf)), 0);
	// Slot by slot: the least cost of each sum of qualities, and the choice that led there.
	let least = new Float64Array(most + 1).fill(Infinity);
	least[0] = 0;
	const picked = options.map(() => new Int16Array(most + 1).fill(-1));
	let reach = 0;
	for (const [s, open] of options.entries()) {
		const next = new Float64Array(most + 1).fill(Infinity);
		for (const [c, choice] of open.entries()) {
			const units = unitsOf(choice);
			for (let sum = 0; sum <= reach; sum++) {
				const cost = (least[sum] as number) + choice.minor;
				if (cost < (next[sum + units] as number)) {
					next[sum + units] = cost;
					(picked[s] as Int16Array)[sum + units] = c;
				}
			}
		}
		least = next;
		reach += Math.max(...open.map(unitsOf));
	}
	const planOf = (sum: number): ConditionPlan => {
		const chosen: { key: string; name: string }[] = [];
		let left = sum;
		for (let s = slots.length - 1; s >= 0; s--) {
			const choice = options[s]?.[(picked[s] as Int16Array)[left] as number];
			if (!choice) throw new RangeError('budgetCondition: a way is lost');
			chosen.push({ key: slots[s]?.key ?? '', name: choice.name });
			left -= unitsOf(choice);
		}
		return { choices: chosen.reverse(), minor: least[sum] as number, average: averageOf(sum) };
	};
	const averageOf = (sum: number) => (slots.length === 0 ? 0 : (sum * UNIT) / slots.length);
	// From the best down: what is cheaper than all that is better stays.
	const curve: { average: number; minor: number }[] = [];
	let cheapestSoFar = Infinity;
	let best = -1;
	let cheapest = -1;
	for (let sum = most; sum >= 0; sum--) {
		const minor = least[sum] as number;
		if (minor >= cheapestSoFar) continue;
		cheapestSoFar = minor;
		curve.push({ average: averageOf(sum), minor });
		if (best < 0 && budgetMinor !== undefined && minor <= budgetMinor) best = sum;
		if (average !== undefined && averageOf(sum) >= average - 1e-9) cheapest = sum;
	}
	return {
		best: best < 0 ? null : planOf(best),
		cheapest: cheapest < 0 ? null : planOf(cheapest),
		curve: curve.reverse()
	};
}

function unitsOf({ quality }: ConditionChoice): number {
	return Math.round(quality / UNIT);
}

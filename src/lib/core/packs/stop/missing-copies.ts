import type { CardLaw } from './card-pairs.ts';

/** Copies of a card that are missing of those lacking, on average. */
export function missingCopies(
	laws: readonly (CardLaw | null)[],
	packs: readonly number[],
	lacking: number
): number {
	if (lacking === 0) return 0;
	/** The chance of 0, 1, … copies, below what is lacking. */
	let few = [1, ...Array<number>(lacking - 1).fill(0)];
	for (const [t, law] of laws.entries()) {
		const opened = packs[t] ?? 0;
		if (!law || opened === 0) continue;
		const n = opened * law.tries;
		const rate = Math.min(1, law.rate / law.tries);
		if (rate >= 1) {
			// A copy in every pack: as many more are here for certain.
			few = few.map((_, k) => few[k - n] ?? 0);
			continue;
		}
		const chances = few.map(() => 0);
		let each = Math.exp(n * Math.log1p(-rate));
		for (let k = 0; k < lacking && k <= n; k++) {
			for (let i = 0; i + k < lacking; i++) {
				chances[i + k] = (chances[i + k] as number) + (few[i] as number) * each;
			}
			each *= ((n - k) / (k + 1)) * (rate / (1 - rate));
		}
		few = chances;
	}
	return few.reduce((all, chance, k) => all + chance * (lacking - k), 0);
}

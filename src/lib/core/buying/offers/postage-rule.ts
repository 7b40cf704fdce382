import type { Problem } from '../../problem.ts';

/** What postage costs from so many cards (or grams) to so many; `to` null: however many. */
export interface PostageTier {
	readonly from: number;
	readonly to: number | null;
	readonly minor: number;
}

/** What somebody asks for sending cards, in minor units. */
export type PostageRule = (
	| {
			/** So much for the first card, so much for each further one. */
			readonly sort: 'each';
			readonly firstMinor: number;
			readonly furtherMinor: number;
	  }
	| {
			/** By number or weight, step by step. Past the last step nothing more goes into the order. */
			readonly sort: 'tiers';
			readonly by: 'cards' | 'grams';
			readonly tiers: readonly PostageTier[];
	  }
) & {
	/** Cards for so much go free. */
	readonly freeFromMinor?: number;
};

/** Ten times 1.8 g are 18 g: weights are sums of parts. */
export const ROUNDING = 1e-6;

/** What is sent. */
export interface Shipment {
	readonly cards: number;
	readonly grams: number;
	/** What the cards cost, in minor units. */
	readonly amountMinor: number;
}

/**
 * What sending a shipment costs, in minor units; 0 for nothing, Infinity where the rule takes no more.
 *
 * @example [1, 4].map((cards) => postageOf({ sort: 'each', firstMinor: 100, furtherMinor: 15 }, { cards, grams: 2, amountMinor: 9 })) // [100, 145]
 */
export function postageOf(rule: PostageRule, { cards, grams, amountMinor }: Shipment): number {
	if (cards === 0) return 0;
	if (rule.sort === 'each') {
		if (rule.freeFromMinor !== undefined && amountMinor >= rule.freeFromMinor) return 0;
		return rule.firstMinor + rule.furtherMinor * (cards - 1);
	}
	const load = rule.by === 'cards' ? cards : grams;
	const tier = rule.tiers.find(({ to }) => to === null || load <= to + ROUNDING);
	if (!tier) return Infinity;
	return rule.freeFromMinor !== undefined && amountMinor >= rule.freeFromMinor ? 0 : tier.minor;
}

/**
 * What is wrong with a rule, all at once: less than nothing asked, no step, a hole between two steps, steps that
 * overlap, a step behind an open one. Grams may begin anywhere from 0; cards begin with 1.
 *
 * @example checkPostageRule({ sort: 'tiers', by: 'cards', tiers: [{ from: 1, to: 20, minor: 90 }, { from: 25, to: null, minor: 150 }] }).map(({ message }) => message) // ['nothing is said of 21 to 24 cards']
 */
export function checkPostageRule(rule: PostageRule): readonly Problem[] {
	if (rule.sort === 'each') {
		return rule.firstMinor < 0 || rule.furtherMinor < 0
			? [{ message: 'postage is below nothing', remedy: 'It is 0 or more.' }]
			: [];
	}
	const { by, tiers } = rule;
	if (tiers.length === 0) return [{ message: 'no step says what it costs', remedy: 'Say one.' }];
	const step = by === 'cards' ? 1 : 0;
	const problems: Problem[] = [];
	let before: number | null = 0;
	for (const [i, { from, to, minor }] of tiers.entries()) {
		const pointer = `/tiers/${i}`;
		if (minor < 0) {
			problems.push({ pointer, message: 'postage is below nothing', remedy: 'It is 0 or more.' });
		}
		if (to !== null && to < from) {
			problems.push({ pointer, message: `${from} to ${to} is no step`, remedy: 'Exchange them.' });
		}
		if (before === null) {
			const message = `the step before it takes everything, so ${from} ${by} never count`;
			problems.push({ pointer, message, remedy: 'Give the step before it an end.' });
		} else if (from > before + step || (i === 0 && by === 'cards' && from > 1)) {
			const open =
				by === 'cards' ? `${before + 1} to ${from - 1} cards` : `${before} to ${from} grams`;
			const isSingle = by === 'cards' && before + 1 === from - 1;
			const message = `nothing is said of ${isSingle ? `card ${from - 1}` : open}`;
			problems.push({ pointer, message, remedy: 'Close the hole.' });
		} else if (i > 0 && from < before + step) {
			const message = `${from} ${by} stand in two steps`;
			problems.push({ pointer, message, remedy: `Let it begin at ${before + step}.` });
		}
		before = to;
	}
	return problems;
}

/** The most cards and grams that a rule takes in one shipment. */
export function mostOf(rule: PostageRule): { readonly cards: number; readonly grams: number } {
	const last = rule.sort === 'tiers' ? (rule.tiers.at(-1)?.to ?? Infinity) + ROUNDING : Infinity;
	const by = rule.sort === 'tiers' ? rule.by : 'cards';
	return { cards: by === 'cards' ? last : Infinity, grams: by === 'grams' ? last : Infinity };
}

/** What a further card costs about, in minor units: where postage goes by steps, their rise over their length. */
export function slopeOf(rule: PostageRule, gramsEach: number): number {
	if (rule.sort === 'each') return rule.furtherMinor;
	const [first, last] = [rule.tiers[0], rule.tiers.at(-1)];
	if (!first || !last || first === last) return 0;
	const length = last.from - first.from;
	return ((last.minor - first.minor) / length) * (rule.by === 'cards' ? 1 : gramsEach);
}

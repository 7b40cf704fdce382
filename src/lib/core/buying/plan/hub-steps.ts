import { mostOf, ROUNDING, type PostageRule } from '../offers/postage-rule.ts';

/** One step of the hub's forwarding: so much, and so much a card, for up to so many cards or grams. */
export interface HubStep {
	readonly minor: number;
	readonly perCard: number;
	readonly cards: number;
	readonly grams: number;
}

/**
 * The steps in which a hub forwards, each to be tried in turn; null: nothing goes by the hub.
 *
 * @example hubSteps({ sort: 'tiers', by: 'cards', tiers: [{ from: 1, to: 50, minor: 500 }] }) // [null, { minor: 500, perCard: 0, cards: 50, grams: Infinity }]
 */
export function hubSteps(hub: PostageRule | null): readonly (HubStep | null)[] {
	if (!hub) return [null];
	if (hub.sort === 'each') {
		// What may go free costs nothing at least.
		const isFree = hub.freeFromMinor !== undefined;
		const { firstMinor, furtherMinor } = hub;
		const minor = isFree ? 0 : firstMinor - furtherMinor;
		return [null, { minor, perCard: isFree ? 0 : furtherMinor, ...mostOf(hub) }];
	}
	return [
		null,
		...hub.tiers.map(({ to, minor }): HubStep => ({
			minor: hub.freeFromMinor === undefined ? minor : 0,
			perCard: 0,
			cards: hub.by === 'cards' ? (to ?? Infinity) : Infinity,
			grams: hub.by === 'grams' ? (to ?? Infinity) + ROUNDING : Infinity
		}))
	];
}

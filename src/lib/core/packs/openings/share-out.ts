import { sum } from 'd3-array';
import type { ShareRules } from './share-rules.ts';

/** So many copies of a version that are to be shared out. */
export interface SharedCard {
	readonly version: string;
	readonly quantity: number;
	/** The group on the card; null: it bears none. */
	readonly group: string | null;
	/** What one is worth, in minor units; null: nobody knows. */
	readonly valueMinor: number | null;
}

/** What a person gets, and why. */
export interface Share {
	readonly name: string;
	readonly cards: readonly {
		readonly version: string;
		readonly quantity: number;
		/** By its group, or as a part of the rest. */
		readonly because: 'group' | 'rest';
	}[];
	readonly count: number;
	/** What of it has a price, and copies that have none. */
	readonly valueMinor: number;
	readonly unpriced: number;
}

/**
 * Shares out what packs held: every card goes to the person whose group it bears; the rest to one of them, or in turn, the
 * dearest first, so that nobody chooses. The same cards always go the same way.
 */
export function shareOut(cards: readonly SharedCard[], rules: ShareRules): readonly Share[] {
	const { sharers, rest } = rules;
	const takerOf = new Map(
		sharers.flatMap(({ name, groups }) => groups.map((group) => [group, name] as const))
	);
	const given = new Map(
		sharers.map(({ name }) => [
			name,
			new Map<string, { card: SharedCard; quantity: number; because: 'group' | 'rest' }>()
		])
	);
	const give = (name: string, card: SharedCard, quantity: number, because: 'group' | 'rest') => {
		const key = `${because} ${card.version}`;
		const known = given.get(name)?.get(key);
		given.get(name)?.set(key, { card, quantity: (known?.quantity ?? 0) + quantity, because });
	};
	const left: SharedCard[] = [];
	for (const card of cards) {
		const taker = card.group === null ? undefined : takerOf.get(card.group);
		if (taker === undefined) left.push(card);
		else give(taker, card, card.quantity, 'group');
	}
	const sorted = left.toSorted(
		(a, b) =>
			(b.valueMinor ?? -1) - (a.valueMinor ?? -1) ||
			(a.version < b.version ? -1 : a.version > b.version ? 1 : 0)
	);
	let turn = 0;
	for (const card of sorted) {
		if (rest.sort === 'to') {
			give(rest.name, card, card.quantity, 'rest');
			continue;
		}
		for (const [i, { name }] of sharers.entries()) {
			// So many copies fall to each as it is their turn again and again.
			const first = (i - turn + sharers.length) % sharers.length;
			const copies = Math.ceil((card.quantity - first) / sharers.length);
			if (copies > 0) give(name, card, copies, 'rest');
		}
		turn = (turn + card.quantity) % sharers.length;
	}
	return sharers.map(({ name }): Share => {
		const got = [...(given.get(name)?.values() ?? [])];
		return {
			name,
			cards: got.map(({ card, quantity, because }) => ({
				...{ version: card.version, quantity, because }
			})),
			count: sum(got, ({ quantity }) => quantity),
			valueMinor: sum(got, ({ card, quantity }) => (card.valueMinor ?? 0) * quantity),
			unpriced: sum(got, ({ card, quantity }) => (card.valueMinor === null ? quantity : 0))
		};
	});
}

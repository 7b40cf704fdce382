import type { Verdict } from '../goal/judge-card.ts';
import { keptCard } from '../storage/classes/kept-card.ts';
import type { Keeping } from '../storage/classes/keeping.ts';
import { SETS } from '../storage/kinds/box-use.ts';
import { formatMinor } from '../money/minor-units.ts';
import type { PileMatch } from './find-on-pile.ts';

export const PILE_KINDS = ['class', 'goal', 'friend', 'spares', 'not collected'] as const;

/** Where the card goes next, with the reason. */
export interface NextPile {
	/** class: a storage class or a value tier keeps it apart from the sets. friend: no goal takes it, and somebody else wants it. */
	readonly kind: (typeof PILE_KINDS)[number];
	readonly name: string;
	/** The goal that takes it, where one does. */
	readonly goal?: string;
	readonly why: string;
}

/** What copies of a version are worth, the dearest of them, in minor units of its currency. */
export interface KnownWorth {
	readonly valueMinor: number;
	/** ISO 4217 */
	readonly currency: string;
}

/** The dearest known worth of each version; of values in several moneys the first money counts. */
export function dearest(
	valued: readonly (KnownWorth & { readonly version: string })[]
): ReadonlyMap<string, KnownWorth> {
	const found = new Map<string, KnownWorth>();
	for (const { version, valueMinor, currency } of valued) {
		const known = found.get(version);
		const isDearer = known?.currency === currency && valueMinor > known.valueMinor;
		if (!known || isDearer) found.set(version, { valueMinor, currency });
	}
	return found;
}

/**
 * The pile for a card: that of the storage class, or of the value tier, that keeps it apart; else that of the
 * goal that takes it, else that of a friend who wants it, else the spares, else what is not collected.
 */
export function nextPile(
	{ entry, version, serial }: PileMatch,
	verdict: Verdict,
	keeping: Pick<Keeping, 'useOf'>,
	worth: KnownWorth | undefined,
	friends: readonly string[] = []
): NextPile {
	const card = { ...keptCard(entry.of.release, { ...entry.found, version }, serial), ...worth };
	const { use: name, why } = keeping.useOf({ card, holder: null });
	if (name !== SETS) {
		const valued = worth
			? `; a copy is valued at ${formatMinor(worth.valueMinor, worth.currency)} ${worth.currency}`
			: '';
		return { kind: 'class', name, why: `${why}${valued}` };
	}
	const [friend] = friends;
	if (friend !== undefined && (verdict.kind === 'spare' || verdict.kind === 'outside')) {
		return { kind: 'friend', name: `For ${friend}`, why: `${friend} wants it` };
	}
	switch (verdict.kind) {
		case 'needed': {
			const set = verdict.set !== undefined && verdict.set > 1 ? `, set ${verdict.set}` : '';
			const { goal } = verdict;
			return { kind: 'goal', name: `${goal}${set}`, goal, why: 'its slot is open' };
		}
		case 'upgrade':
			return {
				...{ kind: 'goal', name: verdict.goal, goal: verdict.goal },
				why: 'it is better than the copy there'
			};
		case 'spare':
			return { kind: 'spares', name: 'Spares', why: 'every slot for it is filled as well' };
		case 'outside':
			return { kind: 'not collected', name: 'Not collected', why: 'no goal asks for it' };
	}
}

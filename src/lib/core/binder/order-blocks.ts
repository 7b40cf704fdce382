import { compareTitles, sortByCardNumber } from '../checklist/compare-card-numbers.ts';
import type { BinderOrder } from './binder-layout.ts';

/** A slot as the binder sees it. */
export interface BinderSlot {
	readonly key: string;
	readonly number: string | null;
	readonly title: string;
	readonly rarity?: string;
	/** Whom it shows, for subject pages; left out: its title. */
	readonly subject?: string;
	/** Subjects of one group are rather laid together. */
	readonly group?: string;
	/** The numbering and finish it is filed under: its block in number order. */
	readonly block: string;
}

/** Slots that stay together, in the order in which they lie. */
export interface BinderBlock {
	readonly name: string;
	readonly slots: readonly BinderSlot[];
}

/**
 * Puts slots in order. By number: blocks as they first appear, numbers inside, cards without a
 * number in the alphabet behind them. By rarity: a block a class in the order of `rarities`
 * (classes it does not name come last, in the alphabet), titles inside. Ties go by key, so that
 * the same slots always lie the same way.
 */
export function orderBlocks(
	slots: readonly BinderSlot[],
	order: Exclude<BinderOrder, 'subject'>,
	rarities: readonly string[]
): readonly BinderBlock[] {
	const blocks = new Map<string, BinderSlot[]>();
	for (const slot of slots) {
		const name = order === 'number' ? slot.block : (slot.rarity ?? 'No rarity class');
		const block = blocks.get(name);
		if (block) block.push(slot);
		else blocks.set(name, [slot]);
	}
	const ordered = [...blocks].map(([name, members]) => ({
		name,
		slots:
			order === 'number'
				? sortByCardNumber(members, ({ number }) => number, byTitle)
				: members.sort(byTitle)
	}));
	if (order === 'number') return ordered;
	const rank = (name: string) => (rarities.includes(name) ? rarities.indexOf(name) : Infinity);
	return ordered.sort((a, b) =>
		rank(a.name) === rank(b.name) ? compareTitles(a.name, b.name) : rank(a.name) - rank(b.name)
	);
}

function byTitle(a: BinderSlot, b: BinderSlot): number {
	return compareTitles(a.title, b.title) || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0);
}

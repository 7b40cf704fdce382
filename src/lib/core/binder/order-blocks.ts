import { compareTitles, sortByCardNumber } from '../checklist/numbers/compare-card-numbers.ts';
import type { BinderLayout } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';

/** Slots that stay together, in the order in which they lie. */
export interface BinderBlock {
	readonly name: string;
	readonly slots: readonly BinderSlot[];
}

type Sorter = (slots: readonly BinderSlot[]) => BinderSlot[];

/**
 * Puts slots in order, block by block:
 *
 * - by number: blocks as they first appear, numbers inside, cards without a number in the alphabet
 *   behind them; by newest release the blocks of the latest year come first;
 * - by rarity: a block a class in the order of `rarities` (classes it does not name come last, in the
 *   alphabet), titles inside;
 * - by group: groups in the alphabet, slots without one last; inside, sections as they first appear,
 *   then numbers;
 * - newest: one block, the latest arrival first, what has not arrived last, by number.
 *
 * Ties go by title and then by key, so that the same slots always lie the same way. Variants leave
 * their card where the layout says so.
 */
export function orderBlocks(
	slots: readonly BinderSlot[],
	layout: Pick<BinderLayout, 'order' | 'variants' | 'parallels'>,
	rarities: readonly string[]
): readonly BinderBlock[] {
	const place = layout.parallels === 'rows' ? numberingOf : blockOf;
	return blocksInOrder(slots, layout.order, place, rarities).flatMap((block) =>
		placeVariants(block, layout.variants)
	);
}

const blockOf = ({ block }: BinderSlot) => block;
const numberingOf = ({ block, numbering }: BinderSlot) => numbering ?? block;

function blocksInOrder(
	slots: readonly BinderSlot[],
	order: BinderLayout['order'],
	place: (slot: BinderSlot) => string,
	rarities: readonly string[]
): readonly BinderBlock[] {
	switch (order) {
		case 'rarity': {
			const rank = rankIn(rarities);
			const blocks = gather(slots, ({ rarity }) => rarity ?? 'No rarity class', byTitles);
			return blocks.sort((a, b) => rank(a.name) - rank(b.name) || compareTitles(a.name, b.name));
		}
		case 'group': {
			const rank = rankIn([...new Set(slots.map(place))]);
			const inside: Sorter = (inBlock) =>
				byNumbers(inBlock).sort((a, b) => rank(place(a)) - rank(place(b)));
			const last = 'No group';
			return gather(slots, ({ group }) => group ?? last, inside).sort(
				(a, b) => Number(a.name === last) - Number(b.name === last) || compareTitles(a.name, b.name)
			);
		}
		case 'newest':
			return slots.length === 0
				? []
				: [{ name: 'Newest first', slots: byNumbers(slots).sort(byArrival) }];
		case 'newest-release': {
			const latest = new Map(slots.map((slot) => [place(slot), slot.year ?? '']));
			return gather(slots, place, byNumbers).sort((a, b) =>
				compareTitles(latest.get(b.name) ?? '', latest.get(a.name) ?? '')
			);
		}
		default:
			return gather(slots, place, byNumbers);
	}
}

function gather(
	slots: readonly BinderSlot[],
	nameOf: (slot: BinderSlot) => string,
	sort: Sorter
): BinderBlock[] {
	const blocks = new Map<string, BinderSlot[]>();
	for (const slot of slots) {
		const name = nameOf(slot);
		const block = blocks.get(name);
		if (block) block.push(slot);
		else blocks.set(name, [slot]);
	}
	return [...blocks].map(([name, members]) => ({ name, slots: sort(members) }));
}

function placeVariants(
	block: BinderBlock,
	place: BinderLayout['variants']
): readonly BinderBlock[] {
	const variants = place === 'beside' ? [] : block.slots.filter(({ isVariant }) => isVariant);
	if (variants.length === 0) return [block];
	const regular = block.slots.filter(({ isVariant }) => !isVariant);
	return place === 'end'
		? [{ name: block.name, slots: [...regular, ...variants] }]
		: [
				{ name: block.name, slots: regular },
				{ name: `${block.name}, variants`, slots: variants }
			].filter(({ slots }) => slots.length > 0);
}

function rankIn(names: readonly string[]): (name: string) => number {
	const ranks = new Map(names.map((name, rank) => [name, rank]));
	return (name) => ranks.get(name) ?? names.length;
}

const byNumbers: Sorter = (slots) => sortByCardNumber(slots, ({ number }) => number, byTitle);
const byTitles: Sorter = (slots) => [...slots].sort(byTitle);

function byTitle(a: BinderSlot, b: BinderSlot): number {
	const byTitle = compareTitles(a.sortAs ?? a.title, b.sortAs ?? b.title);
	return byTitle || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0);
}

/** Later days first; no day at all last. */
function byArrival(a: BinderSlot, b: BinderSlot): number {
	const [first = '', second = ''] = [a.arrivedOn, b.arrivedOn];
	return first === second ? 0 : first > second ? -1 : 1;
}

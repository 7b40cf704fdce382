import { compareFiled } from '../checklist/filed-title.ts';
import { compareTitles, sortByCardNumber } from '../checklist/numbers/compare-card-numbers.ts';
import type { BinderLayout, BlockOrder } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';

/** Slots that stay together, in the order in which they lie. */
export interface BinderBlock {
	/** Names it among the blocks of the binder, whatever it is called. */
	readonly key: string;
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
 * Ties go by title and then by key, so that the same slots always lie the same way. Blocks that have a
 * place or an order by choice (`blocks`) take it; variants leave their card where the layout says so.
 */
export function orderBlocks(
	slots: readonly BinderSlot[],
	layout: Pick<BinderLayout, 'order' | 'variants' | 'parallels'> &
		Partial<Pick<BinderLayout, 'blocks'>>,
	rarities: readonly string[]
): readonly BinderBlock[] {
	const place = layout.parallels === 'rows' ? numberingOf : blockOf;
	const blocks = blocksInOrder(slots, layout.order, place, rarities);
	return asChosen(blocks, layout.blocks ?? [], rarities).flatMap((block) =>
		placeVariants(block, layout.variants)
	);
}

/** Where a slot belongs, by key and by name. */
interface Belongs {
	readonly key: string;
	readonly name: string;
}
const blockOf = ({ block, blockKey }: BinderSlot): Belongs => ({
	key: blockKey ?? block,
	name: block
});
const numberingOf = (slot: BinderSlot): Belongs =>
	slot.numbering === undefined
		? blockOf(slot)
		: { key: slot.numberingKey ?? slot.numbering, name: slot.numbering };
const called = (name: string): Belongs => ({ key: name, name });

/** Blocks in their chosen places, those without one behind; each in its chosen order, if it has one. */
function asChosen(
	blocks: readonly BinderBlock[],
	chosen: BinderLayout['blocks'],
	rarities: readonly string[]
): readonly BinderBlock[] {
	if (chosen.length === 0) return blocks;
	const rank = rankIn(chosen.map(({ block }) => block));
	const orders = new Map(chosen.map(({ block, order }) => [block, order]));
	return blocks
		.map((block) => {
			const order = orders.get(block.key);
			return order ? { ...block, slots: sorterOf(order, rarities)(block.slots) } : block;
		})
		.sort((a, b) => rank(a.key) - rank(b.key));
}

function sorterOf(order: BlockOrder, rarities: readonly string[]): Sorter {
	const numbered =
		(compare: (a: BinderSlot, b: BinderSlot) => number): Sorter =>
		(slots) =>
			byNumbers(slots).sort(compare);
	switch (order) {
		case 'number':
			return byNumbers;
		case 'title':
			return byTitles;
		case 'rarity': {
			const rank = rankIn(rarities);
			return (slots) => byTitles(slots).sort((a, b) => rank(a.rarity ?? '') - rank(b.rarity ?? ''));
		}
		case 'group':
			return numbered(
				(a, b) =>
					Number(a.group === undefined) - Number(b.group === undefined) ||
					compareTitles(a.group ?? '', b.group ?? '')
			);
		case 'subject':
			return numbered((a, b) => compareTitles(a.subject ?? a.title, b.subject ?? b.title));
		case 'newest':
			return numbered(byArrival);
	}
}

function blocksInOrder(
	slots: readonly BinderSlot[],
	order: BinderLayout['order'],
	place: (slot: BinderSlot) => Belongs,
	rarities: readonly string[]
): readonly BinderBlock[] {
	switch (order) {
		case 'rarity': {
			const rank = rankIn(rarities);
			const blocks = gather(slots, ({ rarity }) => called(rarity ?? 'No rarity class'), byTitles);
			return blocks.sort((a, b) => rank(a.name) - rank(b.name) || compareTitles(a.name, b.name));
		}
		case 'group': {
			const rank = rankIn([...new Set(slots.map((slot) => place(slot).key))]);
			const inside: Sorter = (inBlock) =>
				byNumbers(inBlock).sort((a, b) => rank(place(a).key) - rank(place(b).key));
			const last = 'No group';
			return gather(slots, ({ group }) => called(group ?? last), inside).sort(
				(a, b) => Number(a.name === last) - Number(b.name === last) || compareTitles(a.name, b.name)
			);
		}
		case 'newest':
			return slots.length === 0
				? []
				: [{ ...called('Newest first'), slots: byNumbers(slots).sort(byArrival) }];
		case 'newest-release': {
			const latest = new Map(slots.map((slot) => [place(slot).key, slot.year ?? '']));
			return gather(slots, place, byNumbers).sort((a, b) =>
				compareTitles(latest.get(b.key) ?? '', latest.get(a.key) ?? '')
			);
		}
		default:
			return gather(slots, place, byNumbers);
	}
}

function gather(
	slots: readonly BinderSlot[],
	belongs: (slot: BinderSlot) => Belongs,
	sort: Sorter
): BinderBlock[] {
	const blocks = new Map<string, Belongs & { readonly members: BinderSlot[] }>();
	for (const slot of slots) {
		const place = belongs(slot);
		const block = blocks.get(place.key);
		if (block) block.members.push(slot);
		else blocks.set(place.key, { ...place, members: [slot] });
	}
	return [...blocks.values()].map(({ members, ...place }) => ({ ...place, slots: sort(members) }));
}

function placeVariants(
	block: BinderBlock,
	place: BinderLayout['variants']
): readonly BinderBlock[] {
	const variants = place === 'beside' ? [] : block.slots.filter(({ isVariant }) => isVariant);
	if (variants.length === 0) return [block];
	const regular = block.slots.filter(({ isVariant }) => !isVariant);
	return place === 'end'
		? [{ ...block, slots: [...regular, ...variants] }]
		: [
				{ ...block, slots: regular },
				{ key: block.key, name: `${block.name}, variants`, slots: variants }
			].filter(({ slots }) => slots.length > 0);
}

function rankIn(names: readonly string[]): (name: string) => number {
	const ranks = new Map(names.map((name, rank) => [name, rank]));
	return (name) => ranks.get(name) ?? names.length;
}

const byNumbers: Sorter = (slots) => sortByCardNumber(slots, ({ number }) => number, byTitle);
const byTitles: Sorter = (slots) => [...slots].sort(byTitle);

function byTitle(a: BinderSlot, b: BinderSlot): number {
	return compareFiled(a, b) || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0);
}

/** Later days first; no day at all last. */
function byArrival(a: BinderSlot, b: BinderSlot): number {
	const [first = '', second = ''] = [a.arrivedOn, b.arrivedOn];
	return first === second ? 0 : first > second ? -1 : 1;
}

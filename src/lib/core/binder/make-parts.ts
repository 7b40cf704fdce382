import type { CardFormat } from '../checklist/card-format.ts';
import { arrangeBlock, cellOf, type Piece } from './arrange-block.ts';
import type { BinderLayout } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';
import { otherPageFor, type OtherPage } from './card-fit.ts';
import type { Part } from './lay-faces.ts';
import { orderBlocks, type BinderBlock } from './order-blocks.ts';
import { pageKindOf, pocketsOf, PAGE_KINDS, type PageKind } from './page-kind.ts';
import { subjectPages } from './subject-pages.ts';

/** A slot whose card the binder's own pages do not take well, and where it goes. */
export interface OddCard extends OtherPage {
	readonly slot: string;
}

export interface BinderParts {
	readonly parts: readonly Part[];
	/** The blocks in the order in which they lie; laid by subject or by hand there are none. */
	readonly blocks: readonly BinderBlock[];
	readonly odd: readonly OddCard[];
	readonly leastPages?: number;
	readonly isExact?: boolean;
}

/** What of a binder's making is not a choice of layout. */
export interface BinderContext {
	/** Rarity classes in the order in which they are filed. */
	readonly rarities: readonly string[];
	/** Own page kinds, besides those that come with the program. */
	readonly pageKinds: readonly PageKind[];
}

/**
 * Makes parts of slots: blocks in order, on the binder's own pages. A block of which no card fits
 * those keeps its place, on pages of another kind; single cards that do not fit go behind all others.
 * Goals with an order of their own are laid each by itself, in their place among the others, which are
 * laid together; laid by hand, all lie as the hand laid them.
 *
 * @throws RangeError for an unknown page kind
 */
export function makeParts(
	slots: readonly BinderSlot[],
	layout: BinderLayout,
	context: BinderContext
): BinderParts {
	const groups = layout.order === 'by-hand' ? [] : goalGroups(slots, layout);
	if (groups.length < 2) return partsOf(slots, { ...layout, ...groups[0]?.chosen }, context);
	const made = groups.map((laid) => partsOf(laid.slots, { ...layout, ...laid.chosen }, context));
	return {
		parts: made.flatMap(({ parts }) => parts),
		blocks: made.flatMap(({ blocks }) => blocks),
		odd: made.flatMap(({ odd }) => odd)
	};
}

/** Slots that are laid together, and the order of a goal that is laid by itself. */
interface GoalGroup {
	readonly slots: readonly BinderSlot[];
	readonly chosen: Partial<Pick<BinderLayout, 'order'>>;
}

function goalGroups(slots: readonly BinderSlot[], layout: BinderLayout): readonly GoalGroup[] {
	const orders = new Map(layout.goals.map(({ goal, order }) => [goal, order]));
	const together = '';
	const nameOf = (goal: string | undefined) =>
		goal !== undefined && orders.get(goal) !== undefined ? `goal ${goal}` : together;
	const groups = new Map<string, BinderSlot[]>();
	for (const { goal } of layout.goals) groups.set(nameOf(goal), []);
	for (const slot of slots) {
		const name = nameOf(slot.goal);
		const members = groups.get(name);
		if (members) members.push(slot);
		else groups.set(name, [slot]);
	}
	return [...groups.values()].flatMap((members): readonly GoalGroup[] => {
		const [slot] = members;
		if (!slot) return [];
		const order = slot.goal === undefined ? undefined : orders.get(slot.goal);
		return [{ slots: members, chosen: order ? { order } : {} }];
	});
}

function partsOf(
	slots: readonly BinderSlot[],
	layout: BinderLayout,
	{ rarities, pageKinds }: BinderContext
): BinderParts {
	const kinds = [...pageKinds, ...PAGE_KINDS];
	const main = pageKindOf(layout.pageKind, pageKinds);
	const elsewhere = oddSlots(slots, main, kinds);
	const odd = [...elsewhere].map(([slot, other]) => ({ slot, ...other }));
	const kindFor = (slot: BinderSlot): PageKind | null => {
		const other = elsewhere.get(slot.key);
		return other ? (kinds.find(({ key }) => key === other.kind) ?? null) : main;
	};
	const ranks = new Map(slots.map(({ key }, rank) => [key, rank]));
	const rankOf = ({ key }: BinderSlot) => ranks.get(key) ?? 0;
	const partOf = (block: BinderBlock, kind: PageKind): Part => ({
		kind,
		start: layout.blockStart,
		pieces: arrangeBlock(block, layout, rankOf)
	});

	const usual = elsewhere.size === 0 ? slots : slots.filter((slot) => kindFor(slot) === main);
	if (layout.order === 'subject' || layout.order === 'by-hand') {
		const isLaid = ({ isFilled }: BinderSlot) => layout.missing === 'keep' || isFilled !== false;
		const { pieces, ...paired } =
			layout.order === 'subject'
				? piecesBySubject(usual.filter(isLaid), pocketsOf(main))
				: { pieces: piecesByHand(usual, layout, rarities) };
		const part: Part = { kind: main, start: 'new-page', pieces };
		const rest = orderBlocks(
			slots.filter((slot) => kindFor(slot) !== main),
			{ ...layout, order: 'number' },
			rarities
		);
		const parts = [...(usual.length > 0 ? [part] : []), ...leftOver(rest, [])];
		return { parts, blocks: [], odd, ...paired };
	}
	const blocks = orderBlocks(slots, layout, rarities);
	if (elsewhere.size === 0) {
		return { parts: blocks.map((block) => partOf(block, main)), blocks, odd };
	}
	const whole = blocks.flatMap((block) => {
		const kept = block.slots.filter((slot) => kindFor(slot) === main);
		if (kept.length > 0) return [partOf({ ...block, slots: kept }, main)];
		return leftOver([block], []);
	});
	const single = leftOver(
		blocks.filter(({ slots: all }) => all.some((slot) => kindFor(slot) === main)),
		[main]
	);
	return { parts: [...whole, ...single], blocks, odd };

	/** Parts of blocks on every kind of page but some: kind by kind, so that leaves are shared. */
	function leftOver(from: readonly BinderBlock[], but: readonly PageKind[]): readonly Part[] {
		return kinds
			.filter((kind) => !but.includes(kind))
			.flatMap((kind) =>
				from
					.map((block) => ({ ...block, slots: block.slots.filter((s) => kindFor(s) === kind) }))
					.filter((block) => block.slots.length > 0)
					.map((block) => partOf(block, kind))
			);
	}
}

/** Where each slot goes that the binder's own pages do not take well; a format is judged once. */
function oddSlots(
	slots: readonly BinderSlot[],
	main: PageKind,
	kinds: readonly PageKind[]
): ReadonlyMap<string, OtherPage> {
	const judged = new Map<CardFormat | undefined, OtherPage | null>();
	const odd = new Map<string, OtherPage>();
	for (const { key, format } of slots) {
		let other = judged.get(format);
		if (other === undefined) {
			other = otherPageFor(format, main, kinds);
			judged.set(format, other);
		}
		if (other) odd.set(key, other);
	}
	return odd;
}

/** Pages of subjects, paired. */
function piecesBySubject(slots: readonly BinderSlot[], pocketsAPage: number) {
	const { pages, ...paired } = subjectPages(slots, pocketsAPage);
	const pieces = pages.map((page): Piece => ({
		form: 'page',
		cells: page.map(({ subject, slot }) => cellOf(slot, subject))
	}));
	return { pieces, ...paired };
}

/** Cells in one's own order, pocket by pocket; slots it does not name follow by number. */
function piecesByHand(
	slots: readonly BinderSlot[],
	layout: BinderLayout,
	rarities: readonly string[]
): readonly Piece[] {
	const known = new Map(slots.map((slot) => [slot.key, slot]));
	const cells = layout.ownOrder.map((key) => {
		const slot = known.get(key);
		known.delete(key);
		return slot ? cellOf(slot, slot.block) : null;
	});
	while (cells.at(-1) === null) cells.pop();
	const rest = orderBlocks([...known.values()], { ...layout, order: 'number' }, rarities);
	const behind = rest.flatMap(({ slots: grouped }) =>
		grouped.map((slot) => cellOf(slot, slot.block))
	);
	return [{ form: 'flow', cells: [...cells, ...behind] }];
}

import type { BinderLayout } from './binder-layout.ts';
import { orderBlocks, type BinderBlock, type BinderSlot } from './order-blocks.ts';
import { pageKindOf } from './page-kind.ts';
import { subjectPages } from './subject-pages.ts';

/** One face of a leaf. Odd pages are fronts and lie on the right, even ones are backs. */
export interface BinderPage {
	/** From 1. */
	readonly page: number;
	/** Names of the blocks that lie on it. */
	readonly blocks: readonly string[];
	/** Slot keys row by row; null is a pocket that nothing belongs in. */
	readonly pockets: readonly (string | null)[];
}

export interface BinderPlan {
	readonly pages: readonly BinderPage[];
	/** Leaves it takes: two pages each. */
	readonly leaves: number;
	/** Pockets of those pages that nothing belongs in. */
	readonly emptyPockets: number;
	/** Of subject pages: no arrangement that splits no subject has fewer. */
	readonly leastPages?: number;
}

/**
 * Lays slots into pages: every slot gets a pocket, whether it is filled or not, so that a missing
 * card keeps its place. No slots, no pages.
 *
 * @throws RangeError for an unknown page kind
 */
export function planBinder(
	slots: readonly BinderSlot[],
	layout: BinderLayout,
	rarities: readonly string[] = []
): BinderPlan {
	const { rows, columns } = pageKindOf(layout.pageKind);
	const size = rows * columns;
	const { pages, leastPages } =
		layout.order === 'subject'
			? subjectPages(slots, size)
			: blockPages(orderBlocks(slots, layout.order, rarities), layout, size);
	return {
		pages: pages.map(({ blocks, pockets }, i) => ({
			page: i + 1,
			blocks,
			pockets: [...pockets, ...Array<null>(size - pockets.length).fill(null)]
		})),
		leaves: Math.ceil(pages.length / 2),
		emptyPockets: pages.length * size - slots.length,
		...(leastPages === undefined ? {} : { leastPages })
	};
}

function blockPages(
	blocks: readonly BinderBlock[],
	{ blockStart }: BinderLayout,
	size: number
): {
	readonly pages: readonly { readonly blocks: string[]; readonly pockets: string[] }[];
	readonly leastPages?: number;
} {
	const pages: { blocks: string[]; pockets: string[] }[] = [];
	for (const block of blocks) {
		let page = blockStart === 'runs-on' ? pages.at(-1) : undefined;
		for (const slot of block.slots) {
			if (!page || page.pockets.length === size) {
				page = { blocks: [], pockets: [] };
				pages.push(page);
			}
			if (page.blocks.at(-1) !== block.name) page.blocks.push(block.name);
			page.pockets.push(slot.key);
		}
	}
	return { pages };
}

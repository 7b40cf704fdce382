export const BINDER_ORDERS = ['number', 'rarity', 'subject'] as const;
/**
 * `number`: as numbered. `rarity`: by rarity class, then alphabet. `subject`: all versions of one
 * subject on one page, subjects paired.
 */
export type BinderOrder = (typeof BINDER_ORDERS)[number];

export const BLOCK_STARTS = ['new-page', 'runs-on'] as const;
/** Whether a section (or rarity class) begins on a page of its own. */
export type BlockStart = (typeof BLOCK_STARTS)[number];

/** The choices from which a binder's pages follow. */
export interface BinderLayout {
	readonly pageKind: string;
	readonly order: BinderOrder;
	readonly blockStart: BlockStart;
}

export const USUAL_LAYOUT: BinderLayout = {
	pageKind: '3x3',
	order: 'number',
	blockStart: 'new-page'
};

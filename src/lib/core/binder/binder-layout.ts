export const BINDER_ORDERS = [
	'number',
	'rarity',
	'group',
	'subject',
	'newest',
	'newest-release',
	'by-hand'
] as const;
/**
 * `number`: as numbered. `rarity`: by rarity class, then alphabet. `group`: by group, then number.
 * `subject`: all versions of one subject on one page, subjects paired. `newest`: what arrived last
 * comes first. `newest-release`: as numbered, the latest year first. `by-hand`: `ownOrder`.
 */
export type BinderOrder = (typeof BINDER_ORDERS)[number];

export const GOAL_ORDERS = BINDER_ORDERS.filter(
	(order): order is Exclude<BinderOrder, 'by-hand'> => order !== 'by-hand'
);
/** The order of a goal that is laid by itself. */
export type GoalOrder = (typeof GOAL_ORDERS)[number];

export const BLOCK_ORDERS = ['number', 'title', 'rarity', 'group', 'subject', 'newest'] as const;
/**
 * The order inside a block: as numbered, in the alphabet, by rarity class and then alphabet, by group or
 * by subject and then number, or what arrived last first.
 */
export type BlockOrder = (typeof BLOCK_ORDERS)[number];

/** A goal that a binder holds: laid together with the others, or, with an order of its own, by itself. */
export interface LaidGoal {
	readonly goal: string;
	readonly order?: GoalOrder;
}

/** A block that has its place or its order by choice. */
export interface ChosenBlock {
	/** Key of the block. */
	readonly block: string;
	/** Left out: the order of the binder. */
	readonly order?: BlockOrder;
}

export const BLOCK_STARTS = ['new-page', 'new-leaf', 'new-volume', 'runs-on'] as const;
/** Where a section (or rarity class, or group) begins. */
export type BlockStart = (typeof BLOCK_STARTS)[number];

export const MISSING_CHOICES = ['keep', 'some', 'close-up'] as const;
/** What becomes of the pockets of missing cards: each is kept, some are reserved a section, or none. */
export type MissingChoice = (typeof MISSING_CHOICES)[number];

export const VARIANT_PLACES = ['beside', 'end', 'own-block'] as const;
/** Where variants lie: beside their card, at the end of the section, or in a block of their own. */
export type VariantPlace = (typeof VARIANT_PLACES)[number];

export const PARALLEL_PLACES = ['blocks', 'rows'] as const;
/** Whether each parallel is a block of its own, or each subject a row with its parallels. */
export type ParallelPlace = (typeof PARALLEL_PLACES)[number];

export const PULLED_CHOICES = ['placeholder', 'stand-in'] as const;
/** What lies in the pocket of a card that is kept elsewhere, graded or in a rigid holder. */
export type PulledChoice = (typeof PULLED_CHOICES)[number];

/** The choices from which a binder's pages follow. */
export interface BinderLayout {
	readonly pageKind: string;
	readonly order: BinderOrder;
	readonly blockStart: BlockStart;
	/** Cards a pocket: one, or two back to back, so that both faces of a leaf show cards. */
	readonly cardsAPocket: 1 | 2;
	/** Whether each block begins with a pocket for its title. */
	readonly titlePocket: boolean;
	readonly missing: MissingChoice;
	/** With `some`: how many pockets a block reserves at the most. */
	readonly reserve: number;
	/** Pockets a block keeps free besides, for what may still come. */
	readonly slack: number;
	readonly variants: VariantPlace;
	readonly parallels: ParallelPlace;
	readonly pulled: PulledChoice;
	readonly binderKind: string;
	/** By hand: slot keys pocket by pocket, '' for a pocket left free. */
	readonly ownOrder: readonly string[];
	/** Blocks in the order in which they lie; those it does not name follow as they come. */
	readonly blocks: readonly ChosenBlock[];
	/** Goals in their order; those it does not name are laid together with the rest. */
	readonly goals: readonly LaidGoal[];
}

/** Choices as they are stored and sent: what is left out is usual. */
export type LayoutChoice = Pick<BinderLayout, 'pageKind' | 'order' | 'blockStart'> &
	Partial<BinderLayout>;

export const USUAL_LAYOUT: BinderLayout = {
	pageKind: '3x3',
	order: 'number',
	blockStart: 'new-page',
	cardsAPocket: 2,
	titlePocket: false,
	missing: 'keep',
	reserve: 0,
	slack: 0,
	variants: 'beside',
	parallels: 'blocks',
	pulled: 'placeholder',
	binderKind: 'rings-50',
	ownOrder: [],
	blocks: [],
	goals: []
};

export function resolveLayout(choice: LayoutChoice): BinderLayout {
	return { ...USUAL_LAYOUT, ...choice };
}

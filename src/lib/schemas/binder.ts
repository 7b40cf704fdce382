import { Type } from 'typebox';
import {
	BINDER_ORDERS,
	BLOCK_ORDERS,
	BLOCK_STARTS,
	GOAL_ORDERS,
	MISSING_CHOICES,
	PARALLEL_PLACES,
	PULLED_CHOICES,
	VARIANT_PLACES
} from '../core/binder/binder-layout.ts';
import { POCKET_LOADINGS } from '../core/binder/page-kind.ts';
import { closed, said } from './vocabulary.ts';

const Key = Type.String({
	minLength: 1,
	maxLength: 60,
	pattern: '^[\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+$'
});
const Name = Type.String({ minLength: 1, maxLength: 60, pattern: '\\S' });
const Few = Type.Integer({ minimum: 0, maximum: 1000 });
/** A length that a hand can hold, in millimetres. */
const Length = Type.Number({ minimum: 5, maximum: 1000 });

export const PageKindSchema = Type.Object(
	{
		key: said(Key, 'Names the kind in layouts and pockets.'),
		name: said(Name, 'What it is called.'),
		rows: said(Type.Integer({ minimum: 1, maximum: 12 }), 'Rows of pockets on a page.'),
		columns: said(Type.Integer({ minimum: 1, maximum: 12 }), 'Columns of pockets on a page.'),
		pocketWidthMm: said(Length, 'Inner width of a pocket, in millimetres.'),
		pocketHeightMm: said(Length, 'Inner height of a pocket, in millimetres.'),
		loading: said(
			Type.Enum([...POCKET_LOADINGS]),
			'top: from above. side: from the side, so that cards do not fall out.'
		),
		thickestPt: said(
			Type.Integer({ minimum: 1, maximum: 1000 }),
			'The thickest card that a pocket takes, in points with its sleeve.'
		)
	},
	closed
);

export const BinderKindSchema = Type.Object(
	{
		key: said(Key, 'Names the kind in layouts.'),
		name: said(Name, 'What it is called.'),
		mostLeaves: said(
			Type.Integer({ minimum: 1, maximum: 1000 }),
			'Leaves that it takes at the most.'
		),
		spineDepthMm: said(Length, 'Room for leaves in its spine, in millimetres.'),
		hasSewnLeaves: said(
			Type.Optional(Type.Boolean()),
			'Whether its leaves are sewn in, so that none are bought; left out: no.'
		)
	},
	closed
);

/** What a pack costs, in minor units of the currency. */
export const SupplyPriceSchema = Type.Object(
	{
		key: said(
			Type.String({ minLength: 1, maxLength: 100 }),
			'What it is the price of: "sleeve:63.5x88.9", "page:3x3", "binder:rings-50", "divider", "holder:top-loader-35".'
		),
		priceMinor: said(
			Type.Integer({ minimum: 0, maximum: 100_000_000 }),
			'Price of a pack, in minor units of the currency.'
		),
		currency: said(Type.String({ pattern: '^[A-Z]{3}$' }), 'ISO 4217: EUR.'),
		packOf: said(Type.Integer({ minimum: 1, maximum: 100_000 }), 'How many are in a pack.')
	},
	closed
);

const layout = {
	pageKind: said(Key, 'Key of the page kind.'),
	order: said(
		Type.Enum([...BINDER_ORDERS]),
		'number: as numbered. rarity: by rarity class, then alphabet. group: by group, then number. subject: all versions of a subject on one page. newest: what arrived last first. newest-release: the latest year first. by-hand: as ownOrder says.'
	),
	blockStart: said(
		Type.Enum([...BLOCK_STARTS]),
		'Where a section, class or group begins: on a new page, leaf or volume, or running on.'
	),
	cardsAPocket: said(Type.Enum([1, 2]), 'One card a pocket, or two back to back; usually 2.'),
	titlePocket: said(
		Type.Boolean(),
		'Whether each block begins with a pocket for its title; usually not.'
	),
	missing: said(
		Type.Enum([...MISSING_CHOICES]),
		'Pockets of missing cards: keep each, reserve some a block, or close up; usually keep.'
	),
	reserve: said(Few, 'With "some": pockets that a block reserves at the most; usually 0.'),
	slack: said(Few, 'Pockets that a block keeps free besides; usually 0.'),
	variants: said(
		Type.Enum([...VARIANT_PLACES]),
		'Where variants lie: beside their card, at the end of the section, or in a block of their own; usually beside.'
	),
	parallels: said(
		Type.Enum([...PARALLEL_PLACES]),
		'Each parallel a block, or each subject a row with its parallels; usually blocks.'
	),
	pulled: said(
		Type.Enum([...PULLED_CHOICES]),
		'What lies for a card kept elsewhere: a placeholder, or a spare as a stand-in; usually a placeholder.'
	),
	binderKind: said(Key, 'Key of the binder kind; usually rings-50.'),
	ownOrder: said(
		Type.Array(Type.String({ maxLength: 420 }), { maxItems: 200_000 }),
		'By hand: slot keys pocket by pocket, "" for a pocket left free.'
	),
	blocks: said(
		Type.Array(
			Type.Object(
				{
					block: said(Type.String({ minLength: 1, maxLength: 420 }), 'Key of the block.'),
					order: said(
						Type.Optional(Type.Enum([...BLOCK_ORDERS])),
						'The order inside it: as numbered, in the alphabet, by rarity class, by group, by subject, or what arrived last first; left out: that of the binder.'
					)
				},
				closed
			),
			{ maxItems: 10_000 }
		),
		'Blocks in the order in which they lie; others follow as they come.'
	),
	goals: said(
		Type.Array(
			Type.Object(
				{
					goal: said(Type.String({ minLength: 1, maxLength: 100 }), 'The goal, as slots name it.'),
					order: said(
						Type.Optional(Type.Enum([...GOAL_ORDERS])),
						'The order of its cards, laid by itself; left out: together with the others.'
					)
				},
				closed
			),
			{ maxItems: 1000 }
		),
		'Goals in their order, where several are laid; others are laid together.'
	)
};

/** A layout as it is stored and sent: page kind, order and where blocks begin, and what is not usual. */
export const BinderLayoutSchema = Type.Object(
	{
		...Type.Partial(Type.Object(layout)).properties,
		pageKind: layout.pageKind,
		order: layout.order,
		blockStart: layout.blockStart
	},
	closed
);

/** A change of layout: anything of it. */
export const LayoutChangeSchema = Type.Partial(Type.Object(layout), closed);

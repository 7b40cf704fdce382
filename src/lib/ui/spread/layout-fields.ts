import type { BinderLayout, BlockOrder } from '$lib/core/binder/binder-layout';

/** A choice of a layout, as a select shows it; `means` is one line on what the chosen one does. */
export interface LayoutField {
	readonly field: keyof BinderLayout;
	readonly label: string;
	readonly options: readonly {
		readonly value: string;
		readonly text: string;
		readonly means: string;
	}[];
}

export const ORDER_FIELD: LayoutField = {
	field: 'order',
	label: 'Order',
	options: [
		{ value: 'number', text: 'Number', means: 'As numbered, section by section.' },
		{
			value: 'rarity',
			text: 'Rarity class, then alphabet',
			means: 'A block a class, titles in the alphabet.'
		},
		{
			value: 'group',
			text: 'Group, then number',
			means: 'Groups in the alphabet, numbers inside.'
		},
		{
			value: 'subject',
			text: 'Subject by subject, paired',
			means: 'All versions of a subject on one page, paired so that the fewest pages are used.'
		},
		{ value: 'newest', text: 'Newest arrivals first', means: 'What came last lies first.' },
		{
			value: 'newest-release',
			text: 'Newest release first',
			means: 'As numbered, the latest year first.'
		},
		{
			value: 'by-hand',
			text: 'Own order, by hand',
			means: 'As you lay it: drag a card to another pocket, or Space, arrows, Space.'
		}
	]
};

/** The order inside a block; '' is that of the binder. */
export const BLOCK_ORDER_OPTIONS: readonly {
	readonly value: BlockOrder | '';
	readonly text: string;
}[] = [
	{ value: '', text: 'order of the binder' },
	{ value: 'number', text: 'number' },
	{ value: 'title', text: 'alphabet' },
	{ value: 'rarity', text: 'rarity class, then alphabet' },
	{ value: 'group', text: 'group, then number' },
	{ value: 'subject', text: 'subject, then number' },
	{ value: 'newest', text: 'newest arrivals first' }
];

export const START_FIELD: LayoutField = {
	field: 'blockStart',
	label: 'Each section',
	options: [
		{ value: 'new-page', text: 'starts a new page', means: 'Pockets stay free behind a section.' },
		{ value: 'new-leaf', text: 'starts a new leaf', means: 'A leaf holds one section only.' },
		{ value: 'new-volume', text: 'starts a new volume', means: 'A binder a section.' },
		{ value: 'runs-on', text: 'runs on', means: 'The next one begins in the next pocket.' }
	]
};

export const MORE_FIELDS: readonly LayoutField[] = [
	{
		field: 'missing',
		label: 'Missing cards',
		options: [
			{
				value: 'keep',
				text: 'keep their pockets',
				means: 'A placeholder says what belongs there.'
			},
			{
				value: 'some',
				text: 'some pockets reserved',
				means: 'So many a section stay free, wherever least has to move.'
			},
			{ value: 'close-up', text: 'gaps closed up', means: 'Only what is there is laid.' }
		]
	},
	{
		field: 'variants',
		label: 'Variants',
		options: [
			{
				value: 'beside',
				text: 'beside their card',
				means: 'Errors and photos next to the regular card.'
			},
			{ value: 'end', text: 'at the end of the section', means: 'The regular run is unbroken.' },
			{ value: 'own-block', text: 'in a block of their own', means: 'Behind the section, as one.' }
		]
	},
	{
		field: 'parallels',
		label: 'Parallels',
		options: [
			{ value: 'blocks', text: 'each a block', means: 'Base first, then finish by finish.' },
			{
				value: 'rows',
				text: 'rows, one subject a row',
				means: 'A card with its finishes beside it.'
			}
		]
	},
	{
		field: 'pulled',
		label: 'Cards kept elsewhere',
		options: [
			{ value: 'placeholder', text: 'leave a placeholder', means: 'It says where the card is.' },
			{
				value: 'stand-in',
				text: 'a spare stands in',
				means: 'Where there is a spare; else a placeholder.'
			}
		]
	},
	{
		field: 'cardsAPocket',
		label: 'Cards a pocket',
		options: [
			{ value: '2', text: 'two, back to back', means: 'Both faces of a leaf show cards.' },
			{ value: '1', text: 'one', means: 'The back of a leaf shows the backs of its cards.' }
		]
	},
	{
		field: 'titlePocket',
		label: 'Title pocket',
		options: [
			{ value: 'no', text: 'none', means: 'Sections begin with their first card.' },
			{ value: 'yes', text: 'one a section', means: 'The first pocket is for a title card.' }
		]
	}
];

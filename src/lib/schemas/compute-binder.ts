import { Type, type Static, type TProperties } from 'typebox';
import { BinderKindSchema, BinderLayoutSchema, PageKindSchema } from './binder.ts';
import { FormatSchema } from './card-format.ts';
import { closed, list, Whole, Word, said } from './vocabulary.ts';

const Nth = Type.Integer({ minimum: 1 });

const SlotSchema = Type.Object(
	{
		key: said(Word, 'Names the slot in the answer.'),
		number: said(
			Type.Union([Type.String({ maxLength: 60 }), Type.Null()]),
			'As printed; null: none.'
		),
		title: said(Type.String({ maxLength: 300 }), 'What the card is called.'),
		sortAs: said(Type.Optional(Word), 'What it is filed by in the alphabet; left out: its title.'),
		rarity: said(Type.Optional(Word), 'Its rarity class.'),
		subject: said(Type.Optional(Word), 'What subject pages go by; left out: its title.'),
		group: said(Type.Optional(Word), 'What an order by group goes by.'),
		block: said(Word, 'Section and finish: what lies together.'),
		blockKey: said(
			Type.Optional(Word),
			'Names the block where another may be called the same; left out: what it is called.'
		),
		numbering: said(Type.Optional(Word), 'The numbering it lives in; left out: its block.'),
		numberingKey: said(
			Type.Optional(Word),
			'Names the numbering where another may be called the same; left out: what it is called.'
		),
		goal: said(
			Type.Optional(Type.String({ minLength: 1, maxLength: 100 })),
			'The goal under which it is laid, where several are.'
		),
		year: said(Type.Optional(Type.String({ maxLength: 20 })), 'Year of its release.'),
		arrivedOn: said(
			Type.Optional(Type.String({ format: 'date' })),
			'When its card arrived (ISO 8601); left out: not known.'
		),
		isVariant: said(
			Type.Optional(Type.Boolean()),
			'Whether it is a variant of the card before it; left out: no.'
		),
		isFilled: said(Type.Optional(Type.Boolean()), 'Whether its card is there; left out: no.'),
		format: said(Type.Optional(FormatSchema), 'What its card is made like.'),
		puzzle: said(
			Type.Optional(
				Type.Object(
					{
						key: said(Word, 'Names the picture.'),
						columns: said(
							Type.Integer({ minimum: 1, maximum: 50 }),
							'Cards of the picture beside each other.'
						),
						rows: said(
							Type.Integer({ minimum: 1, maximum: 50 }),
							'Cards of the picture above each other.'
						),
						place: said(
							Type.Optional(Type.Integer({ minimum: 1, maximum: 2500 })),
							'From 1, row by row; left out: as it comes.'
						)
					},
					closed
				)
			),
			'Its place in a picture.'
		)
	},
	closed
);

/** Slots, how they are laid, and what one has of one's own. */
export const planned = {
	slots: said(list(SlotSchema, 100_000), 'What is to be laid.'),
	layout: said(BinderLayoutSchema, 'How it is laid.'),
	rarities: said(
		Type.Optional(list(Word, 1000)),
		'Rarity classes in the order in which they are filed.'
	),
	pageKinds: said(Type.Optional(list(PageKindSchema, 100)), 'Page kinds besides the usual ones.'),
	binderKinds: said(
		Type.Optional(list(BinderKindSchema, 100)),
		'Binder kinds besides the usual ones.'
	)
};
export const PlanBinderInput = Type.Object(planned, closed);
export const PlanBinderOutput = Type.Object(
	{
		pages: said(
			Type.Array(
				Type.Object(
					{
						page: said(Nth, 'Number of the page, through all volumes.'),
						volume: said(Nth, 'Volume that it is in.'),
						pageInVolume: said(Nth, 'Number of the page in its volume.'),
						kind: said(Word, 'Key of its page kind.'),
						use: said(
							Type.Enum(['cards', 'backs', 'blank']),
							'cards: shows cards. backs: their backs. blank: nothing.'
						),
						blocks: said(Type.Array(Type.String()), 'Names of the blocks on it.'),
						opens: said(Type.Array(Whole), 'Pocket, from 0, in which each of them begins.'),
						pockets: said(
							Type.Array(Type.Union([Word, Type.Null()])),
							'Slot keys pocket by pocket; null: nothing.'
						),
						marks: said(
							Type.Array(
								Type.Object(
									{
										pocket: said(Whole, 'Which pocket, from 0.'),
										use: said(
											Type.Enum(['title', 'reserved', 'free']),
											'title: of a block. reserved: for missing cards. free: for what may still come.'
										),
										text: said(Type.Optional(Type.String()), 'The title.')
									},
									closed
								)
							),
							'Pockets that are kept for something.'
						)
					},
					closed
				)
			),
			'The pages, in order.'
		),
		volumes: said(
			Type.Array(
				Type.Object(
					{
						volume: said(Nth, 'Which one, from 1.'),
						leaves: said(Whole, 'Leaves in it.'),
						thicknessMm: said(
							Type.Number({ minimum: 0 }),
							'Thickness of its leaves when filled, in millimetres.'
						),
						isOverfull: said(Type.Boolean(), 'Whether that is more than its binder takes.')
					},
					closed
				)
			),
			'The volumes.'
		),
		leaves: said(Whole, 'Leaves in all.'),
		cardPages: said(Whole, 'Pages that show cards.'),
		emptyPockets: said(Whole, 'Pockets of those that nothing belongs in.'),
		blocks: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'Key of the block.'),
						name: said(Type.String(), 'What it is called.'),
						slots: said(Whole, 'Slots in it.')
					},
					closed
				)
			),
			'What lies together, in order; laid by subject or by hand there are none.'
		),
		broken: said(Type.Array(Type.String()), 'Blocks that lie in more than one volume.'),
		odd: said(
			Type.Array(
				Type.Object(
					{
						slot: said(Word, 'Key of the slot.'),
						kind: said(
							Type.Union([Word, Type.Null()]),
							'Key of the page kind it goes to; null: none takes it.'
						),
						why: said(
							Type.Enum(['loose', 'too large', 'too thick']),
							'loose: it slides about in the pocket. too large, too thick: it does not go in.'
						)
					},
					closed
				)
			),
			'Cards that the binder’s own pages do not take well.'
		),
		tooLarge: said(
			Type.Array(Type.String()),
			'Blocks whose picture is larger than two facing pages.'
		),
		leastPages: said(
			Type.Optional(Whole),
			'Of subject pages: none that splits no subject has fewer.'
		),
		isExact: said(
			Type.Optional(Type.Boolean()),
			'Of subject pages: whether it is certain that none has fewer than these.'
		)
	},
	closed
);

const LyingSchema = Type.Object(
	{ item: said(Word, 'Names a card.'), pocket: said(Word, 'Names a pocket.') },
	closed
);
const RunSchema = Type.Object(
	{
		pockets: said(list(Word, 200_000), 'Pockets of the section, in order.'),
		items: said(list(Word, 200_000), 'Cards that are to lie in them, in order.')
	},
	closed
);
export const PlanMovesInput = Type.Object(
	{
		now: said(list(LyingSchema, 200_000), 'How cards lie.'),
		target: said(Type.Optional(list(LyingSchema, 200_000)), 'Where cards must lie.'),
		runs: said(Type.Optional(list(RunSchema, 5000)), 'Sections in which blanks may stand anywhere.')
	},
	closed
);
const step = <Does extends string, Places extends TProperties>(
	does: Does,
	means: string,
	places: Places
) =>
	Type.Object(
		{ do: said(Type.Literal(does), means), item: said(Word, 'The card.'), ...places },
		closed
	);
const from = said(Word, 'The pocket it comes from.');
const to = said(Word, 'The pocket it goes to.');
export const PlanMovesOutput = Type.Object(
	{
		steps: said(
			Type.Array(
				Type.Union([
					step('move', 'From pocket to pocket.', { from, to }),
					step('take out', 'From a pocket to the tray.', { from }),
					step('hold', 'From a pocket into the hand.', { from }),
					step('put in', 'From the tray into a pocket.', { to }),
					step('lay down', 'From the hand into a pocket.', { to })
				])
			),
			'What the hand does, in order; one may stop after any step.'
		),
		stays: said(Whole, 'Cards that lie right.'),
		misplaced: said(Whole, 'Cards that lie in a wrong pocket.'),
		cycles: said(Whole, 'Rings of cards that change places, each with one card in the hand.'),
		putIn: said(Whole, 'Cards that come in.'),
		takenOut: said(Whole, 'Cards that go out.')
	},
	closed
);

export type PlanBinderRequest = Static<typeof PlanBinderInput>;
export type PlanMovesRequest = Static<typeof PlanMovesInput>;

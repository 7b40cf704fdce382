import { Type } from 'typebox';
import { SECTION_KINDS } from '../core/checklist/section.ts';
import { SWATCHES } from '../core/checklist/swatch.ts';
import { FormatSchema } from './card-format.ts';
import { CardSchema } from './checklist-card.ts';
import {
	CardNames,
	CardNameSchema,
	DifficultySchema,
	evidence,
	KeySchema,
	line,
	Note,
	NumberSchema,
	OddsByPack,
	PackTypeKeys,
	PrintRunSchema,
	SectionKeys
} from './checklist-words.ts';
import { TellSchema } from './telling.ts';
import { closed, said } from './vocabulary.ts';

export const SectionSchema = Type.Object(
	{
		key: said(Type.Optional(KeySchema), 'Names it in rules; left out: made of its name.'),
		name: said(line(200), 'What it is called.'),
		kind: said(
			Type.Optional(Type.Enum([...SECTION_KINDS])),
			'base: the common numbered cards. subset: lives in another numbering. insert: a checklist of its own, at odds. extra: promos, stickers, re-issues. Left out: base.'
		),
		numberedIn: said(
			Type.Optional(
				Type.String({
					minLength: 1,
					maxLength: 100
				})
			),
			'Key of the section whose numbering this one lives in; left out: its own.'
		),
		listed: said(
			Type.Optional(Type.Boolean()),
			'Whether the set’s own checklist card has it; extras: no.'
		),
		statedTotal: said(
			Type.Optional(Type.Integer({ minimum: 1, maximum: 100_000 })),
			'What the checklist card says.'
		),
		format: said(Type.Optional(FormatSchema), 'What its cards are made like.'),
		arrangement: said(
			Type.Optional(
				Type.Object(
					{
						kind: said(
							Type.Enum(['puzzle', 'strip']),
							'A picture to be laid, or a strip to be cut.'
						),
						columns: said(Type.Integer({ minimum: 1, maximum: 100 }), 'Cards beside each other.'),
						rows: said(Type.Integer({ minimum: 1, maximum: 100 }), 'Cards above each other.')
					},
					closed
				)
			),
			'How its cards lie together: a picture, or strips.'
		),
		edition: said(
			Type.Optional(
				Type.Object(
					{
						of: said(
							Type.Array(Type.String({ minLength: 1, maxLength: 100 }), {
								minItems: 1,
								maxItems: 500
							}),
							'The same cards as these sections.'
						),
						changes: said(
							Type.Optional(
								Type.Array(
									Type.Object(
										{
											card: said(CardNameSchema, 'The card of the original.'),
											number: said(
												Type.Optional(NumberSchema),
												'Its number here; left out: the same.'
											),
											title: said(Type.Optional(line(300)), 'Its title here; left out: the same.'),
											group: said(Type.Optional(line(200)), 'Its group here; left out: the same.')
										},
										closed
									),
									{ maxItems: 50_000 }
								)
							),
							'What is different on some of them.'
						),
						without: said(Type.Optional(CardNames), 'Cards of the original that it lacks.'),
						from: said(
							Type.Optional(NumberSchema),
							'The number of its first card, from which the others count on; left out: as the original’s.'
						)
					},
					closed
				)
			),
			'The same cards once more: a re-issue, a foreign edition.'
		),
		alsoIn: said(
			Type.Optional(SectionKeys),
			'Keys of other releases that have this section as well.'
		),
		printRun: said(Type.Optional(PrintRunSchema), 'Copies of each card, where they are numbered.'),
		series: said(
			Type.Optional(
				Type.Array(
					Type.Object(
						{
							name: said(line(60), 'What the part is called.'),
							from: said(NumberSchema, 'Its first number.'),
							to: said(NumberSchema, 'Its last number.')
						},
						closed
					),
					{
						maxItems: 50
					}
				)
			),
			'Parts of the numbering sold at different times.'
		),
		odds: said(Type.Optional(OddsByPack), 'How often a pack has a card of it.'),
		note: said(Type.Optional(Note), 'Anything else.'),
		...evidence,
		howToTell: said(
			Type.Optional(Type.String({ maxLength: 2000 })),
			'How its cards are told from those of other sections.'
		),
		difficulty: said(Type.Optional(DifficultySchema), 'By experience.'),
		onlyIn: said(Type.Optional(PackTypeKeys), 'Keys of the pack types in which alone it comes.'),
		takesPlaceOf: said(
			Type.Optional(Type.Union([Type.String({ minLength: 1, maxLength: 100 }), Type.Null()])),
			'Key of the section whose card it takes the place of in a pack; null: it comes on top; left out: of a usual card of the pack.'
		),
		swatch: said(
			Type.Optional(Type.Enum([...SWATCHES])),
			'Whether its base finish holds a swatch; left out: none is in question.'
		),
		noBaseFinish: said(
			Type.Optional(Type.Literal(true)),
			'There is no plain version: its cards exist in their parallels only.'
		),
		baseLook: said(Type.Optional(line(200)), 'What its base finish looks like.'),
		tells: said(
			Type.Optional(Type.Array(TellSchema, { minItems: 1, maxItems: 100 })),
			'What its cards show in their base finish: features by which they are told from others.'
		),
		lettering: said(
			Type.Optional(
				Type.Array(Type.Union([Type.String({ maxLength: 100 }), Type.Null()]), {
					minItems: 1,
					maxItems: 1000
				})
			),
			'Letters along the edge by place in the strip; "" where it is not known, null where there are none.'
		),
		cards: said(
			Type.Array(CardSchema, { maxItems: 50_000 }),
			'Its cards, in order; none for an edition without additions.'
		)
	},
	closed
);

import { Type } from 'typebox';
import { CARD_MARKS } from '../core/checklist/card.ts';
import { ORIGIN_KINDS } from '../core/checklist/card-details.ts';
import { FormatSchema } from './card-format.ts';
import {
	CardNameSchema,
	DifficultySchema,
	evidence,
	KeySchema,
	line,
	Note,
	NumberSchema,
	OddsByPack,
	PackTypeKeys
} from './checklist-words.ts';
import { closed, record, said } from './vocabulary.ts';

const CardRefs = Type.Array(
	Type.String({ minLength: 3, maxLength: 420, pattern: '^[^/]+/[^/]+$' }),
	{ minItems: 1, maxItems: 50 }
);

export const CardSchema = Type.Object(
	{
		key: said(
			Type.Optional(KeySchema),
			'What is owned hangs on it; left out: made of section and number.'
		),
		number: said(
			Type.Optional(Type.Union([NumberSchema, Type.Null()])),
			'As printed; null or left out: it bears none.'
		),
		otherNumbers: said(
			Type.Optional(Type.Array(NumberSchema, { maxItems: 10 })),
			'Further numbers on the same card.'
		),
		title: said(
			Type.Optional(Type.String({ maxLength: 300, pattern: '^[^\\u0000-\\u001f]*$' })),
			'What it is called; left out: nothing but its number.'
		),
		subjects: said(
			Type.Optional(Type.Array(line(200), { maxItems: 50 })),
			'Who or what it shows; left out: nothing is said.'
		),
		group: said(Type.Optional(line(200)), 'Team, place, theme: what it may be filed by.'),
		marks: said(
			Type.Optional(
				Type.Array(Type.Enum([...CARD_MARKS]), { maxItems: CARD_MARKS.length, uniqueItems: true })
			),
			'rookie: a first card. key: one of the dear ones. checklist: lists the set. short print: printed less.'
		),
		rarity: said(Type.Optional(line(60)), 'Its rarity class.'),
		place: said(
			Type.Optional(Type.Integer({ minimum: 1, maximum: 1000 })),
			'Place in the strip or picture, from 1.'
		),
		panelOf: said(
			Type.Optional(
				Type.Array(CardNameSchema, {
					minItems: 1,
					maxItems: 20
				})
			),
			'A panel: the single cards it comes apart into.'
		),
		...evidence,
		note: said(Type.Optional(Note), 'Anything else.'),
		origin: said(
			Type.Optional(
				Type.Object(
					{
						kind: said(Type.Enum([...ORIGIN_KINDS]), 'By what way it came.'),
						name: said(Type.Optional(line(200)), 'Which one: "Harbour Post 4/1994".'),
						date: said(
							Type.Optional(Type.String({ pattern: '^[0-9]{4}(-[0-9]{2}){0,2}$' })),
							'A day, a month or a year: 1994-05-17, 1994-05, 1994.'
						)
					},
					closed
				)
			),
			'Where it came from, where not out of packs.'
		),
		fixedProducts: said(
			Type.Optional(Type.Array(line(200), { minItems: 1, maxItems: 50 })),
			'Fixed products that hold it, so that it is cheap.'
		),
		onlyIn: said(Type.Optional(PackTypeKeys), 'Keys of the pack types in which alone it comes.'),
		tags: said(
			Type.Optional(
				record(
					Type.Array(line(100), { minItems: 1, maxItems: 100 }),
					50,
					'Family → words: { "role": ["keeper"] }'
				)
			),
			'Words by which it may be counted and chosen, in families.'
		),
		sortAs: said(Type.Optional(line(200)), 'What it is filed by where it bears no number.'),
		format: said(Type.Optional(FormatSchema), 'Where it is made otherwise than its section.'),
		odds: said(Type.Optional(OddsByPack), 'Where they are others than its section’s.'),
		difficulty: said(Type.Optional(DifficultySchema), 'By experience.'),
		sameAs: said(
			Type.Optional(CardRefs),
			'Cards that cannot be told from it: "release/card", of this release or others.'
		),
		samePictureAs: said(Type.Optional(CardRefs), 'Cards with the same picture: "release/card".')
	},
	closed
);

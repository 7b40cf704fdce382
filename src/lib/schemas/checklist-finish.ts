import { Type } from 'typebox';
import { SWATCHES } from '../core/checklist/swatch.ts';
import { VARIANT_KIND_NAMES, VARIANT_KINDS } from '../core/checklist/variant.ts';
import {
	CardNameSchema,
	evidence,
	KeySchema,
	line,
	OddsByPack,
	PrintRunSchema,
	SectionKeys,
	selector
} from './checklist-words.ts';
import { TellSchema } from './telling.ts';
import { closed, Count, modes, said } from './vocabulary.ts';

export const ParallelSchema = Type.Object(
	{
		key: said(Type.Optional(KeySchema), 'Names it in versions; left out: made of its name.'),
		name: said(line(100), 'What it is called.'),
		channel: said(Type.Optional(line(100)), 'Where alone it comes from.'),
		look: said(Type.Optional(line(300)), 'What it looks like.'),
		howToTell: said(Type.Optional(Type.String({ maxLength: 2000 })), 'How it is known.'),
		tells: said(
			Type.Optional(Type.Array(TellSchema, { minItems: 1, maxItems: 100 })),
			'What its cards show, instead of what those of their section do.'
		),
		palette: said(
			Type.Optional(KeySchema),
			'Key of the finish of the palette that it is, entered once for all releases that have it.'
		),
		isBaseFinish: said(
			Type.Optional(Type.Literal(true, {})),
			'A second base finish, not a rarer one.'
		),
		stockPt: said(
			Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 1000 })),
			'Thickness in points; left out: the section’s.'
		),
		shape: said(Type.Optional(line(60)), 'Shape, where it is another.'),
		runs: said(
			Type.Array(
				Type.Object(
					{
						...selector,
						...evidence,
						printRun: said(
							Type.Optional(PrintRunSchema),
							'Copies of each card, where they are numbered.'
						),
						odds: said(Type.Optional(OddsByPack), 'How often a pack has one.'),
						channel: said(Type.Optional(line(100)), 'Where alone these come from.'),
						swatch: said(
							Type.Optional(Type.Enum([...SWATCHES])),
							'Whether these hold a swatch: with, without, or not known yet.'
						),
						notIssued: said(
							Type.Optional(Type.Literal(true)),
							'An exception: these were not made in this finish.'
						)
					},
					closed
				),
				{ minItems: 1, maxItems: 5000 }
			),
			'Of which cards it was made; the narrowest rule wins.'
		)
	},
	closed
);

export const VariantSchema = Type.Object(
	{
		...selector,
		...evidence,
		key: said(Type.Optional(KeySchema), 'Names it in versions; left out: made of its name.'),
		kind: said(Type.Enum(VARIANT_KIND_NAMES), modes(VARIANT_KINDS)),
		name: said(line(200), 'What it is called: "home town", "red line".'),
		regularName: said(
			Type.Optional(line(200)),
			'What the regular card is called beside it: "blue line".'
		),
		howToTell: said(Type.Optional(Type.String({ maxLength: 2000 })), 'How it is known.'),
		tells: said(
			Type.Optional(Type.Array(TellSchema, { minItems: 1, maxItems: 100 })),
			'What it shows, instead of what the regular card does.'
		),
		printRun: said(Type.Optional(PrintRunSchema), 'Copies of each, where they are numbered.'),
		odds: said(Type.Optional(OddsByPack), 'How often a pack has one.'),
		inParallels: said(
			Type.Optional(SectionKeys),
			'Keys of parallels in which it exists as well; left out: in base only.'
		),
		finishes: said(
			Type.Optional(
				Type.Array(
					Type.Object(
						{
							parallel: said(Type.String({ minLength: 1, maxLength: 100 }), 'Key of the parallel.'),
							printRun: said(Type.Optional(PrintRunSchema), 'Copies of each in this finish.'),
							odds: said(Type.Optional(OddsByPack), 'How often a pack has one in this finish.')
						},
						closed
					),
					{ minItems: 1, maxItems: 500 }
				)
			),
			'Its run and odds in parallels, where they are told of it apart.'
		),
		believed: said(
			Type.Optional(
				Type.Object(
					{
						least: said(Count, 'So many at least, the known ones included.'),
						most: said(Type.Optional(Count), 'So many at the most; left out: as many.')
					},
					closed
				)
			),
			'How many of its kind are believed to exist; what is not known has no slot.'
		),
		mirrors: said(Type.Optional(CardNameSchema), 'The card that has the other half of the error.'),
		earns: said(
			Type.Optional(CardNameSchema),
			'Of a piece: the card that a full set of pieces earns.'
		)
	},
	closed
);

import { Type, type Static } from 'typebox';
import { CARD_MARKS } from '../core/checklist/card.ts';
import type { ReleaseDraft } from '../core/checklist/draft.ts';
import { CONFIDENCES } from '../core/checklist/confidence.ts';
import { SWATCHES } from '../core/checklist/parallel.ts';
import { SECTION_KINDS } from '../core/checklist/section.ts';
import { VARIANT_KIND_NAMES, VARIANT_KINDS } from '../core/checklist/variant.ts';
import { FormatSchema } from './card-format.ts';
import { closed, modes, said } from './vocabulary.ts';

/** One line of text: no control characters, so that a pasted file cannot end up in a title. */
const line = (longest: number, description?: string) =>
	Type.String({
		minLength: 1,
		maxLength: longest,
		pattern: '^[^\\u0000-\\u001f]*$',
		...(description ? { description } : {})
	});

const KeySchema = Type.String({
	minLength: 1,
	maxLength: 100,
	pattern: '^[\\p{Ll}\\p{Lo}\\p{Lm}\\p{N}][\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]*$',
	description: 'Small letters, digits, hyphens and dots.'
});

const OddsSchema = Type.String({
	pattern: '^[1-9][0-9]{0,3}:[1-9][0-9]{0,5}$',
	description: 'Cards : packs, as a pack states them; "1:6" is one in six packs.'
});

const NumberSchema = line(24, 'As printed: "12", "F1", "2-14".');
const PrintRunSchema = Type.Integer({ minimum: 1, maximum: 10_000_000 });
const CardNameSchema = line(
	300,
	'A card as people call it: its number, or its title where it has none.'
);
const CardNames = Type.Array(CardNameSchema, { maxItems: 50_000 });
const SectionKeys = Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { maxItems: 500 });
const OddsByPack = Type.Record(KeySchema, OddsSchema, {
	maxProperties: 50,
	description: 'Pack type → odds'
});

/** Which cards a rule is about: of these sections (or all), a range, or single ones. */
const selector = {
	sections: said(
		Type.Optional(
			Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { minItems: 1, maxItems: 500 })
		),
		'Keys of sections; left out: all.'
	),
	from: said(Type.Optional(NumberSchema), 'First number of a range; left out: the first there is.'),
	to: said(Type.Optional(NumberSchema), 'Last number of a range; left out: the last there is.'),
	cards: said(
		Type.Optional(Type.Array(CardNameSchema, { minItems: 1, maxItems: 50_000 })),
		'Single cards; left out: all that the rest names.'
	)
};
const evidence = {
	confidence: said(
		Type.Optional(Type.Enum([...CONFIDENCES])),
		'How sure it is; left out: nothing is said.'
	),
	source: said(Type.Optional(Type.String({ maxLength: 2000 })), 'Where that is known from.')
};

const CardSchema = Type.Object(
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
		)
	},
	closed
);

const SectionSchema = Type.Object(
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
						without: said(Type.Optional(CardNames), 'Cards of the original that it lacks.')
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
		note: said(Type.Optional(Type.String({ maxLength: 5000 })), 'Anything else.'),
		cards: said(
			Type.Array(CardSchema, { maxItems: 50_000 }),
			'Its cards, in order; none for an edition without additions.'
		)
	},
	closed
);

const PackTypeSchema = Type.Object(
	{
		key: said(Type.Optional(KeySchema), 'Names it in odds; left out: made of its name.'),
		name: said(line(100), 'What it is called: hobby, retail.'),
		packsPerBox: said(
			Type.Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
			'Packs in a box.'
		),
		cardsPerPack: said(
			Type.Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
			'Cards in a pack.'
		),
		priceMinor: said(
			Type.Optional(Type.Integer({ minimum: 0, maximum: 1e12 })),
			'Of one pack, in minor units.'
		),
		currency: said(Type.Optional(Type.String({ pattern: '^[A-Z]{3}$' })), 'ISO 4217: EUR.')
	},
	closed
);

const ParallelSchema = Type.Object(
	{
		key: said(Type.Optional(KeySchema), 'Names it in versions; left out: made of its name.'),
		name: said(line(100), 'What it is called.'),
		channel: said(Type.Optional(line(100)), 'Where alone it comes from.'),
		howToTell: said(Type.Optional(Type.String({ maxLength: 2000 })), 'How it is known.'),
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
		howToTell: said(Type.Optional(Type.String({ maxLength: 2000 })), 'How it is known.'),
		printRun: said(Type.Optional(PrintRunSchema), 'Copies of each, where they are numbered.'),
		odds: said(Type.Optional(OddsByPack), 'How often a pack has one.'),
		inParallels: said(
			Type.Optional(SectionKeys),
			'Keys of parallels in which it exists as well; left out: in base only.'
		),
		mirrors: said(Type.Optional(CardNameSchema), 'The card that has the other half of the error.'),
		earns: said(
			Type.Optional(CardNameSchema),
			'Of a piece: the card that a full set of pieces earns.'
		)
	},
	closed
);

/** A checklist file: a release with its sections, cards and parallels. */
export const ChecklistSchema = Type.Object(
	{
		$schema: said(
			Type.Optional(Type.String({ maxLength: 200 })),
			'Where this schema is published.'
		),
		format: said(Type.Literal('jade-checklist'), 'Says that this is a checklist.'),
		formatVersion: said(Type.Literal(1), 'The version of the format.'),
		release: said(
			Type.Object(
				{
					key: said(
						Type.Optional(KeySchema),
						'Names it in versions and addresses; left out: made of name and year.'
					),
					name: said(line(200), 'What it is called.'),
					maker: said(line(200), 'Who made it.'),
					year: said(
						Type.String({
							pattern: '^[0-9]{4}(-[0-9]{2,4})?$'
						}),
						'A year or a season: "1994", "1994-95".'
					),
					theme: said(
						Type.Optional(
							Type.String({
								minLength: 1,
								maxLength: 60
							})
						),
						'Sport, film, game: what boxes may be ordered by.'
					),
					note: said(Type.Optional(Type.String({ maxLength: 5000 })), 'Anything else.')
				},
				closed
			),
			'The release itself.'
		),
		packTypes: said(
			Type.Optional(Type.Array(PackTypeSchema, { maxItems: 50 })),
			'In what it was sold.'
		),
		rarities: said(
			Type.Optional(
				Type.Array(line(60), {
					maxItems: 100,
					uniqueItems: true
				})
			),
			'Rarity classes in the order in which they are filed; left out: as cards name them.'
		),
		sections: said(
			Type.Array(SectionSchema, { minItems: 1, maxItems: 500 }),
			'Its sections, in order.'
		),
		parallels: said(
			Type.Optional(Type.Array(ParallelSchema, { maxItems: 500 })),
			'Its parallels, in order.'
		),
		variants: said(
			Type.Optional(Type.Array(VariantSchema, { maxItems: 50_000 })),
			'How single cards deviate.'
		)
	},
	{
		$schema: 'https://json-schema.org/draft/2020-12/schema',
		$id: 'urn:jade-binder:schema:checklist:1',
		title: 'Jade Binder checklist',
		...closed
	}
);

/** The same inside another document; without the file schema's identity, which may stand only once. */
export const ChecklistBodySchema = Type.Object(ChecklistSchema.properties, closed);

export type ChecklistFile = Static<typeof ChecklistSchema>;

/** The file's type and the core's draft must not drift apart: this line fails to compile if they do. */
export const asDraft = (file: ChecklistFile): ReleaseDraft => file;

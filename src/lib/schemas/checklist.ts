import { Type, type Static } from 'typebox';
import { CARD_MARKS } from '../core/checklist/card.ts';
import type { ReleaseDraft } from '../core/checklist/draft.ts';
import { CONFIDENCES } from '../core/checklist/confidence.ts';
import { SWATCHES } from '../core/checklist/parallel.ts';
import { SECTION_KINDS } from '../core/checklist/section.ts';
import { VARIANT_KIND_NAMES } from '../core/checklist/variant.ts';
import { FormatSchema } from './card-format.ts';
import { closed } from './vocabulary.ts';

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
	sections: Type.Optional(
		Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { minItems: 1, maxItems: 500 })
	),
	from: Type.Optional(NumberSchema),
	to: Type.Optional(NumberSchema),
	cards: Type.Optional(Type.Array(CardNameSchema, { minItems: 1, maxItems: 50_000 }))
};
const evidence = {
	confidence: Type.Optional(Type.Enum([...CONFIDENCES])),
	source: Type.Optional(Type.String({ maxLength: 2000 }))
};

const CardSchema = Type.Object(
	{
		key: Type.Optional(KeySchema),
		number: Type.Optional(Type.Union([NumberSchema, Type.Null()])),
		otherNumbers: Type.Optional(
			Type.Array(NumberSchema, { maxItems: 10, description: 'Further numbers on the same card.' })
		),
		title: Type.Optional(Type.String({ maxLength: 300, pattern: '^[^\\u0000-\\u001f]*$' })),
		subjects: Type.Optional(Type.Array(line(200), { maxItems: 50 })),
		group: Type.Optional(line(200)),
		marks: Type.Optional(
			Type.Array(Type.Enum([...CARD_MARKS]), { maxItems: CARD_MARKS.length, uniqueItems: true })
		),
		rarity: Type.Optional(line(60)),
		place: Type.Optional(
			Type.Integer({ minimum: 1, maximum: 1000, description: 'Place in the strip or picture.' })
		),
		panelOf: Type.Optional(
			Type.Array(CardNameSchema, {
				minItems: 1,
				maxItems: 20,
				description: 'A panel: the single cards it comes apart into.'
			})
		)
	},
	closed
);

const SectionSchema = Type.Object(
	{
		key: Type.Optional(KeySchema),
		name: line(200),
		kind: Type.Optional(Type.Enum([...SECTION_KINDS])),
		numberedIn: Type.Optional(
			Type.String({
				minLength: 1,
				maxLength: 100,
				description: 'Key of the section whose numbering this one lives in.'
			})
		),
		listed: Type.Optional(
			Type.Boolean({ description: "Whether the set's own checklist card has it; extras: no." })
		),
		statedTotal: Type.Optional(
			Type.Integer({ minimum: 1, maximum: 100_000, description: 'What the checklist card says.' })
		),
		format: Type.Optional(FormatSchema),
		arrangement: Type.Optional(
			Type.Object(
				{
					kind: Type.Enum(['puzzle', 'strip']),
					columns: Type.Integer({ minimum: 1, maximum: 100 }),
					rows: Type.Integer({ minimum: 1, maximum: 100 })
				},
				closed
			)
		),
		edition: Type.Optional(
			Type.Object(
				{
					of: Type.Array(Type.String({ minLength: 1, maxLength: 100 }), {
						minItems: 1,
						maxItems: 500,
						description: 'The same cards as these sections.'
					}),
					changes: Type.Optional(
						Type.Array(
							Type.Object(
								{
									card: CardNameSchema,
									number: Type.Optional(NumberSchema),
									title: Type.Optional(line(300)),
									group: Type.Optional(line(200))
								},
								closed
							),
							{ maxItems: 50_000 }
						)
					),
					without: Type.Optional(CardNames)
				},
				closed
			)
		),
		alsoIn: Type.Optional(SectionKeys),
		printRun: Type.Optional(PrintRunSchema),
		series: Type.Optional(
			Type.Array(Type.Object({ name: line(60), from: NumberSchema, to: NumberSchema }, closed), {
				maxItems: 50,
				description: 'Parts of the numbering sold at different times.'
			})
		),
		odds: Type.Optional(OddsByPack),
		note: Type.Optional(Type.String({ maxLength: 5000 })),
		cards: Type.Array(CardSchema, { maxItems: 50_000 })
	},
	closed
);

const PackTypeSchema = Type.Object(
	{
		key: Type.Optional(KeySchema),
		name: line(100),
		packsPerBox: Type.Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
		cardsPerPack: Type.Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
		priceMinor: Type.Optional(
			Type.Integer({ minimum: 0, maximum: 1e12, description: 'Of one pack, in minor units.' })
		),
		currency: Type.Optional(Type.String({ pattern: '^[A-Z]{3}$', description: 'ISO 4217' }))
	},
	closed
);

const ParallelSchema = Type.Object(
	{
		key: Type.Optional(KeySchema),
		name: line(100),
		channel: Type.Optional(line(100)),
		howToTell: Type.Optional(Type.String({ maxLength: 2000 })),
		isBaseFinish: Type.Optional(
			Type.Literal(true, { description: 'A second base finish, not a rarer one.' })
		),
		stockPt: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 1000 })),
		shape: Type.Optional(line(60)),
		runs: Type.Array(
			Type.Object(
				{
					...selector,
					...evidence,
					printRun: Type.Optional(PrintRunSchema),
					odds: Type.Optional(OddsByPack),
					channel: Type.Optional(line(100)),
					swatch: Type.Optional(Type.Enum([...SWATCHES])),
					notIssued: Type.Optional(Type.Literal(true))
				},
				closed
			),
			{ minItems: 1, maxItems: 5000 }
		)
	},
	closed
);

export const VariantSchema = Type.Object(
	{
		...selector,
		...evidence,
		key: Type.Optional(KeySchema),
		kind: Type.Enum(VARIANT_KIND_NAMES),
		name: line(200),
		howToTell: Type.Optional(Type.String({ maxLength: 2000 })),
		printRun: Type.Optional(PrintRunSchema),
		odds: Type.Optional(OddsByPack),
		inParallels: Type.Optional(SectionKeys),
		mirrors: Type.Optional(CardNameSchema),
		earns: Type.Optional(CardNameSchema)
	},
	closed
);

/** A checklist file: a release with its sections, cards and parallels. */
export const ChecklistSchema = Type.Object(
	{
		$schema: Type.Optional(Type.String({ maxLength: 200 })),
		format: Type.Literal('jade-checklist'),
		formatVersion: Type.Literal(1),
		release: Type.Object(
			{
				key: Type.Optional(KeySchema),
				name: line(200),
				maker: line(200),
				year: Type.String({
					pattern: '^[0-9]{4}(-[0-9]{2,4})?$',
					description: 'A year or a season: "1994", "1994-95".'
				}),
				theme: Type.Optional(
					Type.String({
						minLength: 1,
						maxLength: 60,
						description: 'Sport, film, game: what boxes may be ordered by.'
					})
				),
				note: Type.Optional(Type.String({ maxLength: 5000 }))
			},
			closed
		),
		packTypes: Type.Optional(Type.Array(PackTypeSchema, { maxItems: 50 })),
		rarities: Type.Optional(
			Type.Array(line(60), {
				maxItems: 100,
				uniqueItems: true,
				description: 'Rarity classes in the order in which they are filed.'
			})
		),
		sections: Type.Array(SectionSchema, { minItems: 1, maxItems: 500 }),
		parallels: Type.Optional(Type.Array(ParallelSchema, { maxItems: 500 })),
		variants: Type.Optional(Type.Array(VariantSchema, { maxItems: 50_000 }))
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

import { Type, type Static } from 'typebox';
import { COLLECTIBLE_KINDS } from '../core/checklist/beside-cards.ts';
import type { ReleaseDraft } from '../core/checklist/draft/draft.ts';
import { ParallelSchema, VariantSchema } from './checklist-finish.ts';
import { SectionSchema } from './checklist-section.ts';
import { KeySchema, line, Note } from './checklist-words.ts';
import { closed, said } from './vocabulary.ts';

const GuaranteedKeys = Type.Optional(
	Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { minItems: 1, maxItems: 50 })
);

const GuaranteeSchema = Type.Object(
	{
		count: said(Type.Integer({ minimum: 1, maximum: 10_000 }), 'So many in every box.'),
		sections: said(GuaranteedKeys, 'Keys of the sections; a card of any, in its base finish.'),
		parallels: said(GuaranteedKeys, 'Keys of the parallels; a card in any of these finishes.')
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
		boxesPerCase: said(
			Type.Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
			'Boxes in a case.'
		),
		cardsPerPack: said(
			Type.Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
			'Cards in a pack.'
		),
		form: said(Type.Optional(line(100)), 'What it is: wrapper, blister, tin.'),
		packs: said(
			Type.Optional(
				Type.Array(
					Type.Object(
						{
							packType: said(KeySchema, 'Key of the pack type.'),
							count: said(Type.Integer({ minimum: 1, maximum: 10_000 }), 'So many of it.')
						},
						closed
					),
					{ minItems: 1, maxItems: 20 }
				)
			),
			'A format made of packs of other kinds: two ordinary and a bonus pack.'
		),
		guarantees: said(
			Type.Optional(Type.Array(GuaranteeSchema, { minItems: 1, maxItems: 20 })),
			'What every box holds for certain: two inserts, a signed card.'
		),
		priceMinor: said(
			Type.Optional(Type.Integer({ minimum: 0, maximum: 1e12 })),
			'Of one pack, in minor units.'
		),
		currency: said(Type.Optional(Type.String({ pattern: '^[A-Z]{3}$' })), 'ISO 4217: EUR.')
	},
	closed
);

const CollectibleSchema = Type.Object(
	{
		key: said(Type.Optional(KeySchema), 'Left out: made of its name.'),
		kind: said(Type.Enum([...COLLECTIBLE_KINDS]), 'What it is.'),
		name: said(line(200), 'What it is called.'),
		note: said(Type.Optional(Note), 'Anything else.')
	},
	closed
);

const HuntSchema = Type.Object(
	{
		key: said(Type.Optional(KeySchema), 'Left out: made of its name.'),
		name: said(line(200), 'What is suspected.'),
		section: said(
			Type.Optional(Type.String({ minLength: 1, maxLength: 100 })),
			'Key of the section it would belong to.'
		),
		note: said(Type.Optional(Note), 'Anything else.'),
		source: said(Type.Optional(Type.String({ maxLength: 2000 })), 'Who says so.'),
		lastLooked: said(
			Type.Optional(Type.String({ format: 'date' })),
			'The day on which it was last looked for.'
		),
		lookedWhere: said(Type.Optional(line(200)), 'Where it was looked for then.')
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
		formatVersion: said(
			Type.Enum([1, 2]),
			'The version of the format: 2, or 1 of files that were written before it.'
		),
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
		),
		collectibles: said(
			Type.Optional(Type.Array(CollectibleSchema, { minItems: 1, maxItems: 1000 })),
			'What is collected beside the cards; in no goal of cards.'
		),
		hunts: said(
			Type.Optional(Type.Array(HuntSchema, { minItems: 1, maxItems: 1000 })),
			'Things suspected to exist, to be looked for.'
		)
	},
	{
		$schema: 'https://json-schema.org/draft/2020-12/schema',
		$id: 'urn:jade-binder:schema:checklist:2',
		title: 'Jade Binder checklist',
		...closed
	}
);

/** The same inside another document; without the file schema's identity, which may stand only once. */
export const ChecklistBodySchema = Type.Object(ChecklistSchema.properties, closed);

export type ChecklistFile = Static<typeof ChecklistSchema>;

/** The file's type and the core's draft must not drift apart: this line fails to compile if they do. */
export const asDraft = (file: ChecklistFile): ReleaseDraft => file;

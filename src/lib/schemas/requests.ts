import { PHOTO_SIDES } from '../core/copies/photo-side.ts';
import { Type, type TSchema } from 'typebox';
import { CARD_MARKS } from '../core/checklist/card.ts';
import { COPY_STATUSES } from '../core/copies/copy-record.ts';
import { MOST_COPIES, LONGEST_LINE } from '../core/shorthand/parse-entry-line.ts';
import { VersionKeySchema } from './compute.ts';
import { ConditionSchema, GoalRulesSchema } from './goal-rules.ts';
import { closed, idOf, record } from './vocabulary.ts';

const Key = Type.Union([Type.String({ minLength: 1, maxLength: 100 }), Type.Null()]);

/** An entry line to apply: `POST /api/releases/{release}/log`. */
export const EntrySchema = Type.Object(
	{
		line: Type.String({ maxLength: LONGEST_LINE }),
		numbering: Key,
		parallel: Key,
		condition: Type.Optional(ConditionSchema),
		pile: Type.Optional(idOf('tray_piles', 'Id of a pile to log: so many cards leave it.'))
	},
	closed
);

/** How many copies there shall be of some versions: `PUT /api/releases/{release}/owned`. */
export const OwnedSchema = Type.Object(
	{
		changes: Type.Array(
			Type.Object(
				{
					version: VersionKeySchema,
					quantity: Type.Integer({ minimum: 0, maximum: MOST_COPIES }),
					was: Type.Optional(
						Type.Integer({
							minimum: 0,
							maximum: 1_000_000_000,
							description:
								'How many were seen: the difference is what is changed, so that nothing done meanwhile is lost. Left out: the count is set.'
						})
					)
				},
				closed
			),
			{ minItems: 1, maxItems: 50_000 }
		),
		condition: Type.Optional(ConditionSchema)
	},
	closed
);

const CardKeySchema = Type.String({ minLength: 1, maxLength: 200 });
const Text = (maxLength: number) => Type.String({ maxLength, pattern: '^[^\\u0000-\\u001f]*$' });

/** Fields of a card's line, and cells of what is known beside it. */
const CardLineFields = {
	number: Type.Optional(Text(24)),
	title: Type.Optional(Text(300)),
	group: Type.Optional(Text(200)),
	rarity: Type.Optional(Text(60)),
	subjects: Type.Optional(Type.Array(Text(200), { maxItems: 50 })),
	marks: Type.Optional(
		Type.Array(Type.Enum([...CARD_MARKS]), {
			maxItems: CARD_MARKS.length,
			uniqueItems: true
		})
	),
	record: Type.Optional(record(Text(20_000), 60, 'Column → what its cell says'))
};

/** Edits of cards: `PUT /api/releases/{release}/cards`. */
export const CardEditsSchema = Type.Object(
	{
		change: Type.Array(
			Type.Object(
				{
					card: CardKeySchema,
					...CardLineFields,
					seen: Type.Optional(Type.Object(CardLineFields, closed))
				},
				closed
			),
			{ maxItems: 50_000 }
		),
		remove: Type.Array(CardKeySchema, { maxItems: 50_000 }),
		add: Type.Array(
			Type.Object({ section: CardKeySchema, number: Text(24), title: Text(300) }, closed),
			{ maxItems: 5000 }
		)
	},
	closed
);

/** Which side of its card a photo shows. */
export const PhotoChangeSchema = Type.Object({ side: Type.Enum([...PHOTO_SIDES]) }, closed);

const SheetRowsSchema = Type.Array(
	Type.Object(
		{
			key: Type.String({ maxLength: 200 }),
			cells: record(Text(20_000), 60, 'Column → what its cell says')
		},
		closed
	),
	{ maxItems: 10_000 }
);

const SheetFields = {
	sections: SheetRowsSchema,
	parallels: SheetRowsSchema,
	runs: SheetRowsSchema,
	variants: SheetRowsSchema,
	packTypes: Type.Optional(SheetRowsSchema)
};

/** The rules of a release as rows of text: `PUT /api/releases/{release}/rules`. */
export const RuleSheetSchema = Type.Object(
	{
		...SheetFields,
		/** What the window saw when it began: what another one wrote meanwhile is kept, or told. */
		seen: Type.Optional(Type.Object(SheetFields, closed))
	},
	closed
);

/** A goal to be made or decided anew: `POST /api/goals`, `PUT /api/goals/{goal}`. */
export const GoalRequestSchema = Type.Object(
	{
		release: CardKeySchema,
		name: Type.Optional(Text(200)),
		rules: GoalRulesSchema,
		/** What the window saw when it began: what another one decided meanwhile is kept, or told. */
		seen: Type.Optional(Type.Object({ name: Text(200), rules: GoalRulesSchema }, closed))
	},
	closed
);

const Maybe = <Schema extends TSchema>(schema: Schema) =>
	Type.Optional(Type.Union([schema, Type.Null()]));
const Money = Maybe(Type.Integer({ minimum: 0, maximum: 2_000_000_000 }));
const Day = Maybe(Type.String({ format: 'date', description: 'Write a date as 1994-10-05.' }));

/** What is known of a copy; null takes a field away. */
const CopyFieldsSchema = Type.Object(
	{
		quantity: Type.Optional(Type.Integer({ minimum: 1, maximum: MOST_COPIES })),
		condition: Maybe(ConditionSchema),
		grade: Maybe(Type.Number({ minimum: 1, maximum: 10 })),
		isAuthentic: Type.Optional(Type.Boolean()),
		qualifier: Maybe(Text(40)),
		house: Maybe(Text(60)),
		certificate: Maybe(Text(60)),
		serial: Maybe(Text(20)),
		attributes: Type.Optional(Type.Array(Text(60), { maxItems: 30 })),
		alsoVariants: Type.Optional(Type.Array(Text(100), { maxItems: 20 })),
		isPrintingUnseen: Type.Optional(Type.Boolean()),
		status: Type.Optional(Type.Enum([...COPY_STATUSES])),
		costMinor: Money,
		valueMinor: Money,
		currency: Maybe(Type.String({ pattern: '^[A-Z]{3}$', description: 'Write EUR, for example.' })),
		valueSource: Maybe(Text(200)),
		valueOn: Day,
		source: Maybe(Text(200)),
		acquiredOn: Day,
		place: Maybe(Text(200)),
		holder: Maybe(Text(100)),
		note: Maybe(Type.String({ maxLength: 5000 }))
	},
	closed
);
/** The same for cards of which it is known how many: `PATCH /api/pile/{card}`. */
export const CardFieldsSchema = Type.Omit(CopyFieldsSchema, ['quantity'], closed);
/** A copy to be recorded: `POST /api/copies`. */
export const NewCopySchema = Type.Object(
	{ version: VersionKeySchema, fields: CopyFieldsSchema },
	closed
);
/** A copy to be changed: `PUT /api/copies/{copy}`. */
export const CopyEditSchema = Type.Object(
	{ version: Type.Optional(VersionKeySchema), fields: CopyFieldsSchema },
	closed
);

/** An answer of the trainer: `POST /api/trainer`. */
export const PractiseSchema = Type.Object(
	{
		first: Type.String({ minLength: 1, maxLength: 420 }),
		second: Type.String({ minLength: 1, maxLength: 420 }),
		isRight: Type.Boolean()
	},
	closed
);

/** A word of the entry line: `PUT /api/synonyms`. */
export const SynonymSchema = Type.Object({ word: Text(60), means: Text(200) }, closed);

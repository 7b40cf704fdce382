import { Type, type Static } from 'typebox';
import { SWATCHES } from '../core/checklist/parallel.ts';
import { LONGEST_LINE } from '../core/shorthand/parse-entry-line.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { ConditionSchema } from './goal-rules.ts';
import { closed, list, record, Whole, Word } from './vocabulary.ts';

export const VersionKeySchema = Type.String({
	maxLength: 420,
	pattern:
		'^[\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+/[\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+(~[\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+)?(![\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+)?$',
	description: 'release "/" card [ "~" parallel ] [ "!" variant ]'
});
const Quantity = Type.Integer({ minimum: 1, maximum: 1_000_000 });

export const ProblemSchema = Type.Object({
	message: Type.String(),
	remedy: Type.Optional(Type.String()),
	pointer: Type.Optional(Type.String()),
	field: Type.Optional(Type.String()),
	line: Type.Optional(Whole),
	column: Type.Optional(Whole),
	start: Type.Optional(Whole),
	end: Type.Optional(Whole)
});

export const ExpandInput = Type.Object({ checklist: ChecklistBodySchema }, closed);
export const VersionSchema = Type.Object(
	{
		key: VersionKeySchema,
		cardKey: Word,
		sectionKey: Word,
		numberingKey: Word,
		parallelKey: Type.Union([Word, Type.Null()]),
		variantKey: Type.Union([Word, Type.Null()]),
		printRun: Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
		estimatedRun: Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
		swatch: Type.Union([Type.Enum([...SWATCHES]), Type.Null()])
	},
	closed
);
export const ExpandOutput = Type.Object(
	{ release: Type.String(), versions: Type.Array(VersionSchema) },
	closed
);

const SlotSchema = Type.Object(
	{
		key: Word,
		versions: Type.Array(Word, { minItems: 1, maxItems: 1000 }),
		leastCondition: Type.Optional(ConditionSchema),
		needs: Type.Optional(Type.Array(Word, { maxItems: 50 })),
		quantity: Type.Optional(Quantity),
		tier: Type.Optional(Type.Integer({ minimum: 0, maximum: 1_000_000 }))
	},
	closed
);
const CopySchema = Type.Object(
	{
		key: Word,
		version: Word,
		quantity: Type.Optional(Quantity),
		condition: Type.Optional(ConditionSchema),
		grade: Type.Optional(Type.Number({ minimum: 1, maximum: 10, multipleOf: 0.5 })),
		isAuthentic: Type.Optional(Type.Boolean()),
		attributes: Type.Optional(Type.Array(Word, { maxItems: 50 })),
		heldIn: Type.Optional(Word)
	},
	closed
);
export const FillInput = Type.Object(
	{ slots: list(SlotSchema, 100_000), copies: list(CopySchema, 100_000) },
	closed
);
export const FillOutput = Type.Object(
	{
		placements: Type.Array(Type.Object({ slot: Word, copy: Word }, closed)),
		missing: Type.Array(Type.Object({ slot: Word, quantity: Quantity }, closed)),
		spares: Type.Array(Type.Object({ copy: Word, quantity: Quantity }, closed)),
		outside: Type.Array(Word)
	},
	closed
);

export const ShorthandInput = Type.Object(
	{
		checklist: ChecklistBodySchema,
		line: Type.String({ maxLength: LONGEST_LINE }),
		numbering: Type.Optional(Type.Union([Word, Type.Null()])),
		parallel: Type.Optional(Type.Union([Word, Type.Null()])),
		condition: Type.Optional(ConditionSchema),
		owned: Type.Optional(record(Whole, 200_000, 'Version key → copies')),
		synonyms: Type.Optional(
			record(Type.String({ maxLength: 200 }), 2000, 'Word → the words it stands for')
		)
	},
	closed
);
/** A stretch of the line, in UTF-16 units from 0; `end` is behind the last one. */
const SpanSchema = Type.Object({ start: Whole, end: Whole }, closed);

export const ShorthandOutput = Type.Object(
	{
		form: Type.Enum(['list', 'all-but']),
		changes: Type.Array(
			Type.Object({ version: VersionKeySchema, before: Whole, after: Whole }, closed)
		),
		additions: Type.Array(
			Type.Object(
				{
					version: VersionKeySchema,
					quantity: Quantity,
					condition: Type.Optional(ConditionSchema),
					serial: Type.Optional(Word),
					place: Type.Optional(Word)
				},
				closed
			)
		),
		unchanged: Whole,
		problems: Type.Array(ProblemSchema),
		notes: Type.Array(ProblemSchema),
		reaches: Type.Array(
			Type.Object(
				{ words: Type.Array(SpanSchema), items: Type.Array(SpanSchema), cards: Whole },
				closed
			)
		),
		narrow: Type.Optional(Type.String())
	},
	closed
);

export type ExpandRequest = Static<typeof ExpandInput>;
export type FillRequest = Static<typeof FillInput>;
export type ShorthandRequest = Static<typeof ShorthandInput>;

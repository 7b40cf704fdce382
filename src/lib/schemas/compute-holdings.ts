import { Type, type Static } from 'typebox';
import { COPY_STATUSES } from '../core/copies/copy-record.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { VersionKeySchema } from './compute.ts';
import { ConditionSchema } from './goal-rules.ts';
import { closed, Count, Minor, record, Whole } from './vocabulary.ts';

const Text = Type.Optional(Type.String({ maxLength: 400 }));
const Words = Type.Array(Type.String({ maxLength: 100 }), { maxItems: 50 });

const fields = {
	quantity: Type.Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
	condition: Type.Optional(ConditionSchema),
	grade: Type.Optional(Type.Number({ minimum: 1, maximum: 10 })),
	house: Text,
	certificate: Text,
	serial: Text,
	status: Type.Optional(Type.Enum([...COPY_STATUSES])),
	costMinor: Type.Optional(Minor),
	valueMinor: Type.Optional(Minor),
	currency: Text,
	valueSource: Text,
	valueOn: Text,
	acquiredOn: Text,
	source: Text,
	place: Text,
	holder: Text,
	note: Text
};

export const MatchHoldingsInput = Type.Object(
	{
		checklists: Type.Array(ChecklistBodySchema, { minItems: 1, maxItems: 100 }),
		rows: Type.Array(
			Type.Object(
				{
					line: Type.Optional(Count),
					year: Text,
					maker: Text,
					set: Type.String({ maxLength: 400 }),
					section: Text,
					number: Text,
					subject: Text,
					parallel: Text,
					attributes: Type.Optional(Words),
					fields: Type.Optional(Type.Object(fields, closed))
				},
				closed
			),
			{ maxItems: 200_000 }
		),
		choices: Type.Optional(
			record(
				Type.String({ maxLength: 420 }),
				10_000,
				'Set as "year|maker|set" → key of its release, "" for none'
			)
		)
	},
	closed
);
export const MatchHoldingsOutput = Type.Object(
	{
		sets: Type.Array(
			Type.Object(
				{
					name: Type.String(),
					year: Type.String(),
					maker: Type.String(),
					set: Type.String(),
					rows: Whole,
					candidates: Type.Array(
						Type.Object(
							{ key: Type.String(), score: Type.Number({ minimum: 0, maximum: 1 }) },
							closed
						)
					),
					release: Type.Union([Type.String(), Type.Null()])
				},
				closed
			)
		),
		matched: Type.Array(
			Type.Object(
				{
					line: Whole,
					version: VersionKeySchema,
					fields: Type.Object({ ...fields, attributes: Words }, closed)
				},
				closed
			)
		),
		unmatched: Type.Array(Type.Object({ line: Whole, reason: Type.String() }, closed))
	},
	closed
);
export type MatchHoldingsRequest = Static<typeof MatchHoldingsInput>;

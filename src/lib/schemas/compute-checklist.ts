import { Type, type Static } from 'typebox';
import { LONGEST_OUTLINE } from '../core/checklist/outline/parse-outline.ts';
import { FINDING_CODES } from '../core/checklist/doctor/finding.ts';
import { ChecklistBodySchema, VariantSchema } from './checklist.ts';
import { ProblemSchema } from './compute.ts';
import { GoalRulesSchema } from './goal-rules.ts';
import { closed, Whole } from './vocabulary.ts';

const Word = Type.String();
const MaybeWord = Type.Union([Word, Type.Null()]);
const MaybeWhole = Type.Union([Whole, Type.Null()]);

export const CheckInput = Type.Object({ checklist: ChecklistBodySchema }, closed);
const MendSchema = Type.Union([
	Type.Object(
		{ kind: Type.Literal('add cards'), section: Word, numbers: Type.Array(Word) },
		closed
	),
	Type.Object({ kind: Type.Literal('add variant'), variant: VariantSchema }, closed),
	Type.Object({ kind: Type.Literal('remove parallel'), parallel: Word }, closed),
	Type.Object({ kind: Type.Literal('remove variant'), variant: Word }, closed)
]);
export const CheckOutput = Type.Object(
	{
		findings: Type.Array(
			Type.Object(
				{
					code: Type.Enum([...FINDING_CODES]),
					weight: Type.Enum(['wrong', 'odd']),
					message: Word,
					pointer: Word,
					cards: Type.Array(Word),
					mend: Type.Optional(MendSchema)
				},
				closed
			)
		)
	},
	closed
);

const runs = {
	copiesMade: MaybeWhole,
	numbered: Whole,
	mostRuns: MaybeWhole,
	bottlenecks: Type.Array(Word)
};
export const ProductionInput = Type.Object(
	{ checklist: ChecklistBodySchema, goal: Type.Optional(GoalRulesSchema) },
	closed
);
export const ProductionOutput = Type.Object(
	{
		rows: Type.Array(
			Type.Object(
				{ sectionKey: Word, parallelKey: MaybeWord, cards: Whole, versions: Whole, ...runs },
				closed
			)
		),
		whole: Type.Object({ versions: Whole, ...runs }, closed)
	},
	closed
);

export const CompareInput = Type.Object(
	{ left: ChecklistBodySchema, right: ChecklistBodySchema },
	closed
);
export const CompareOutput = Type.Object(
	{
		sections: Type.Array(
			Type.Object(
				{
					left: MaybeWord,
					right: MaybeWord,
					pairs: Type.Array(
						Type.Object(
							{
								left: MaybeWord,
								right: MaybeWord,
								by: Type.Union([Type.Enum(['subject', 'place']), Type.Null()])
							},
							closed
						)
					)
				},
				closed
			)
		)
	},
	closed
);

export const OutlineInput = Type.Object(
	{ outline: Type.String({ maxLength: LONGEST_OUTLINE }) },
	closed
);
export const OutlineOutput = Type.Object(
	{
		checklist: Type.Object(
			{},
			{ description: 'A checklist file; to be stored only without problems.' }
		),
		cards: Whole,
		versions: Whole,
		problems: Type.Array(ProblemSchema)
	},
	closed
);

export type OutlineRequest = Static<typeof OutlineInput>;
export type CheckRequest = Static<typeof CheckInput>;
export type ProductionRequest = Static<typeof ProductionInput>;
export type CompareRequest = Static<typeof CompareInput>;

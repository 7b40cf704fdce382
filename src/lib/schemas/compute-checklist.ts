import { Type, type Static } from 'typebox';
import { LONGEST_OUTLINE } from '../core/checklist/outline/parse-outline.ts';
import { FINDING_CODES } from '../core/checklist/doctor/finding.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { VariantSchema } from './checklist-finish.ts';
import { ProblemSchema } from './compute.ts';
import { GoalRulesSchema } from './goal-rules.ts';
import { closed, Whole, said, list } from './vocabulary.ts';

const Word = Type.String();
const MaybeWord = Type.Union([Word, Type.Null()]);
const MaybeWhole = Type.Union([Whole, Type.Null()]);

export const CheckInput = Type.Object(
	{ checklist: said(ChecklistBodySchema, 'The release.') },
	closed
);
const MendSchema = Type.Union([
	Type.Object(
		{
			kind: said(Type.Literal('add cards'), 'What the doctor would do.'),
			section: said(Word, 'Key of the section.'),
			numbers: said(Type.Array(Word), 'Numbers of cards to add.')
		},
		closed
	),
	Type.Object(
		{
			kind: said(Type.Literal('add variant'), 'What the doctor would do.'),
			variant: said(VariantSchema, 'The variant, or its key.')
		},
		closed
	),
	Type.Object(
		{
			kind: said(Type.Literal('remove parallel'), 'What the doctor would do.'),
			parallel: said(Word, 'Key of the parallel.')
		},
		closed
	),
	Type.Object(
		{
			kind: said(Type.Literal('remove variant'), 'What the doctor would do.'),
			variant: said(Word, 'The variant, or its key.')
		},
		closed
	)
]);
export const CheckOutput = Type.Object(
	{
		findings: said(
			Type.Array(
				Type.Object(
					{
						code: said(
							Type.Enum([...FINDING_CODES]),
							'What it is about; the message says it in full.'
						),
						weight: said(Type.Enum(['wrong', 'odd']), 'wrong: cannot be so. odd: worth a look.'),
						message: said(Word, 'The finding in words.'),
						pointer: said(Word, 'Where, as a JSON Pointer into the checklist.'),
						cards: said(Type.Array(Word), 'Keys of the cards it is about.'),
						mend: said(
							Type.Optional(MendSchema),
							'What would mend it; left out: only a person can.'
						)
					},
					closed
				)
			),
			'What is wrong or odd.'
		)
	},
	closed
);

const runs = {
	copiesMade: said(
		MaybeWhole,
		'Copies in existence of the numbered versions together; null: none is numbered.'
	),
	numbered: said(Whole, 'How many of the versions are numbered.'),
	mostRuns: said(MaybeWhole, 'Complete runs that can exist at the most; null: none is numbered.'),
	bottlenecks: said(Type.Array(Word), 'Keys of the versions that set that limit.')
};
export const ProductionInput = Type.Object(
	{
		checklist: said(ChecklistBodySchema, 'The release.'),
		goal: said(
			Type.Optional(GoalRulesSchema),
			'Only versions of this goal are summed; left out: all.'
		)
	},
	closed
);
export const ProductionOutput = Type.Object(
	{
		rows: said(
			Type.Array(
				Type.Object(
					{
						sectionKey: said(Word, 'Key of the section.'),
						parallelKey: said(MaybeWord, 'Key of the finish; null: base.'),
						cards: said(Whole, 'Cards of it.'),
						versions: said(Whole, 'Versions of it.'),
						...runs
					},
					closed
				)
			),
			'By section and finish.'
		),
		whole: said(
			Type.Object({ versions: said(Whole, 'Versions in all.'), ...runs }, closed),
			'The release, or the goal, as a whole.'
		)
	},
	closed
);

const KeyOf = Type.String({ minLength: 1, maxLength: 200 });
const SectionNameSchema = Type.Object(
	{ release: said(KeyOf, 'Key of the release.'), section: said(KeyOf, 'Key of its section.') },
	closed
);
export const CompareInput = Type.Object(
	{
		left: said(ChecklistBodySchema, 'A release.'),
		right: said(ChecklistBodySchema, 'Another one.'),
		more: said(
			Type.Optional(list(ChecklistBodySchema, 4)),
			'Further ones, for the sheet that lays all beside each other.'
		),
		counterparts: said(
			Type.Optional(
				list(
					Type.Object(
						{
							first: said(SectionNameSchema, 'A section.'),
							other: said(SectionNameSchema, 'Its counterpart.')
						},
						closed
					),
					10_000
				)
			),
			'Sections that were paired by hand.'
		)
	},
	closed
);
export const CompareOutput = Type.Object(
	{
		sections: said(
			Type.Array(
				Type.Object(
					{
						left: said(MaybeWord, 'Key of the left section; null: only the right one has it.'),
						right: said(MaybeWord, 'Key of the right section; null: only the left one has it.'),
						pairs: said(
							Type.Array(
								Type.Object(
									{
										left: said(MaybeWord, 'Key of the left card; null: none.'),
										right: said(MaybeWord, 'Key of the right card; null: none.'),
										by: said(
											Type.Union([Type.Enum(['subject', 'place']), Type.Null()]),
											'Why they lie together: the same subject, or the same place; null: one stands alone.'
										)
									},
									closed
								)
							),
							'Their cards laid beside each other.'
						)
					},
					closed
				)
			),
			'Sections laid beside each other.'
		),
		sheet: said(
			Type.Array(
				Type.Object(
					{
						members: said(
							Type.Array(MaybeWord),
							'Keys of the sections that lie beside each other, a place a release; null: it has none.'
						),
						byHand: said(Type.Boolean(), 'Whether some of them were paired by hand.'),
						lines: said(
							Type.Array(
								Type.Object(
									{
										what: said(Type.String(), 'What the line is about.'),
										cells: said(
											Type.Array(Type.String()),
											'What each release says of it; "" where it says nothing.'
										),
										differs: said(
											Type.Boolean(),
											'Whether releases that have such a section say different things.'
										)
									},
									closed
								)
							),
							'Cards, numbers, odds, stock, notes and tells of the sections, then each finish with its runs.'
						)
					},
					closed
				)
			),
			'All releases beside each other, section by section and line by line.'
		)
	},
	closed
);

export const OutlineInput = Type.Object(
	{
		outline: said(
			Type.String({ maxLength: LONGEST_OUTLINE }),
			'A release as an outline (docs/formats.md).'
		),
		checklist: said(
			Type.Optional(ChecklistBodySchema),
			'The release that the lines add to; left out: they make a new one.'
		)
	},
	closed
);
export const OutlineOutput = Type.Object(
	{
		checklist: Type.Object(
			{},
			{ description: 'A checklist file; to be stored only without problems.' }
		),
		cards: said(Whole, 'Cards it has.'),
		versions: said(Whole, 'Versions it has.'),
		problems: said(Type.Array(ProblemSchema), 'What is not understood, by line.')
	},
	closed
);

export type OutlineRequest = Static<typeof OutlineInput>;
export type CheckRequest = Static<typeof CheckInput>;
export type ProductionRequest = Static<typeof ProductionInput>;
export type CompareRequest = Static<typeof CompareInput>;

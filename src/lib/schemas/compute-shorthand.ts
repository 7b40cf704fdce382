import { Type, type Static } from 'typebox';
import { LONGEST_LINE } from '../core/shorthand/parse-entry-line.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { ProblemSchema, Quantity, VersionKeySchema } from './compute.ts';
import { ConditionSchema } from './goal-rules.ts';
import { closed, record, said, Whole, Word } from './vocabulary.ts';

export const ShorthandInput = Type.Object(
	{
		checklist: said(ChecklistBodySchema, 'The release that is logged against.'),
		line: said(Type.String({ maxLength: LONGEST_LINE }), 'What was typed.'),
		numbering: said(
			Type.Optional(Type.Union([Word, Type.Null()])),
			'Key of the section chosen beside the line; null or left out: none.'
		),
		parallel: said(
			Type.Optional(Type.Union([Word, Type.Null()])),
			'Key of the finish chosen beside the line; null or left out: base.'
		),
		condition: said(
			Type.Optional(ConditionSchema),
			'Condition chosen beside the line; left out: none.'
		),
		owned: said(
			Type.Optional(record(Whole, 200_000, 'Version key → copies')),
			'Version key → copies that are there.'
		),
		synonyms: said(
			Type.Optional(
				record(Type.String({ maxLength: 200 }), 2000, 'Word → the words it stands for')
			),
			'Word → the words it stands for.'
		)
	},
	closed
);
/** A stretch of the line, in UTF-16 units from 0; `end` is behind the last one. */
const SpanSchema = Type.Object(
	{ start: said(Whole, 'First unit (UTF-16, from 0).'), end: said(Whole, 'Behind the last unit.') },
	closed
);

export const ShorthandOutput = Type.Object(
	{
		form: said(
			Type.Enum(['list', 'all-but']),
			'list: log these. all-but: there is everything, but for what is named.'
		),
		changes: said(
			Type.Array(
				Type.Object(
					{
						version: said(VersionKeySchema, 'Key of the version.'),
						before: said(Whole, 'Copies there are.'),
						after: said(Whole, 'Copies there would be.')
					},
					closed
				)
			),
			'What would change, version by version.'
		),
		additions: said(
			Type.Array(
				Type.Object(
					{
						version: said(VersionKeySchema, 'Key of the version.'),
						quantity: said(Quantity, 'How many.'),
						condition: said(Type.Optional(ConditionSchema), 'Their condition; left out: not said.'),
						serial: said(Type.Optional(Word), 'As printed: "14/65".'),
						place: said(Type.Optional(Word), 'Where they are kept, in words.')
					},
					closed
				)
			),
			'The copies to log, each with what is said of it.'
		),
		unchanged: said(Whole, 'Versions that are there already.'),
		problems: said(
			Type.Array(ProblemSchema),
			'What is not understood; with any, nothing is to be logged.'
		),
		notes: said(Type.Array(ProblemSchema), 'What is worth knowing, and stops nothing.'),
		reaches: said(
			Type.Array(
				Type.Object(
					{
						words: said(Type.Array(SpanSchema), 'The words.'),
						items: said(Type.Array(SpanSchema), 'What they are said of.'),
						cards: said(Whole, 'How many cards those are.')
					},
					closed
				)
			),
			'How far words reach, where that is more than one card.'
		),
		narrow: said(
			Type.Optional(Type.String()),
			'The line with commas, so that words reach only as far as is possible.'
		)
	},
	closed
);

export type ShorthandRequest = Static<typeof ShorthandInput>;

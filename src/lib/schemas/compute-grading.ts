import { Type, type Static } from 'typebox';
import { closed, list, orNull, said, Whole } from './vocabulary.ts';

/* A collector's eye, held against what houses said. */

const Grade = Type.Number({ minimum: 1, maximum: 10, multipleOf: 0.5 });
const Difference = Type.Number({ minimum: -9, maximum: 9 });

export const GradingEyeInput = Type.Object(
	{
		checks: said(
			list(
				Type.Object(
					{
						estimate: said(Grade, 'What the collector thought.'),
						grade: said(orNull(Grade), 'What came back; null: no number.')
					},
					closed
				),
				20_000
			),
			'Cards that were estimated and came back.'
		)
	},
	closed
);
export type GradingEyeRequest = Static<typeof GradingEyeInput>;

export const GradingEyeOutput = Type.Object(
	{
		checked: said(Whole, 'Cards.'),
		graded: said(Whole, 'Of them with a number.'),
		differences: said(Type.Array(Difference), 'Grade less estimate, of these.'),
		meanDifference: said(
			orNull(Difference),
			'Their mean; below 0: the eye is too kind; null: none has a number.'
		),
		exact: said(Whole, 'Estimates that were right.'),
		withinHalf: said(Whole, 'Within half a grade, right ones among them.')
	},
	closed
);

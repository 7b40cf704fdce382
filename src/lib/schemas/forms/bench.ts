import { Type } from 'typebox';
import { CONDITIONS } from '../../core/copies/condition.ts';
import { SUBMISSION_PURPOSES } from '../../core/worth/grading/submission.ts';
import { idOf, list, orNull } from '../vocabulary.ts';
import { asTyped, Name } from './fields.ts';

/* Forms of the bench: submissions, worksheets. */

const Reload = 'Reload the page.';
const MaybeDay = orNull(
	Type.String({ format: 'date', description: 'Write a date as 1994-10-05.' })
);
const texts = list(Name, 500);

/** Copies that go to a house: the first of each list belongs together, and so on. */
export const SubmissionFormSchema = Type.Object({
	...{ house: Name, tier: Name, fee: Name, postage: Name, sentOn: MaybeDay, dueOn: MaybeDay },
	copy: Type.Optional(list(idOf('copies', Reload), 500)),
	purpose: Type.Optional(list(Type.Enum([...SUBMISSION_PURPOSES]), 500)),
	insured: Type.Optional(texts),
	estimate: Type.Optional(texts)
});
/** What came back of a submission, in the same way. */
export const ResultsFormSchema = Type.Object({
	submission: idOf('submissions', Reload),
	card: list(idOf('submission_cards', Reload), 500),
	result: texts,
	certificate: texts,
	addsCost: Type.Optional(Type.Literal('yes'))
});
const Seen = list(Type.String({ maxLength: 60 }), 12);
/** What was seen of a copy; a choice that is left empty says nothing. */
export const WorksheetFormSchema = Type.Object({
	copy: idOf('copies', 'Choose a copy.'),
	...{ frontLeftRight: Name, frontTopBottom: Name, frontOffBy: Name },
	...{ backLeftRight: Name, backTopBottom: Name, backOffBy: Name },
	corners: Seen,
	edges: Seen,
	surface: Type.Optional(Seen),
	...{ widthMm: Name, heightMm: Name, thicknessPt: Name, estimate: Name },
	note: Type.String({ maxLength: 2000 }),
	takesWord: Type.Optional(Type.Literal('yes'))
});
export const WorksheetRulesFormSchema = Type.Object({
	...{
		limits: asTyped(2000),
		corners: asTyped(4000),
		edges: asTyped(4000),
		surface: asTyped(4000)
	},
	weakFrom: Type.Enum([...CONDITIONS])
});

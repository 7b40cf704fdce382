import { Type, type Static } from 'typebox';
import { LISTING_KINDS, LISTING_STEPS } from '../core/selling/listings/listing.ts';
import { SUBMISSION_PURPOSES } from '../core/worth/grading/submission.ts';
import { ConditionSchema } from './goal-rules.ts';
import { closed } from './vocabulary.ts';

const Moment = Type.String({ format: 'date-time' });
const Text = Type.String();
const Texts = Type.Array(Text);
const Step = Type.Object(
	{
		at: Moment,
		step: Type.Enum([...LISTING_STEPS]),
		buyer: Type.Optional(Text),
		price: Type.Optional(Text),
		charged: Type.Optional(Text),
		postage: Type.Optional(Text),
		supplies: Type.Optional(Text),
		fee: Type.Optional(Text)
	},
	closed
);
const SubmittedCard = Type.Object(
	{
		/** Key of a version of which a copy is there. */
		version: Text,
		purpose: Type.Enum([...SUBMISSION_PURPOSES]),
		insured: Text,
		estimate: Text,
		/** What came back; only where the submission is back. */
		result: Type.Optional(Text),
		certificate: Type.Optional(Text)
	},
	closed
);

/** What the demo's collector judged, sent to be graded, and sold; each at its time. */
export const SellingDemoSchema = Type.Object(
	{
		/** What a card without a known price counts as, when lots are dealt. */
		unpriced: Type.Object({ at: Moment, amount: Text }, closed),
		/** Copies of a release in a condition become spares. */
		spares: Type.Array(
			Type.Object({ at: Moment, release: Text, condition: ConditionSchema }, closed)
		),
		listings: Type.Array(
			Type.Object(
				{
					at: Moment,
					kind: Type.Enum([...LISTING_KINDS]),
					channel: Text,
					asking: Text,
					floor: Text,
					/** Keys of versions: one card of each. */
					versions: Texts,
					/** A drawn scan that becomes the photo of the first. */
					scan: Type.Optional(Text),
					steps: Type.Array(Step)
				},
				closed
			)
		),
		builds: Type.Array(
			Type.Object(
				{
					...{ at: Moment, release: Text, parts: Text, sales: Text },
					...{ supplies: Text, packing: Text, postage: Text, fixed: Text },
					feePercent: Type.Number(),
					hoursFixed: Type.Number(),
					hoursPerSet: Type.Number(),
					mostSets: Type.Integer()
				},
				closed
			)
		),
		worksheets: Type.Array(
			Type.Object(
				{
					at: Moment,
					version: Text,
					/** Left and top parts in percent, and how far off: "55 48 1". */
					front: Text,
					corners: Texts,
					edges: Texts,
					surface: Texts,
					estimate: Text,
					scan: Type.Optional(Text)
				},
				closed
			)
		),
		submissions: Type.Array(
			Type.Object(
				{
					at: Moment,
					house: Text,
					tier: Text,
					fee: Text,
					postage: Text,
					sentOn: Type.String({ format: 'date' }),
					dueOn: Type.String({ format: 'date' }),
					cards: Type.Array(SubmittedCard),
					/** Left out: it is out. */
					backAt: Type.Optional(Moment)
				},
				closed
			)
		)
	},
	closed
);
export type SellingDemo = Static<typeof SellingDemoSchema>;

import { Type } from 'typebox';
import { VersionKeySchema } from './compute.ts';
import { ConditionSchema, GradeNeedSchema } from './goal-rules.ts';
import { closed, Count, Currency, list, Minor, orNull, said, Whole, Word } from './vocabulary.ts';

/* Parts of a buying problem: wants, sellers with their postage, offers, bundles. */

const Optional = Type.Optional;
export const Days = Type.Integer({ minimum: 0, maximum: 3650 });
const Grade = Type.Number({ minimum: 1, maximum: 10, multipleOf: 0.5 });
const Grams = Type.Number({ exclusiveMinimum: 0, maximum: 5000 });
const quality = {
	condition: said(Optional(ConditionSchema), 'Left out: nothing was said of it.'),
	grade: said(Optional(Grade), '1 to 10 in halves; left out: not graded.'),
	house: said(Optional(Word), 'The house that graded it.')
};
const free = { freeFromMinor: said(Optional(Minor), 'Cards for so much go free.') };

export const PostageRuleSchema = Type.Union([
	Type.Object(
		{
			sort: said(Type.Literal('each'), 'So much for the first card, so much for each further one.'),
			firstMinor: said(Minor, 'For the first card.'),
			furtherMinor: said(Minor, 'For each further card.'),
			...free
		},
		closed
	),
	Type.Object(
		{
			sort: said(Type.Literal('tiers'), 'By number or weight, step by step.'),
			by: said(Type.Enum(['cards', 'grams']), 'What steps count.'),
			tiers: said(
				list(
					Type.Object(
						{
							from: said(Whole, 'From so many on; the first step of cards begins at 1.'),
							to: said(orNull(Whole), 'Up to so many; null: however many.'),
							minor: said(Minor, 'What it costs.')
						},
						closed
					),
					50,
					{ minItems: 1 }
				),
				'Steps without a hole; past the last nothing more goes into an order.'
			),
			...free
		},
		closed
	)
]);

export const SellerSchema = Type.Object(
	{
		key: said(Word, 'Names the seller.'),
		name: said(Optional(Word), 'Left out: the key.'),
		direct: said(
			orNull(PostageRuleSchema),
			'What they ask for sending straight; null: they do not.'
		),
		toHub: said(
			Optional(orNull(PostageRuleSchema)),
			'What they ask for sending to the hub; null or left out: they do not.'
		),
		leastOrderMinor: said(Optional(Minor), 'The least that cards of an order must cost.'),
		days: said(Optional(Days), 'Days until cards are here.'),
		daysToHub: said(Optional(Days), 'Days until cards are at the hub.')
	},
	closed
);

export const OfferSchema = Type.Object(
	{
		key: said(Word, 'Names the offer.'),
		seller: said(Word, 'Key of the seller.'),
		version: said(VersionKeySchema, 'What is offered.'),
		...quality,
		quantity: said(Optional(Count), 'How many there are; left out: 1.'),
		minor: said(Optional(Minor), 'What one costs; or say breaks.'),
		breaks: said(
			Optional(
				list(
					Type.Object(
						{ count: said(Count, 'So many cards.'), minor: said(Minor, 'For so much together.') },
						closed
					),
					20,
					{ minItems: 1 }
				)
			),
			'Lots it is sold in: one 0.40, five 1.50.'
		),
		grams: said(Optional(Grams), 'What one weighs; left out: 1.8.'),
		currency: said(Optional(Currency), 'Left out: what is reckoned in.')
	},
	closed
);

export const BundleSchema = Type.Object(
	{
		key: said(Word, 'Names the bundle.'),
		seller: said(Word, 'Key of the seller.'),
		minor: said(Minor, 'What all of it costs.'),
		isShipped: said(Optional(Type.Boolean()), 'The price holds its postage; left out: no.'),
		items: said(
			list(
				Type.Object(
					{
						version: said(VersionKeySchema, 'What is in it.'),
						...quality,
						quantity: said(Optional(Count), 'How many of it; left out: 1.')
					},
					closed
				),
				5000,
				{ minItems: 1 }
			),
			'Named cards: all or none of them.'
		)
	},
	closed
);

export const PlannedWantSchema = Type.Object(
	{
		key: said(Word, 'Names the want.'),
		versions: said(list(VersionKeySchema, 100, { minItems: 1 }), 'Versions that would fill it.'),
		quantity: said(Optional(Type.Integer({ minimum: 1, maximum: 1000 })), 'Left out: 1.'),
		leastCondition: said(Optional(ConditionSchema), 'Left out: any.'),
		graded: said(Optional(GradeNeedSchema), 'Asks for a graded copy.'),
		mostMinor: said(Optional(Minor), 'Dearer offers do not count; left out: any price.'),
		priority: said(
			Optional(Type.Integer({ minimum: 1, maximum: 3 })),
			'1 before 2 before 3 where not all can be got; left out: 2.'
		),
		leaveOutMinor: said(
			Optional(Minor),
			'It is left out where it costs more, its postage with it; left out: it is got whatever it costs.'
		)
	},
	closed
);

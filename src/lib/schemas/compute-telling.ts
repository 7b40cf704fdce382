import { Type, type Static } from 'typebox';
import { LookSchema, ReliabilitySchema, TellsSchema } from './telling.ts';
import { closed, list, orNull, said, Word } from './vocabulary.ts';

const CandidateSchema = Type.Object(
	{
		key: said(Word, 'Names the candidate in the answer.'),
		name: said(Type.Optional(Word), 'What people call it.'),
		weight: said(
			Type.Optional(Type.Number({ minimum: 0, maximum: 1e12 })),
			'How likely it is before one looks, beside the others: copies made, cards a pack; left out: 1.'
		),
		tells: said(TellsSchema, 'What it shows.')
	},
	closed
);
const Chance = Type.Number({ minimum: 0, maximum: 1 });

export const NextQuestionInput = Type.Object(
	{
		candidates: said(list(CandidateSchema, 1000), 'What the card in the hand may be.'),
		answers: said(
			Type.Optional(
				list(
					Type.Object(
						{
							feature: said(Word, 'What was looked at.'),
							value: said(orNull(Word), 'What was seen; null: one cannot tell.')
						},
						closed
					),
					200
				)
			),
			'What was seen so far, each feature once.'
		),
		sure: said(
			Type.Optional(Type.Number({ minimum: 0.5, maximum: 1 })),
			'How sure one wants to be, as a chance; left out: 0.95.'
		)
	},
	closed
);
export type NextQuestionRequest = Static<typeof NextQuestionInput>;
export const NextQuestionOutput = Type.Object(
	{
		candidates: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'Names the candidate.'),
						chance: said(Chance, 'How likely it is after what was seen.')
					},
					closed
				)
			),
			'The candidates, the likeliest first.'
		),
		isSettled: said(Type.Boolean(), 'Whether one of them is as sure as is wanted.'),
		question: said(
			orNull(
				Type.Object(
					{
						feature: said(Word, 'What to look at.'),
						where: said(LookSchema, 'Where.'),
						reliability: said(ReliabilitySchema, 'How far it may be trusted.'),
						seconds: said(Type.Number(), 'Seconds that it takes to look.'),
						values: said(
							Type.Array(
								Type.Object(
									{
										value: said(orNull(Word), 'What may be seen; null: something else.'),
										chance: said(Chance, 'How likely that is.'),
										leaves: said(
											Type.Array(Word),
											'Candidates that are left then, the likeliest first, eight at most.'
										)
									},
									closed
								)
							),
							'What may be seen, the likeliest first.'
						),
						gain: said(Type.Number(), 'How much less unsure one is after it, in bits, on average.')
					},
					closed
				)
			),
			'What to look at next; null: it is settled, or nothing tells more.'
		),
		seconds: said(Type.Number(), 'Seconds to an answer by the best order, on average.'),
		isExact: said(
			Type.Boolean(),
			'Whether that order was found by going through all; otherwise by gain a second, and the seconds are those of the likeliest answers.'
		),
		settles: said(
			Type.Array(Word),
			'Features by which the two likeliest differ, the cheapest first.'
		)
	},
	closed
);

export const TellApartInput = Type.Object(
	{ candidates: said(list(CandidateSchema, 100), 'What is laid side by side.') },
	closed
);
export type TellApartRequest = Static<typeof TellApartInput>;
export const TellApartOutput = Type.Object(
	{
		candidates: said(Type.Array(Word), 'Keys of the candidates, in the order given.'),
		rows: said(
			Type.Array(
				Type.Object(
					{
						feature: said(Word, 'What is looked at.'),
						where: said(LookSchema, 'Where.'),
						reliability: said(ReliabilitySchema, 'How far it may be trusted.'),
						values: said(
							Type.Array(orNull(Word)),
							'What each candidate shows, in their order; null: nobody knows.'
						),
						isDifferent: said(Type.Boolean(), 'Whether two that are known differ.')
					},
					closed
				)
			),
			'What differs first, of that the cheapest look, then the surest.'
		),
		twins: said(
			Type.Array(Type.Array(Word, { minItems: 2, maxItems: 2 })),
			'Pairs of candidates that no row tells apart.'
		)
	},
	closed
);

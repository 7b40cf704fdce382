import { Type, type Static, type TNumber } from 'typebox';
import { SORTING_WAYS } from '../core/storage/sorting/plan-sorting.ts';
import { MIXED_LEVELS } from '../core/storage/sorting/plan-mixed-sorting.ts';
import { closed, Count, list, orNull, said, Whole, Word } from './vocabulary.ts';

const Seconds = Type.Number({ minimum: 0, maximum: 3600 });
/** What the movements of a hand take, each in seconds. */
const timesIn = (seconds: TNumber) =>
	Type.Object(
		{
			cardS: said(seconds, 'Laying a card on a pile, in seconds.'),
			pileS: said(seconds, 'Taking up a pile, in seconds.'),
			lookS: said(seconds, 'Finding the place among sorted cards, in seconds.')
		},
		closed
	);
export const PlanSortingInput = Type.Object(
	{
		cards: said(
			Type.Optional(Type.Integer({ minimum: 1, maximum: 1_000_000 })),
			'Cards in the stack; left out: it is a mixed one.'
		),
		mostPiles: said(
			Type.Integer({ minimum: 1, maximum: 1000 }),
			'Piles that the table has room for.'
		),
		numbers: said(
			Type.Optional(
				Type.Union([
					Type.Integer({ minimum: 1, maximum: 1_000_000 }),
					Type.Array(Type.String({ minLength: 1, maxLength: 60 }), {
						minItems: 1,
						maxItems: 100_000
					})
				])
			),
			'How many numbers there are, or the numbers themselves, in order; left out: it is a mixed pile.'
		),
		mixed: said(
			Type.Optional(
				list(
					Type.Object(
						{
							key: said(Word, 'Names the set in the answer.'),
							maker: said(Word, 'Its maker.'),
							year: said(Type.String({ minLength: 1, maxLength: 40 }), 'Its year or season.'),
							name: said(Word, 'What it is called.'),
							cards: said(
								Type.Integer({ minimum: 1, maximum: 1_000_000 }),
								'Its cards in the pile.'
							),
							thick: said(
								Type.Optional(Whole),
								'Of these, cards too thick for a row of others; left out: none.'
							),
							entries: said(
								Type.Integer({ minimum: 1, maximum: 1_000_000 }),
								'Numbers of the set; of a set without numbers, titles.'
							),
							isNumbered: said(
								Type.Optional(Type.Boolean()),
								'Whether it bears numbers; left out: yes. Without, it is sorted by letters.'
							)
						},
						closed
					),
					5000
				)
			),
			'The sets of a mixed pile: the whole is split by maker, year and set, then each is sorted.'
		),
		times: said(Type.Optional(timesIn(Seconds)), 'What a movement takes; left out: usual times.')
	},
	closed
);
const WaySchema = Type.Object(
	{
		way: said(
			Type.Enum([...SORTING_WAYS]),
			'passes: dealt on piles by digits of the number, several times. deal and insert: dealt once, each pile sorted by hand. merge: sorted stacks laid together. insert, halving: each card put in its place, which is found by halving. insert, from the start: the place is found from the first card on.'
		),
		seconds: said(Type.Number({ minimum: 0 }), 'How long it takes.'),
		piles: said(Type.Array(Count), 'Piles of each pass.')
	},
	closed
);
export const PlanSortingOutput = Type.Object(
	{
		ways: said(Type.Array(WaySchema), 'Ways to sort, the quickest first.'),
		borders: said(
			Type.Array(
				Type.Object(
					{
						from: said(Word, 'First number of the pile.'),
						to: said(Word, 'Last number of the pile.'),
						numbers: said(Count, 'How many numbers that are.')
					},
					closed
				)
			),
			'Where the numbers were given: what goes on each pile of the last pass.'
		),
		passes: said(
			Type.Array(Type.Array(Type.String())),
			'Where the numbers were given and passes are the quickest: the piles of each, by name.'
		),
		mixed: said(
			orNull(
				Type.Object(
					{
						steps: said(
							Type.Array(
								Type.Object(
									{
										of: said(Type.String(), 'Which pile is dealt; empty: the whole.'),
										by: said(
											Type.Array(Type.Enum([...MIXED_LEVELS])),
											'What it is split by; empty: only the thick cards come apart.'
										),
										cards: said(Whole, 'Cards that are dealt.'),
										piles: said(
											Type.Array(
												Type.Object(
													{
														name: said(Type.String(), 'What lies on it.'),
														cards: said(Whole, 'How many.')
													},
													closed
												)
											),
											'The piles it makes, in order.'
										),
										passes: said(Type.Array(Whole), 'Piles of each pass.'),
										seconds: said(Type.Number({ minimum: 0 }), 'How long it takes.')
									},
									closed
								)
							),
							'Dealings, one after the other.'
						),
						sets: said(
							Type.Array(
								Type.Object(
									{
										key: said(Word, 'Key of the set.'),
										name: said(Word, 'What it is called.'),
										cards: said(Whole, 'Its cards, less thick ones.'),
										order: said(
											Type.Enum(['number', 'letters']),
											'number: by card number. letters: by title.'
										),
										plan: said(WaySchema, 'The quickest way to sort it.')
									},
									closed
								)
							),
							'The sets in the order in which they stand then, each with its own sorting.'
						),
						thick: said(Whole, 'Cards that lie apart.'),
						seconds: said(Type.Number({ minimum: 0 }), 'How long it takes in all.')
					},
					closed
				)
			),
			'The plan of a mixed pile; null: none was given.'
		)
	},
	closed
);

const SortedAs = Type.String({ maxLength: 300 });
const TitledSchema = Type.Union([
	Type.String({ maxLength: 300, description: 'A title.' }),
	Type.Object(
		{
			title: said(Type.String({ maxLength: 300 }), 'What it is called.'),
			sortAs: said(Type.Optional(SortedAs), 'What it is sorted as; left out: its title.')
		},
		closed
	)
]);
const StackSchema = Type.Object(
	{
		key: said(Word, 'Names the card in the answer.'),
		set: said(Word, 'Key of the set it is of.'),
		keptIn: said(
			Type.Optional(Word),
			'Storage class or value tier in whose boxes it is kept; left out: with its set.'
		),
		number: said(orNull(Type.String({ maxLength: 60 })), 'As printed; null: none.'),
		title: said(Type.String({ maxLength: 300 }), 'What it is called.'),
		sortAs: said(
			Type.Optional(SortedAs),
			'What it is sorted as, where it has no number: a surname. Left out: its title.'
		)
	},
	closed
);
export const PutAwayInput = Type.Object(
	{
		cards: said(list(StackSchema, 20_000), 'The cards, in hand order.'),
		places: said(
			list(
				Type.Object(
					{
						box: said(Word, 'Name of the box.'),
						row: said(Count, 'Its row, from 1.'),
						divider: said(Word, 'What the divider says.'),
						set: said(Word, 'Key of the set behind it.'),
						keptIn: said(
							Type.Optional(Word),
							'Storage class or value tier that the box is for; left out: sets.'
						),
						inside: said(
							Type.Optional(Word),
							'Where the box stands, where that is in a larger one; left out: in none.'
						),
						numbers: said(
							list(orNull(Type.String({ maxLength: 60 })), 100_000),
							'Numbers that stand there, in order; null: a card without one.'
						),
						titles: said(
							Type.Optional(list(TitledSchema, 100_000)),
							'What stands there without a number, by title; left out: not known.'
						)
					},
					closed
				),
				50_000
			),
			'Dividers in walking order, with what stands behind each.'
		),
		pull: said(
			Type.Optional(Type.Boolean()),
			'Whether the cards are taken out instead; left out: no.'
		)
	},
	closed
);
export const PutAwayOutput = Type.Object(
	{
		lines: said(
			Type.Array(
				Type.Object(
					{
						card: said(Word, 'Key of the card.'),
						box: said(Word, 'Name of the box.'),
						row: said(Count, 'Its row, from 1.'),
						divider: said(Word, 'What the divider says.'),
						inside: said(Type.Optional(Word), 'The larger box in which the box stands.'),
						after: said(orNull(Type.String()), 'What stands before its place; null: nothing.'),
						before: said(orNull(Type.String()), 'What stands behind its place; null: nothing.')
					},
					closed
				)
			),
			'Where each card goes, in walking order.'
		),
		homeless: said(
			Type.Array(Word),
			'Keys of cards whose set stands nowhere, or in no box for their class.'
		),
		absent: said(
			Type.Array(Word),
			'Keys of cards to pull that are not there, though others of their set are.'
		)
	},
	closed
);

/** A time that was taken, in seconds. */
const Timed = Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 });
export const TuneSortingInput = Type.Object(
	{
		passes: said(
			list(
				Type.Object(
					{
						cards: said(Count, 'Cards of the pass.'),
						piles: said(Count, 'Piles of the pass.'),
						seconds: said(Timed, 'How long it took.')
					},
					closed
				),
				10_000
			),
			'Passes that were timed.'
		),
		usual: said(Type.Optional(timesIn(Timed)), 'Times to begin from; left out: usual ones.')
	},
	closed
);

export const TuneSortingOutput = timesIn(Type.Number());

export type PlanSortingRequest = Static<typeof PlanSortingInput>;
export type PutAwayRequest = Static<typeof PutAwayInput>;
export type TuneSortingRequest = Static<typeof TuneSortingInput>;

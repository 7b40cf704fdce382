import { Type, type Static } from 'typebox';
import { closed, Count, list, orNull, said, Whole, Word } from './vocabulary.ts';

const Um = Type.Integer({ minimum: 1, maximum: 10_000_000, description: 'micrometres' });

export const RespaceRowsInput = Type.Object(
	{
		rowUm: said(Um, 'Length of a row.'),
		rows: said(
			list(
				list(
					Type.Object(
						{
							key: said(Word, 'Names the run.'),
							dividerUm: said(Whole, 'What its divider takes, in micrometres.'),
							cards: said(
								list(
									Type.Object(
										{ key: said(Word, 'Names the card.'), um: said(Um, 'What it takes.') },
										closed
									),
									20_000
								),
								'Its cards, in order.'
							)
						},
						closed
					),
					1000
				),
				50
			),
			'Row by row what stands there; parts of one run in neighbouring rows have the same key.'
		)
	},
	closed
);
export const RespaceRowsOutput = Type.Object(
	{
		fits: said(Type.Boolean(), 'False where even all rows together are too short.'),
		slip: said(
			orNull(
				Type.Object(
					{
						row: said(Type.Integer(), 'The row that is too full.'),
						overUm: said(Type.Integer(), 'By how much, in micrometres.'),
						steps: said(
							Type.Array(
								Type.Object(
									{
										run: said(Word, 'Key of the run.'),
										from: said(Type.Integer(), 'Row it comes from.'),
										to: said(Type.Integer(), 'Row it goes to.'),
										cards: said(Type.Array(Word), 'Keys of the cards.')
									},
									closed
								)
							),
							'What to move, in order; one may stop after any step.'
						)
					},
					closed
				)
			),
			'What to move; null where no row is too full, or where nothing helps. Rows count from 0.'
		)
	},
	closed
);

export const AdviseShelvesInput = Type.Object(
	{
		boxes: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the box.'),
						grams: said(Whole, 'Its weight.'),
						lengthMm: said(Count, 'Its length, in millimetres.'),
						shelf: said(orNull(Word), 'Key of the shelf it stands on; null: none.')
					},
					closed
				),
				5000
			),
			'The boxes.'
		),
		shelves: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the shelf.'),
						room: said(Word, 'The room it is in.'),
						unit: said(Word, 'The rack it is of.'),
						level: said(Type.Integer({ minimum: 1, maximum: 100 }), 'From 1 at the bottom.'),
						lengthMm: said(Count, 'Its length, in millimetres.'),
						ratingG: said(orNull(Count), 'What its maker says it bears, in grams; null: not known.')
					},
					closed
				),
				1000
			),
			'The shelves.'
		)
	},
	closed
);
export const AdviseShelvesOutput = Type.Object(
	{
		advice: said(
			Type.Array(
				Type.Object(
					{
						box: said(Word, 'Key of the box.'),
						from: said(orNull(Word), 'Key of the shelf it is on; null: none.'),
						to: said(Word, 'Key of the shelf it goes to.'),
						rule: said(Type.String(), 'Why, in words.')
					},
					closed
				)
			),
			'Boxes to move.'
		),
		overloaded: said(
			Type.Array(
				Type.Object(
					{ shelf: said(Word, 'Key of the shelf.'), overG: said(Count, 'Grams over its rating.') },
					closed
				)
			),
			'Shelves that no other here relieves.'
		)
	},
	closed
);

const StockLine = Type.Object(
	{ version: said(Word, 'Key of the version.'), quantity: said(Count, 'How many.') },
	closed
);
export const TakeStockInput = Type.Object(
	{
		recorded: said(list(StockLine, 50_000), 'What is recorded to stand there.'),
		found: said(list(StockLine, 50_000), 'What was found.')
	},
	closed
);
export const TakeStockOutput = Type.Object(
	{
		differences: said(
			Type.Array(
				Type.Object(
					{
						version: said(Word, 'Key of the version.'),
						quantity: said(Count, 'By how many.'),
						sort: said(
							Type.Enum(['not there', 'not recorded']),
							'not there: recorded and not found. not recorded: found and not recorded.'
						)
					},
					closed
				)
			),
			'What is not as recorded.'
		)
	},
	closed
);

export type RespaceRowsRequest = Static<typeof RespaceRowsInput>;
export type AdviseShelvesRequest = Static<typeof AdviseShelvesInput>;
export type TakeStockRequest = Static<typeof TakeStockInput>;

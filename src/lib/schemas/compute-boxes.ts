import { Type, type Static } from 'typebox';
import { LIFTS } from '../core/storage/room/box-weight.ts';
import { BOX_CHOICES } from '../core/storage/plan/choose-box.ts';
import { BOX_SCHOOLS } from '../core/storage/plan/school.ts';
import { FormatSchema } from './card-format.ts';
import { closed, Count, Holder, list, orNull, Stock, Whole, Word, said } from './vocabulary.ts';

const Share = Type.Number({ minimum: 0, maximum: 1 });
const Mm = Type.Number({ exclusiveMinimum: 0, maximum: 5000 });
const Grams = Type.Number({ minimum: 0, maximum: 1_000_000 });

export const BoxKindSchema = Type.Object(
	{
		key: said(Word, 'Names the kind.'),
		name: said(Word, 'What it is called.'),
		lengthMm: said(Mm, 'Outer length, in millimetres.'),
		widthMm: said(Mm, 'Outer width, in millimetres.'),
		heightMm: said(Mm, 'Outer height, in millimetres.'),
		rows: said(Type.Integer({ minimum: 1, maximum: 50 }), 'Rows of cards in it.'),
		rowMm: said(Mm, 'Inner length of a row, in millimetres.'),
		nominalCount: said(Count, 'Cards that its name promises.'),
		countStockPt: said(Stock, 'Stock, in points, for which that count is true.'),
		tareG: said(Grams, 'Weight when empty, in grams.'),
		isForHolders: said(
			Type.Optional(Type.Boolean()),
			'Whether its rows are wide enough for cards in rigid holders; left out: no.'
		),
		isSmall: said(
			Type.Optional(Type.Boolean()),
			'Whether it is made for a tiny set and stands in a row of a larger box; left out: no.'
		)
	},
	closed
);
const RulesSchema = Type.Object(
	{
		leastFill: said(
			Share,
			'Share of its own box that the complete set fills at the least; usually 0.55.'
		),
		leastHave: said(Share, 'Share of the set that is there at the least; usually 0.6.'),
		mostStrays: said(Whole, 'So many cards or fewer stand with the year’s strays; usually 2.'),
		give: said(
			Type.Optional(
				Type.Number({
					minimum: 0,
					maximum: 0.2
				})
			),
			'Share by which the cards of a full box may be pressed together; usually 0.01.'
		)
	},
	closed
);
const boxedSet = {
	cards: said(Whole, 'Cards that are there, doubles included.'),
	need: said(Whole, 'Numbers it has in all.'),
	have: said(Whole, 'Numbers that are there.'),
	stockPt: said(Type.Optional(Stock), 'Thickness in points; left out: standard stock.')
};
const choosing = {
	rules: said(
		Type.Optional(RulesSchema),
		'When a set gets a box of its own; left out: the usual rules.'
	),
	kinds: said(
		Type.Optional(Type.Array(BoxKindSchema, { minItems: 1, maxItems: 200 })),
		'Boxes there are; left out: the usual ones.'
	)
};
const choice = {
	choice: said(
		Type.Enum([...BOX_CHOICES]),
		'own box: a box of its own. small box: a small one in a row of a larger one. shared: a long box with others. stray: behind the divider of its year.'
	),
	kind: said(orNull(Word), 'Key of its own box’s kind; null: none of its own.'),
	fillNow: said(
		orNull(Type.Number()),
		'Share of its own box that it fills now; null: none of its own.'
	),
	fillComplete: said(
		orNull(Type.Number()),
		'Share that it fills when complete; null: none of its own.'
	),
	rule: said(Type.String(), 'Which rule decided, in words.')
};

export const ChooseBoxInput = Type.Object(
	{ set: said(Type.Object(boxedSet, closed), 'The set.'), ...choosing },
	closed
);
export const ChooseBoxOutput = Type.Object(choice, closed);

export const PlanBoxesInput = Type.Object(
	{
		sets: said(
			list(
				Type.Object(
					{
						...boxedSet,
						key: said(Word, 'Names the set in the answer.'),
						name: said(Word, 'What it is called.'),
						year: said(Type.String({ maxLength: 20 }), 'Year of its release.'),
						maker: said(Type.String({ maxLength: 200 }), 'Who made it.'),
						theme: said(
							Type.Optional(Type.String({ maxLength: 200 })),
							'Sport, film, game; left out: none.'
						),
						isApart: said(
							Type.Optional(Type.Boolean()),
							'Whether it stands apart from the sets (personal, valuables, to sell); left out: no.'
						),
						keptIn: said(
							Type.Optional(Word),
							'Storage class or value tier whose own boxes it stands in; left out: with the sets.'
						)
					},
					closed
				),
				20_000
			),
			'What is to stand.'
		),
		...choosing,
		school: said(
			Type.Optional(Type.Enum([...BOX_SCHOOLS])),
			'What boxes are ordered by first; usually year.'
		),
		sharedKind: said(Type.Optional(Word), 'Key of the box that sets share; usually 5000.'),
		growth: said(
			Type.Optional(Share),
			'Share of the missing numbers of a set for which a shared row keeps room; usually 0.5.'
		),
		smallBoxes: said(
			Type.Optional(Type.Boolean()),
			'Whether tiny sets stand in small boxes of their own, side by side in a larger one; left out: no.'
		),
		classes: said(
			Type.Optional(
				list(
					Type.Object(
						{
							name: said(Word, 'Name of the storage class or value tier.'),
							sharedKind: said(
								Type.Optional(Word),
								'Key of the box that its cards share; left out: that of sets.'
							),
							isBySet: said(
								Type.Optional(Type.Boolean()),
								'Whether sets are kept together in it; left out: single cards, year by year.'
							)
						},
						closed
					),
					200
				)
			),
			'Storage classes and value tiers in the order of their boxes; others come last, as they come.'
		)
	},
	closed
);
export const PlanBoxesOutput = Type.Object(
	{
		boxes: said(
			Type.Array(
				Type.Object(
					{
						box: said(Count, 'Which one, from 1.'),
						kind: said(Word, 'Key of its kind.'),
						isApart: said(Type.Boolean(), 'Whether it stands apart from the sets.'),
						keptIn: said(Type.Optional(Word), 'Class or tier that it is for; left out: sets.'),
						rows: said(
							Type.Array(
								Type.Object(
									{
										usedUm: said(
											Type.Integer({ minimum: 0 }),
											'What stands in the row, in micrometres.'
										),
										entries: said(
											Type.Array(
												Type.Object(
													{
														sets: said(Type.Array(Word), 'Keys of the sets.'),
														label: said(Type.String(), 'What the divider says.'),
														um: said(
															Type.Integer({ minimum: 0 }),
															'What it takes of the row, divider included, in micrometres.'
														),
														isContinued: said(
															Type.Boolean(),
															'Whether it goes on from the row before.'
														),
														straysOf: said(
															Type.Optional(Type.String()),
															'The year whose strays these are; left out: a set.'
														),
														smallBox: said(
															Type.Optional(Word),
															'Key of the small box in which the set stands there.'
														)
													},
													closed
												)
											),
											'Dividers with what stands behind them.'
										)
									},
									closed
								)
							),
							'Its rows, in order.'
						),
						fill: said(Type.Number({ minimum: 0 }), 'Share of the box that is filled.')
					},
					closed
				)
			),
			'The boxes, in order.'
		),
		choices: said(
			Type.Array(Type.Object({ set: said(Word, 'Key of the set.'), ...choice }, closed)),
			'What was decided for each set.'
		),
		brokenOverBoxes: said(Type.Array(Type.String()), 'Keys of sets in more than one box.'),
		brokenOverRows: said(Type.Array(Type.String()), 'Keys of sets in more than one row.')
	},
	closed
);

export const BoxWeightInput = Type.Object(
	{
		parts: said(
			list(
				Type.Object(
					{
						count: said(Whole, 'How many such cards.'),
						format: said(Type.Optional(FormatSchema), 'What they are made like.'),
						holder: said(Type.Optional(Holder), 'Key of the holder of each; left out: none.')
					},
					closed
				),
				10_000
			),
			'What is in the box.'
		),
		tareG: said(Type.Optional(Grams), 'Weight of the empty box, in grams; left out: nothing.'),
		shelf: said(
			Type.Optional(
				Type.Object(
					{
						otherBoxesG: said(list(Grams, 1000), 'What else stands there, box by box, in grams.'),
						ratingG: said(
							Type.Optional(Grams),
							'What its maker says it bears, in grams; left out: not known.'
						)
					},
					closed
				)
			),
			'The shelf it stands on.'
		)
	},
	closed
);
export const BoxWeightOutput = Type.Object(
	{
		grams: said(Type.Integer({ minimum: 0 }), 'Weight of the box.'),
		lift: said(Type.Enum([...LIFTS]), 'light; with care: from 9 kg; too heavy: over 23 kg.'),
		caution: said(orNull(Type.String()), 'A caution in words; null: none is needed.'),
		shelf: said(
			Type.Optional(
				Type.Object(
					{
						grams: said(Grams, 'What stands on it in all.'),
						isOver: said(
							orNull(Type.Boolean()),
							'Whether that is more than its rating; null: the rating is not known.'
						)
					},
					closed
				)
			),
			'The shelf with the box on it.'
		)
	},
	closed
);

export type ChooseBoxRequest = Static<typeof ChooseBoxInput>;
export type PlanBoxesRequest = Static<typeof PlanBoxesInput>;
export type BoxWeightRequest = Static<typeof BoxWeightInput>;

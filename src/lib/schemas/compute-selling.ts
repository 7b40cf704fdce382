import { Type, type Static } from 'typebox';
import { TURNINGS } from '../core/selling/parcels/turned-box.ts';
import { closed, list, Minor, orNull, said, Whole, Word } from './vocabulary.ts';

/* Selling: sets that are built to be sold, boxes into parcels. */

const Optional = Type.Optional;
const Signed = Type.Integer();
const Amount = Type.Integer({ minimum: 0 });
const Share = Type.Number({ minimum: 0, maximum: 1 });
const Hours = Type.Number({ minimum: 0, maximum: 100_000 });
const Sum = Type.Number({ minimum: 0 });
const Sets = Type.Integer({ minimum: 1, maximum: 200 });
const Mm = Type.Integer({ minimum: 1, maximum: 5000 });
const Grams = Type.Integer({ minimum: 0, maximum: 1_000_000 });
const Sides = {
	lengthMm: said(Mm, 'In whole millimetres.'),
	widthMm: said(Mm, 'In whole millimetres.'),
	heightMm: said(Mm, 'In whole millimetres.')
};

export const BuildToSellInput = Type.Object(
	{
		parts: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the part: commons, inserts, a key card.'),
						isKey: said(Optional(Type.Boolean()), 'A key card; left out: no.'),
						valueMinor: said(
							Optional(orNull(Minor)),
							'What it sells for by itself, of one set; left out: nobody has said.'
						),
						offers: said(
							list(
								Type.Object(
									{
										key: said(Word, 'Names the offer.'),
										feedsSets: said(Sets, 'So many sets have the part of it.'),
										priceMinor: said(Minor, 'Its price.'),
										available: said(
											Optional(Type.Integer({ minimum: 0, maximum: 200 })),
											'So many can be bought; left out: 200.'
										),
										hours: said(Optional(Hours), 'What going through it takes; left out: 0.')
									},
									closed
								),
								50
							),
							'What can be bought of it.'
						)
					},
					closed
				),
				200,
				{ minItems: 1 }
			),
			'What a set is made of.'
		),
		sales: said(
			list(
				Type.Object(
					{
						sets: said(Type.Integer({ minimum: 0, maximum: 200 }), 'So many sets sell …'),
						priceMinor: said(Minor, '… at this price each.')
					},
					closed
				),
				50
			),
			'What the market takes, the first buyers first.'
		),
		mostSets: said(Optional(Sets), 'The most that are looked at; left out: 50.'),
		feeShare: said(Optional(Share), 'What the market takes of the price; left out: 0.'),
		suppliesMinor: said(Optional(Minor), 'Box and dividers of a set; left out: 0.'),
		packingMinor: said(Optional(Minor), 'Packing of a set; left out: 0.'),
		postageMinor: said(Optional(Minor), 'Postage of a set that the seller pays; left out: 0.'),
		fixedMinor: said(Optional(Minor), 'What is paid once; left out: 0.'),
		hoursFixed: said(Optional(Hours), 'Hours that it takes once; left out: 0.'),
		hoursPerSet: said(Optional(Hours), 'Hours a set; left out: 0.')
	},
	closed
);
export type BuildToSellRequest = Static<typeof BuildToSellInput>;

export const BuildToSellOutput = Type.Object(
	{
		verdict: said(
			Type.Enum(['build', 'does not pay', 'price the key cards first', 'parts are missing']),
			'What comes of it.'
		),
		breakEvenSets: said(orNull(Sets), 'The fewest with which nothing is lost; null: none.'),
		bestSets: said(orNull(Sets), 'The number that wins most; null: every number loses.'),
		bestPerHourSets: said(orNull(Sets), 'The number that wins most an hour; null likewise.'),
		keyShare: said(
			orNull(Sum),
			'What of the first set’s price key cards bring by themselves; null: a price is missing.'
		),
		missing: said(Type.Array(Word), 'Parts of which nothing is offered.'),
		outcomes: said(
			Type.Array(
				Type.Object(
					{
						sets: said(Sets, 'So many sets.'),
						cardsMinor: said(Amount, 'What the cards cost.'),
						suppliesMinor: said(Amount, 'Supplies.'),
						packingMinor: said(Amount, 'Packing and postage.'),
						feesMinor: said(Amount, 'What the market takes.'),
						fixedMinor: said(Amount, 'What is paid once.'),
						costMinor: said(Amount, 'All of it.'),
						revenueMinor: said(Amount, 'What they sell for.'),
						profitMinor: said(Signed, 'What is left; below 0: lost.'),
						costPerSetMinor: said(Amount, 'Cost of a set.'),
						hours: said(Sum, 'Hours in all.'),
						hoursPerSet: said(Sum, 'Hours a set.'),
						profitPerHourMinor: said(orNull(Signed), 'Profit an hour; null: it takes no time.'),
						parts: said(
							Type.Array(
								Type.Object(
									{
										part: said(Word, 'The part.'),
										costMinor: said(Amount, 'What it costs.'),
										hours: said(Sum, 'Hours it takes.'),
										leftSets: said(Whole, 'So many sets’ worth of it is left over.'),
										bought: said(
											Type.Array(
												Type.Object(
													{
														key: said(Word, 'The offer.'),
														quantity: said(Whole, 'How many of it.')
													},
													closed
												)
											),
											'What is bought.'
										)
									},
									closed
								)
							),
							'Part by part.'
						)
					},
					closed
				)
			),
			'For 1, 2, … sets, as far as parts and buyers reach.'
		)
	},
	closed
);

export const FitParcelsInput = Type.Object(
	{
		boxes: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the kind of box.'),
						...Sides,
						grams: said(Grams, 'Of each, filled.'),
						quantity: said(
							Optional(Type.Integer({ minimum: 1, maximum: 60 })),
							'How many; left out: 1.'
						),
						turning: said(
							Optional(Type.Enum([...TURNINGS])),
							'any: it may lie on every side. upright: its lid stays on top. Left out: any.'
						),
						buyer: said(Optional(Word), 'Who gets it; left out: all go to one.')
					},
					closed
				),
				60,
				{ minItems: 1 }
			),
			'What is sent.'
		),
		parcels: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the kind of parcel.'),
						...Sides,
						mostGrams: said(Grams, 'What it may weigh with everything in it.'),
						tareGrams: said(Optional(Grams), 'Its own weight; left out: 0.'),
						rates: said(
							list(
								Type.Object(
									{
										upToGrams: said(Grams, 'Up to this weight …'),
										priceMinor: said(Minor, '… it costs so much.')
									},
									closed
								),
								30,
								{ minItems: 1 }
							),
							'The lightest first; a flat rate has one.'
						)
					},
					closed
				),
				30,
				{ minItems: 1 }
			),
			'What it can be sent in: inner sizes.'
		)
	},
	closed
);
export type FitParcelsRequest = Static<typeof FitParcelsInput>;

const Counted = Type.Array(
	Type.Object({ box: said(Word, 'The box.'), quantity: said(Whole, 'How many.') }, closed)
);
const At = Type.Integer({ minimum: 0 });

export const FitParcelsOutput = Type.Object(
	{
		totalMinor: said(Amount, 'What all parcels cost.'),
		isProven: said(
			Type.Boolean(),
			'No other way is cheaper. False: some searches gave up, and what they asked was taken not to go.'
		),
		buyers: said(
			Type.Array(
				Type.Object(
					{
						buyer: said(orNull(Word), 'Who gets them; null: nobody was named.'),
						totalMinor: said(Amount, 'What these parcels cost.'),
						isProven: said(Type.Boolean(), 'No other way is cheaper.'),
						left: said(Counted, 'What goes into no parcel, by size or weight.'),
						parcels: said(
							Type.Array(
								Type.Object(
									{
										parcel: said(Word, 'The kind of parcel.'),
										counts: said(Counted, 'What is in it.'),
										grams: said(Grams, 'What it weighs.'),
										priceMinor: said(Amount, 'What it costs.'),
										placements: said(
											Type.Array(
												Type.Object(
													{
														key: said(Word, 'The box.'),
														xMm: said(At, 'Along the parcel, from its near lower left corner.'),
														yMm: said(At, 'Across it.'),
														zMm: said(At, 'Upright.'),
														alongMm: said(Mm, 'Its side along the parcel as it lies.'),
														acrossMm: said(Mm, 'Across it.'),
														uprightMm: said(Mm, 'Upright.')
													},
													closed
												)
											),
											'In the order in which they are laid in.'
										)
									},
									closed
								)
							),
							'The cheapest parcels.'
						)
					},
					closed
				)
			),
			'Several sets to one buyer share their parcels.'
		)
	},
	closed
);

import { Type, type Static } from 'typebox';
import { EMPTY_KINDS } from '../core/worth/ladder/ladder-cell.ts';
import { ESTIMATE_BASES, ESTIMATE_FLAGS } from '../core/worth/prices/estimate-price.ts';
import { WORTH_BASES } from '../core/worth/value/set-worth.ts';
import { ExchangeRatesSchema } from './exchange-rates.ts';
import { Day, GradeSchema, PricePointFields, QualityFields } from './price-point.ts';
import { closed, Currency, list, Minor, orNull, said, Whole, Word } from './vocabulary.ts';

/* What cards are worth: estimates, the ladder, populations, grading, sets. */

const Optional = Type.Optional;
const Amount = Type.Integer({ minimum: 0 });
const Signed = Type.Integer();
const Share = Type.Number({ minimum: 0, maximum: 1 });
const Ratio = Type.Number({ minimum: 0 });
const Label = Type.String({ minLength: 1, maxLength: 80 });
const Some = Type.Integer({ minimum: 1, maximum: 1_000_000 });

const Points = list(Type.Object(PricePointFields, closed), 50_000);
const Ground = {
	currency: said(Currency, 'What is reckoned in.'),
	on: said(Day, 'The day that is asked about, ISO 8601; what was said later is passed over.'),
	points: said(Points, 'The price book.'),
	rates: said(Optional(ExchangeRatesSchema), 'By which points in other money are converted.'),
	rules: said(
		Optional(
			Type.Object(
				{
					mostSales: said(
						Optional(Type.Integer({ minimum: 1, maximum: 50 })),
						'The most sales that make a typical price, the latest first; left out: 5.'
					),
					oldMonths: said(
						Optional(Type.Integer({ minimum: 1, maximum: 1200 })),
						'A sale is old when it lies further back; left out: 24.'
					)
				},
				closed
			)
		),
		'What is reckoned by.'
	)
};

const PopulationReportSchema = Type.Object(
	{
		version: said(Word, 'The version that was counted.'),
		house: said(Word, 'The house that says so.'),
		on: said(Day, 'The day it said so, ISO 8601.'),
		source: said(Optional(Word), 'Where it stands.'),
		counts: said(
			list(
				Type.Object({ ...QualityFields, count: said(Whole, 'Copies of this grade.') }, closed),
				200
			),
			'By grade; one with a qualifier stands by itself, so do authentic ones.'
		),
		total: said(Optional(Whole), 'The sum as the house says it; left out: it says none.')
	},
	closed
);
const HousesSchema = list(
	Type.Object(
		{
			name: said(Word, 'The house.'),
			grades: said(list(GradeSchema, 19), 'Grades that it gives.'),
			givesAuthentic: said(Optional(Type.Boolean()), 'Whether it gives authentic; left out: yes.')
		},
		closed
	),
	100
);

const SaleSchema = Type.Object(
	{
		lowMinor: said(Amount, 'From this much …'),
		highMinor: said(Amount, '… to this much.'),
		on: said(Day, 'The day.'),
		house: said(orNull(Word), 'The house that graded it; null: not said.'),
		source: said(orNull(Word), 'Where it was sold; null: not said.')
	},
	closed
);
const Flags = Type.Array(Type.Enum([...ESTIMATE_FLAGS]));
const FLAGS_SAID =
	'lone sale: a single one. two sales: fewer than make a typical price. old: the latest is older than the rule says. no sale: nobody is known to have paid anything.';

export const EstimatePriceInput = Type.Object(
	{
		copies: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the copy in the answer.'),
						version: said(Word, 'Its version.'),
						...QualityFields,
						house: said(Optional(Word), 'The house that graded it; left out: prices of all houses.')
					},
					closed
				),
				50_000
			),
			'What is to be estimated.'
		),
		ratios: said(
			Optional(
				list(
					Type.Object(
						{
							version: said(Word, 'A printing …'),
							against: said(Word, '… and what it is held against.')
						},
						closed
					),
					2000
				)
			),
			'Printings that are compared.'
		),
		...Ground
	},
	closed
);
export type EstimatePriceRequest = Static<typeof EstimatePriceInput>;

const CurvePointSchema = Type.Object(
	{
		label: said(Label, 'The grade or condition.'),
		typicalMinor: said(Amount, 'As it was found.'),
		monotoneMinor: said(
			Amount,
			'Where a better one never costs less: isotonic regression, a sale weighing half for each year back.'
		),
		isMoved: said(Type.Boolean(), 'It is not what was found.'),
		sales: said(Whole, 'Sales that it rests on.'),
		on: said(Day, 'The day of the latest.')
	},
	closed
);

export const EstimatePriceOutput = Type.Object(
	{
		estimates: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'The copy.'),
						basis: said(
							Type.Enum([...ESTIMATE_BASES]),
							'sales: the median of the last. asking, estimate: nothing was sold. unknown: nothing was said.'
						),
						middleMinor: said(orNull(Amount), 'The typical price; null: nothing is known.'),
						lowMinor: said(orNull(Amount), 'The lowest it rests on; null likewise.'),
						highMinor: said(orNull(Amount), 'The highest it rests on; null likewise.'),
						confidence: said(
							orNull(Share),
							'How surely the middle of such sales lies between them, 1 − 2^(1 − n); null: no sales.'
						),
						points: said(Whole, 'Prices it rests on.'),
						on: said(orNull(Day), 'The day of the latest of them; null: none.'),
						ageDays: said(orNull(Whole), 'How long ago that is, in days; null: none.'),
						flags: said(Flags, FLAGS_SAID),
						asking: said(
							orNull(
								Type.Object(
									{
										lowMinor: said(Amount, 'From this much …'),
										highMinor: said(Amount, '… to this much.'),
										on: said(Day, 'The day.')
									},
									closed
								)
							),
							'The last that was asked for one like it; null: nothing.'
						)
					},
					closed
				)
			),
			'What each copy is worth, by sales of copies like it.'
		),
		curves: said(
			Type.Array(
				Type.Object(
					{
						version: said(Word, 'The version.'),
						house: said(orNull(Word), 'Of this house; null: raw, or no house was said.'),
						scale: said(Type.Enum(['grades', 'conditions']), 'What it rises over.'),
						points: said(Type.Array(CurvePointSchema), 'The worst first.'),
						inversions: said(
							Type.Array(
								Type.Object(
									{
										better: said(Label, 'The better one …'),
										betterMinor: said(Amount, '… and what it sold for.'),
										worse: said(Label, 'The worse one …'),
										worseMinor: said(Amount, '… that sold for more.')
									},
									closed
								)
							),
							'Every pair that is the wrong way round.'
						)
					},
					closed
				)
			),
			'How prices rise with quality, by version, house and scale.'
		),
		slips: said(
			Type.Array(
				Type.Object(
					{
						point: said(Whole, 'Which point of the body, from 0.'),
						againstMinor: said(Amount, 'The median of the others like it.'),
						others: said(Whole, 'How many others; with one, either may be wrong.')
					},
					closed
				)
			),
			'Points that are ten times, or a tenth, of the others like them.'
		),
		ratios: said(
			Type.Array(
				Type.Object(
					{
						version: said(Word, 'The printing.'),
						against: said(Word, 'What it is held against.'),
						ratio: said(
							orNull(Ratio),
							'The median over the qualities both were sold in; null: none.'
						),
						low: said(orNull(Ratio), 'The lowest.'),
						high: said(orNull(Ratio), 'The highest.'),
						qualities: said(Type.Array(Label), 'The qualities, with the house behind.')
					},
					closed
				)
			),
			'How many times as much a printing costs.'
		)
	},
	closed
);

export const GradeLadderInput = Type.Object(
	{
		cards: said(
			list(
				Type.Object(
					{
						version: said(Word, 'The version.'),
						isKey: said(Optional(Type.Boolean()), 'A key card; left out: no.')
					},
					closed
				),
				5000
			),
			'The rows.'
		),
		columns: said(
			list(Label, 60, { minItems: 1 }),
			'Grades and conditions: 8, 8.5, near mint, authentic, 8 (off centre), raw.'
		),
		populations: said(Optional(list(PopulationReportSchema, 20_000)), 'What houses count.'),
		house: said(Optional(Word), 'Only what this house graded; left out: all together.'),
		rank: said(
			Optional(
				Type.Object(
					{
						column: said(Optional(Label), 'What is ranked by; left out: the first column.'),
						top: said(Optional(Some), 'So many are the top; left out: 10.'),
						nearShare: said(
							Optional(Share),
							'A card of at least this part of the last of the top nearly made it; left out: 0.8.'
						)
					},
					closed
				)
			),
			'How it is ranked.'
		),
		jump: said(
			Optional(Type.Number({ exclusiveMinimum: 1, maximum: 1000 })),
			'A step to so many times the price is a jump; left out: 2.'
		),
		...Ground
	},
	closed
);
export type GradeLadderRequest = Static<typeof GradeLadderInput>;

export const GradeLadderOutput = Type.Object(
	{
		rows: said(
			Type.Array(
				Type.Object(
					{
						version: said(Word, 'The version.'),
						standing: said(
							Type.Enum(['top', 'near miss', 'below', 'no price']),
							'Where it stands in the column that is ranked by.'
						),
						bestToBuy: said(
							orNull(Label),
							'The best grade reached without a jump; null: no price.'
						),
						cells: said(
							Type.Array(
								Type.Object(
									{
										label: said(Label, 'The column.'),
										priceMinor: said(orNull(Amount), 'The typical price of today; null: empty.'),
										lowMinor: said(orNull(Amount), 'From this much; null likewise.'),
										highMinor: said(orNull(Amount), 'To this much; null likewise.'),
										empty: said(
											orNull(Type.Enum([...EMPTY_KINDS])),
											'none graded, never sold, sold long ago; not known: no house reports on the card. null: it has a price.'
										),
										sales: said(Whole, 'Sales it rests on.'),
										isLone: said(Type.Boolean(), 'A single one.'),
										lastSale: said(orNull(SaleSchema), 'The last sale by itself; null: none.'),
										askingMinor: said(orNull(Amount), 'What was asked last; null: nothing.'),
										graded: said(orNull(Whole), 'Copies graded so; null: not known.'),
										isMixed: said(Type.Boolean(), 'Sales of more houses than one.'),
										rank: said(orNull(Some), 'Its place at this grade, 1 for the dearest.')
									},
									closed
								)
							),
							'A cell for each column.'
						),
						steps: said(
							Type.Array(
								Type.Object(
									{
										from: said(Label, 'From this grade …'),
										to: said(Label, '… to the next that has a price.'),
										addsMinor: said(Signed, 'It costs so much more; below 0: less.'),
										factor: said(orNull(Ratio), 'So many times the price; null: of nothing.'),
										isJump: said(Type.Boolean(), 'At least the jump of the rule.'),
										isThin: said(Type.Boolean(), 'One of the two is a lone sale.')
									},
									closed
								)
							),
							'Over the grades, the worst first.'
						)
					},
					closed
				)
			),
			'The dearest first at the grade that is ranked by.'
		),
		columns: said(
			Type.Array(
				Type.Object(
					{
						label: said(Label, 'The column.'),
						priced: said(Whole, 'Cards that have a price.'),
						totalMinor: said(Amount, 'What they come to.'),
						keyShare: said(orNull(Share), 'The part of key cards; null: it comes to nothing.'),
						topShare: said(orNull(Share), 'The part of the top; null likewise.')
					},
					closed
				)
			),
			'Sums of each column.'
		)
	},
	closed
);

export const PopulationInput = Type.Object(
	{
		reports: said(
			list(PopulationReportSchema, 20_000),
			'What houses said; of each the latest counts.'
		),
		least: said(Optional(GradeSchema), 'Good from this grade on; left out: 8.'),
		houses: said(
			Optional(HousesSchema),
			'Houses with their grades: what none of them gives is refused; left out: every half grade.'
		)
	},
	closed
);
export type PopulationRequest = Static<typeof PopulationInput>;

export const PopulationOutput = Type.Object(
	{
		versions: said(
			Type.Array(
				Type.Object(
					{
						version: said(Word, 'The version.'),
						graded: said(Whole, 'All that were graded.'),
						numbered: said(Whole, 'Those with a number, clean or not.'),
						qualified: said(Whole, 'Of them those with a qualifier.'),
						authentic: said(Whole, 'Those without a number.'),
						atLeast: said(Whole, 'Clean ones at the asked grade or better.'),
						shareAtLeast: said(
							orNull(Share),
							'Their part of all that have a number; null: none has.'
						),
						finest: said(
							orNull(
								Type.Object(
									{
										grade: said(GradeSchema, 'The best clean grade.'),
										count: said(Some, 'How many have it.'),
										houses: said(Type.Array(Word), 'Who gave it.')
									},
									closed
								)
							),
							'The finest known; null: no clean copy has a number.'
						),
						levels: said(
							Type.Array(
								Type.Object(
									{
										label: said(Label, 'The grade.'),
										count: said(Whole, 'Copies, over the houses.'),
										above: said(Whole, 'Clean copies of a better grade.'),
										byHouse: said(Type.Record(Type.String(), Whole), 'Copies of each house.')
									},
									closed
								)
							),
							'The best first.'
						),
						reports: said(
							Type.Array(
								Type.Object(
									{
										house: said(Word, 'The house.'),
										on: said(Day, 'The day of its latest report.'),
										source: said(Optional(Word), 'Where it stands.'),
										count: said(Whole, 'Copies in it.')
									},
									closed
								)
							),
							'The reports that count.'
						)
					},
					closed
				)
			),
			'By version; the same copy can be counted twice, so these are the most that there are.'
		),
		wrongSums: said(
			Type.Array(
				Type.Object(
					{
						version: said(Word, 'The version.'),
						house: said(Word, 'The house.'),
						on: said(Day, 'The day.'),
						statedTotal: said(Whole, 'The sum that it states.'),
						sum: said(Whole, 'What its numbers come to.')
					},
					closed
				)
			),
			'Reports that do not add up.'
		)
	},
	closed
);

export const ScarcityRatioInput = Type.Object(
	{
		against: said(Whole, 'How many of what it is held against were counted.'),
		counts: said(
			list(
				Type.Object(
					{ key: said(Word, 'Names it.'), count: said(Whole, 'How many were counted.') },
					closed
				),
				5000,
				{ minItems: 1 }
			),
			'What is held against it.'
		),
		confidence: said(
			Optional(Type.Number({ exclusiveMinimum: 0, exclusiveMaximum: 1, maximum: 0.9999 })),
			'Of the interval; left out: 0.95.'
		)
	},
	closed
);
export type ScarcityRatioRequest = Static<typeof ScarcityRatioInput>;

export const ScarcityRatioOutput = Type.Object(
	{
		ratios: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'What was held against it.'),
						times: said(orNull(Ratio), 'So many times scarcer; null: none of it is known.'),
						low: said(Ratio, 'At least …'),
						high: said(orNull(Ratio), '… and at most so many times; null: no bound.'),
						verdict: said(
							Type.Enum(['scarcer', 'commoner', 'cannot tell']),
							'cannot tell: the interval holds 1.'
						)
					},
					closed
				)
			),
			'Exact, of two Poisson counts (Clopper and Pearson given their sum).'
		)
	},
	closed
);

export const GradeOrNotInput = Type.Object(
	{
		rawMinor: said(Minor, 'What it sells for as it is.'),
		feeMinor: said(Minor, 'What the house takes.'),
		postageMinor: said(Optional(Minor), 'Postage and insurance both ways; left out: 0.'),
		sellingShare: said(
			Optional(Share),
			'What is taken when it is sold, raw or graded; left out: 0.'
		),
		chances: said(
			Optional(
				list(Type.Object({ ...QualityFields, chance: said(Share, 'How likely.') }, closed), 60)
			),
			'At most 1 together; what is left comes back without a grade.'
		),
		counts: said(
			Optional(
				list(Type.Object({ ...QualityFields, count: said(Whole, 'Copies of it.') }, closed), 200)
			),
			'Instead: a population, whose shares are the chances.'
		),
		eye: said(
			Optional(
				Type.Object(
					{
						grade: said(GradeSchema, 'What the collector thinks it is.'),
						differences: said(
							Optional(list(Type.Number({ minimum: -9, maximum: 9, multipleOf: 0.5 }), 5000)),
							'What came back less what was thought, of earlier cards; left out: none.'
						)
					},
					closed
				)
			),
			'Instead: an estimate of one’s own.'
		),
		prices: said(
			list(
				Type.Object(
					{
						...QualityFields,
						middleMinor: said(Minor, 'What it typically sells for.'),
						lowMinor: said(Optional(Minor), 'At least; left out: the same.'),
						highMinor: said(Optional(Minor), 'At most; left out: the same.')
					},
					closed
				),
				60
			),
			'Prices of the grades.'
		),
		hopedGrade: said(
			Optional(GradeSchema),
			'The break-even is of this or better; left out: the best that has a price.'
		)
	},
	closed
);
export type GradeOrNotRequest = Static<typeof GradeOrNotInput>;

export const GradeOrNotOutput = Type.Object(
	{
		verdict: said(Type.Enum(['grade', 'leave it raw']), 'Whether it pays on average.'),
		gainMinor: said(Signed, 'What grading wins on average against selling it raw; below 0: loses.'),
		gainLowMinor: said(Signed, 'The same at the lowest prices.'),
		gainHighMinor: said(Signed, 'The same at the highest.'),
		lossChance: said(Type.Number({ minimum: 0, maximum: 1.000001 }), 'How likely money is lost.'),
		hopedGrade: said(
			orNull(GradeSchema),
			'The grade of the break-even; null: no grade has a price.'
		),
		hopedChance: said(
			Type.Number({ minimum: 0, maximum: 1.000001 }),
			'How likely it or a better one is.'
		),
		breakEvenChance: said(
			orNull(Share),
			'From this chance on it pays, the others in proportion; 0: always; null: never.'
		),
		outcomes: said(
			Type.Array(
				Type.Object(
					{
						label: said(Label, 'What comes back.'),
						chance: said(Type.Number({ minimum: 0, maximum: 1.000001 }), 'How likely.'),
						valueMinor: said(Amount, 'What it sells for then.'),
						gainMinor: said(Signed, 'What is won by it, everything paid.'),
						isAssumed: said(Type.Boolean(), 'No price is known: the next worse one is taken.')
					},
					closed
				)
			),
			'The best first.'
		)
	},
	closed
);

const WorthSumFields = {
	copies: said(Whole, 'Copies.'),
	unpriced: said(Whole, 'Copies in no sum.'),
	lowMinor: said(Amount, 'At the lowest prices.'),
	totalMinor: said(Amount, 'At the typical prices.'),
	highMinor: said(Amount, 'At the highest prices.'),
	lowerMinor: said(Amount, 'Everything one step worse.'),
	keyShare: said(orNull(Share), 'The part of key cards; null: it comes to nothing.'),
	unsureShare: said(
		orNull(Share),
		'The part that rests on a lone or old sale, or on none; null likewise.'
	)
};

export const SetWorthInput = Type.Object(
	{
		copies: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names it in the answer.'),
						version: said(Word, 'Its version.'),
						...QualityFields,
						house: said(Optional(Word), 'The house that graded it.'),
						quantity: said(Optional(Some), 'Equal copies; left out: 1.'),
						isKey: said(Optional(Type.Boolean()), 'A key card; left out: no.'),
						group: said(Optional(Word), 'What sums are made by; left out: all together.'),
						saidMinor: said(Optional(Minor), 'What its owner says; left out: nothing.')
					},
					closed
				),
				50_000
			),
			'What is there.'
		),
		lowerShare: said(
			Optional(Share),
			'What one step worse is worth where none was sold; left out: 0.5 (common practice, no source).'
		),
		days: said(
			Optional(list(Day, 400)),
			'What it was worth on these days, by what was known then.'
		),
		panels: said(
			Optional(
				list(
					Type.Object(
						{
							panel: said(Word, 'Version of the intact panel.'),
							singles: said(list(Word, 50, { minItems: 1 }), 'Versions of its singles.'),
							...QualityFields
						},
						closed
					),
					2000
				)
			),
			'Panels that are held against their singles, all in one quality.'
		),
		...Ground
	},
	closed
);
export type SetWorthRequest = Static<typeof SetWorthInput>;

export const SetWorthOutput = Type.Object(
	{
		...WorthSumFields,
		groups: said(
			Type.Array(Type.Object({ group: said(Word, 'The group.'), ...WorthSumFields }, closed)),
			'By group.'
		),
		lines: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'The copy.'),
						version: said(Word, 'Its version.'),
						group: said(Word, 'Its group.'),
						quantity: said(Some, 'Equal copies.'),
						basis: said(Type.Enum([...WORTH_BASES]), 'How it is known; said: by its owner.'),
						lowMinor: said(Amount, 'Each at least; 0 where it is unknown.'),
						eachMinor: said(Amount, 'Each at the typical price.'),
						highMinor: said(Amount, 'Each at most.'),
						lowerMinor: said(Amount, 'Each one step worse.'),
						lowerBasis: said(Type.Enum(['sales', 'share']), 'By sales of such, or by the share.'),
						on: said(orNull(Day), 'The day of the latest price; null: none, or its owner’s word.'),
						flags: said(Flags, FLAGS_SAID)
					},
					closed
				)
			),
			'Copy by copy.'
		),
		overTime: said(
			Type.Array(
				Type.Object(
					{
						on: said(Day, 'The day.'),
						totalMinor: said(Amount, 'What it was worth.'),
						unpriced: said(Whole, 'Copies without a price by then.')
					},
					closed
				)
			),
			'By what was known then.'
		),
		panels: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'The panel.'),
						intactMinor: said(orNull(Amount), 'Intact; null: not known.'),
						singlesMinor: said(Amount, 'Its singles that have a price.'),
						unpriced: said(Whole, 'Singles that have none.'),
						dearer: said(
							Type.Enum(['intact', 'singles', 'the same', 'cannot tell']),
							'Which is worth more.'
						),
						byMinor: said(orNull(Amount), 'By how much; null: that cannot be told.')
					},
					closed
				)
			),
			'Panels against their singles.'
		)
	},
	closed
);

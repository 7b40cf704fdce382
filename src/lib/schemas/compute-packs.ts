import { Type, type Static } from 'typebox';
import { PackProfileSchema } from './pack-profile.ts';
import { closed, list, Minor, orNull, said, Word } from './vocabulary.ts';

/* What packs promise, when to stop opening, what opened packs say of the odds. */

const Optional = Type.Optional;
const Packs = Type.Integer({ minimum: 0, maximum: 1_000_000 });
const Chance = Type.Number({ minimum: 0, maximum: 1 });
const Mean = Type.Number({ minimum: 0 });
/** Worked out in money: parts of a minor unit. */
const Amount = Type.Number();

const TradesSchema = Type.Object(
	{
		isWithinGroup: said(
			Optional(Type.Boolean()),
			'Doubles of a group go for its missing cards, one for one; left out: false.'
		),
		othersFor: said(
			Optional(
				list(
					Type.Object(
						{
							group: said(Word, 'Key of the harder group.'),
							doubles: said(
								Type.Number({ minimum: 0, maximum: 10_000 }),
								'Doubles of other groups that go for one of its missing cards.'
							)
						},
						closed
					),
					60
				)
			),
			'Harder cards for several doubles of others; left out: none.'
		)
	},
	closed
);
export type TradesRequest = Static<typeof TradesSchema>;

export const PackOddsInput = Type.Object(
	{
		profile: said(PackProfileSchema, 'What the packs hold, and what is lacking.'),
		packs: said(Type.Integer({ minimum: 1, maximum: 1_000_000 }), 'Packs that are opened.'),
		points: said(
			Optional(list(Packs, 2001)),
			'Packs at which the curves are told; left out: none.'
		),
		trades: said(Optional(TradesSchema), 'How doubles are traded in the end; left out: not at all.')
	},
	closed
);
export type PackOddsRequest = Static<typeof PackOddsInput>;

const GroupOddsSchema = Type.Object(
	{
		key: said(Word, 'Key of the group.'),
		expected: said(Mean, 'Copies on average.'),
		low: said(Mean, 'In nine cases of ten no fewer …'),
		high: said(Mean, '… and no more.'),
		chanceOfRange: said(Chance, 'The chance of that range, both ends counted in.'),
		chanceMissing: said(
			orNull(Chance),
			'The chance that a given lacking card does not come at all; null: none is lacking.'
		),
		distinct: said(Mean, 'Different cards that come, on average.'),
		found: said(Mean, 'Lacking copies that come, on average.'),
		missing: said(Mean, 'Lacking copies that are missing still, on average.'),
		doubles: said(Mean, 'Copies that fill nothing, on average.'),
		chanceComplete: said(Chance, 'The chance that nothing of it is lacking any more.'),
		packsToComplete: said(orNull(Mean), 'Packs on average until then; null: never.'),
		isExact: said(
			Type.Boolean(),
			'Whether chance and packs are exact; else different cards a pack were reckoned as drawn singly, which tells them a little too low and too many.'
		)
	},
	closed
);

export const PackOddsOutput = Type.Object(
	{
		groups: said(Type.Array(GroupOddsSchema), 'Each group after the packs asked for.'),
		points: said(Type.Array(Packs), 'Packs of each point of the curves.'),
		curves: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'Key of the group.'),
						missing: said(Type.Array(Mean), 'Lacking copies missing still, at each point.'),
						chanceComplete: said(Type.Array(Chance), 'The chance that none is, at each point.')
					},
					closed
				)
			),
			'Each group at each point.'
		),
		goal: said(
			Type.Object(
				{
					chances: said(
						Type.Array(Chance),
						'The chance that all groups are complete, at each point.'
					),
					chanceComplete: said(Chance, 'The same after the packs asked for.'),
					packsToComplete: said(
						orNull(Mean),
						'Packs on average until all are complete, within a few thousandths; of one lacking group as exact as its own. Null: never.'
					),
					isExact: said(
						Type.Boolean(),
						'Whether these chances are exact; else groups that take places of others were reckoned as if they did not.'
					)
				},
				closed
			),
			'Everything together.'
		),
		afterTrades: said(
			orNull(
				Type.Array(
					Type.Object(
						{
							key: said(Word, 'Key of the group.'),
							missing: said(Mean, 'Lacking copies that no double was traded for, on average.'),
							doubles: said(Mean, 'Doubles that are left.')
						},
						closed
					)
				)
			),
			'Each group after the packs asked for and the trades, where friends have everything; null: no trades are asked for.'
		)
	},
	closed
);

const Runs = Type.Integer({ minimum: 1, maximum: 1_000_000 });

export const SimulatePacksInput = Type.Object(
	{
		parts: said(
			list(
				Type.Object(
					{
						profile: said(PackProfileSchema, 'What a pack holds, and what is lacking.'),
						packs: said(
							Optional(Type.Integer({ minimum: 1, maximum: 1000 })),
							'Such packs opened at a time; left out: 1.'
						)
					},
					closed
				),
				20,
				{ minItems: 1 }
			),
			'What is opened at a time: one pack, or a format of several kinds. Groups of one key are the same cards; the first part that has one says what is lacking.'
		),
		runs: said(Optional(Runs), 'Collectors that are simulated; left out: 10,000.'),
		most: said(
			Optional(Type.Integer({ minimum: 1, maximum: 100_000_000 })),
			'A run ends unfinished after so many openings; left out: 1,000,000.'
		),
		seed: said(
			Optional(Type.Integer({ minimum: 0, maximum: 2 ** 31 })),
			'The same seed says the same; left out: 1.'
		),
		seconds: said(
			Optional(Type.Number({ minimum: 0.1, maximum: 9 })),
			'It ends after so long, with the runs that are done; left out: 8.'
		),
		trades: said(Optional(TradesSchema), 'How friends trade; left out: not at all.')
	},
	closed
);
export type SimulatePacksRequest = Static<typeof SimulatePacksInput>;

export const SimulatePacksOutput = Type.Object(
	{
		runs: said(Type.Integer({ minimum: 0 }), 'Runs that were done in the time.'),
		complete: said(Type.Integer({ minimum: 0 }), 'Of them complete within the most openings.'),
		mean: said(orNull(Mean), 'Openings until complete, over the complete runs; null: none was.'),
		standardError: said(orNull(Mean), 'How far that mean is off by chance, usually.'),
		low: said(orNull(Mean), 'One run in twenty took no more.'),
		median: said(orNull(Mean), 'Half of the runs took no more.'),
		high: said(orNull(Mean), '19 runs in twenty took no more.'),
		histogram: said(
			Type.Array(
				Type.Object(
					{
						from: said(Mean, 'Openings from …'),
						to: said(Mean, '… to, both counted in.'),
						runs: said(Type.Integer({ minimum: 0 }), 'Runs that ended there.')
					},
					closed
				)
			),
			'How many runs ended where.'
		),
		doubles: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'Key of the group.'),
						copies: said(Mean, 'Copies that filled nothing, on average.')
					},
					closed
				)
			),
			'What is left over at the end.'
		),
		formula: said(
			orNull(
				Type.Object(
					{
						packsToComplete: said(Mean, 'What the formula says.'),
						isExact: said(Type.Boolean(), 'Whether the formula is exact.'),
						errorsOff: said(Type.Number(), 'Standard errors between the two.'),
						agrees: said(Type.Boolean(), 'No more than four.')
					},
					closed
				)
			),
			'The mean beside the formula, where there is one: a single kind of pack, no guarantee, no trades, all runs complete.'
		)
	},
	closed
);

export const WhenToStopInput = Type.Object(
	{
		options: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the kind of pack.'),
						profile: said(
							PackProfileSchema,
							'What it holds; groups of one key are the same cards.'
						),
						priceMinor: said(Minor, 'Of one pack.'),
						packsTogether: said(
							Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
							'Packs that are bought together: a box. Left out: 1.'
						),
						most: said(
							Optional(Type.Integer({ minimum: 0, maximum: 20_000 })),
							'Packs that there are; left out: 2,000.'
						)
					},
					closed
				),
				6,
				{ minItems: 1 }
			),
			'Kinds of packs that may be opened.'
		),
		formats: said(
			Optional(
				list(
					Type.Object(
						{
							key: said(Word, 'Names the format.'),
							priceMinor: said(Minor, 'Of one.'),
							parts: said(
								list(
									Type.Object(
										{
											option: said(Word, 'Key of a kind of pack.'),
											packs: said(Type.Integer({ minimum: 1, maximum: 1000 }), 'So many of it.')
										},
										closed
									),
									6,
									{ minItems: 1 }
								),
								'The packs in it.'
							),
							most: said(
								Optional(Type.Integer({ minimum: 0, maximum: 20_000 })),
								'So many there are; left out: 500.'
							)
						},
						closed
					),
					6
				)
			),
			'Formats made of several packs: two ordinary and a bonus pack. Left out: none.'
		),
		prices: said(
			list(
				Type.Object(
					{
						group: said(Word, 'Key of a group.'),
						singleMinor: said(
							list(Minor, 200, { minItems: 1 }),
							'What a single costs, its postage with it: for all cards, or for each class in its order.'
						),
						extraMinor: said(
							Optional(list(Minor, 200, { minItems: 1 })),
							'What a copy brings that fills nothing, likewise; left out: nothing.'
						)
					},
					closed
				),
				60
			),
			'Prices of the cards; a group without costs and brings nothing.'
		)
	},
	closed
);
export type WhenToStopRequest = Static<typeof WhenToStopInput>;

const CostAtSchema = Type.Object(
	{
		packs: said(Packs, 'Packs opened.'),
		packsMinor: said(Amount, 'Paid for them.'),
		singlesMinor: said(Amount, 'Singles still missing then, on average.'),
		broughtMinor: said(Amount, 'What copies bring that fill nothing, on average.'),
		totalMinor: said(Amount, 'Packs and singles less what is brought.'),
		lowMinor: said(Amount, 'In nine cases of ten the total is about no less …'),
		highMinor: said(Amount, '… and no more.'),
		missing: said(Mean, 'Lacking copies missing still, on average.')
	},
	closed
);

export const WhenToStopOutput = Type.Object(
	{
		noneMinor: said(Amount, 'What the singles cost if none is opened.'),
		isNone: said(Type.Boolean(), 'Open none: singles cost less.'),
		options: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'Key of the kind.'),
						curve: said(Type.Array(CostAtSchema), 'The cost by packs opened.'),
						best: said(CostAtSchema, 'Where it is least.'),
						next: said(
							Type.Object(
								{
									packs: said(Packs, 'The next packs, bought together.'),
									costMinor: said(Amount, 'What they cost.'),
									bringsMinor: said(
										Amount,
										'Singles that need not be bought then, and extra copies.'
									)
								},
								closed
							),
							'What one more is worth now.'
						),
						newAPack: said(Mean, 'Lacking copies that a pack brings now, on average.'),
						isAtMost: said(Type.Boolean(), 'The best is all there are: more would be better still.')
					},
					closed
				)
			),
			'Each kind alone.'
		),
		best: said(
			Type.Object(
				{
					packs: said(
						Type.Array(
							Type.Object(
								{ key: said(Word, 'Key of the kind.'), packs: said(Packs, 'To open of it.') },
								closed
							)
						),
						'Packs of each kind.'
					),
					totalMinor: said(Amount, 'What all costs in the end, on average.'),
					savedMinor: said(Amount, 'Against buying singles only.')
				},
				closed
			),
			'All kinds together.'
		)
	},
	closed
);

export const OddsFitInput = Type.Object(
	{
		lines: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the group.'),
						stated: said(
							Type.Object(
								{
									cards: said(Type.Integer({ minimum: 1, maximum: 9999 }), 'So many …'),
									packs: said(
										Type.Integer({ minimum: 1, maximum: 1_000_000 }),
										'… in so many packs, at most a card a pack.'
									)
								},
								closed
							),
							'The odds as stated.'
						),
						packs: said(Packs, 'Packs that were opened.'),
						found: said(Packs, 'Of them held one.')
					},
					closed
				),
				200
			),
			'What was opened, group by group.'
		)
	},
	closed
);
export type OddsFitRequest = Static<typeof OddsFitInput>;

export const OddsFitOutput = Type.Object(
	{
		lines: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'Key of the group.'),
						expected: said(Mean, 'Cards on average, if the odds are as stated.'),
						low: said(Mean, 'In 19 cases of 20 no fewer …'),
						high: said(Mean, '… and no more.'),
						chance: said(
							Chance,
							'The chance of a number at least as unlikely as the one found (exact binomial, two-sided).'
						),
						leastRate: said(Chance, 'The part of packs that hold one is no less …'),
						mostRate: said(Chance, '… and no more, with 95 % certainty (Clopper and Pearson).'),
						verdict: said(
							Type.Enum(['as stated', 'fewer than stated', 'more than stated', 'too few packs']),
							'What can be said; several lines are held to less each (Holm), so that chance alone doubts none.'
						),
						packsToTell: said(
							Packs,
							'Packs from which on half the stated odds would be told, four times of five; 1,000,000: more than that.'
						)
					},
					closed
				)
			),
			'Each line, in the order given.'
		)
	},
	closed
);

import { Type, type Static } from 'typebox';
import { SEALED_TRUSTS } from '../core/packs/sealed/compare-sealed.ts';
import { PackProfileSchema } from './pack-profile.ts';
import { closed, list, Minor, orNull, said, Word } from './vocabulary.ts';

/* Packs that were opened, packs that are kept sealed, hidden tiles, the last cards of a set. */

const Optional = Type.Optional;
const Count = Type.Integer({ minimum: 0, maximum: 1_000_000 });
const Some = Type.Integer({ minimum: 1, maximum: 1_000_000 });
const Mean = Type.Number({ minimum: 0 });
const Chance = Type.Number({ minimum: 0, maximum: 1 });
const Percent = Type.Number({ minimum: -50, maximum: 100 });
/** Worked out in money, in whole minor units. */
const Amount = Type.Integer({ minimum: 0 });

const PullSchema = Type.Object(
	{
		version: said(Word, 'Names the version.'),
		quantity: said(Some, 'So many copies of it.'),
		isNew: said(Optional(Type.Boolean()), 'The first copy was a new one; left out: no.')
	},
	closed
);

export const OpenedPacksInput = Type.Object(
	{
		profile: said(PackProfileSchema, 'What such packs hold as stated.'),
		versions: said(
			Optional(
				list(
					Type.Object(
						{
							group: said(Word, 'Key of the group.'),
							versions: said(list(Word, 20_000), 'The versions it has.')
						},
						closed
					),
					60
				)
			),
			'Which versions are of which group; left out: what came is held against no odds.'
		),
		piles: said(
			list(
				Type.Object(
					{
						packs: said(Some, 'Packs that these are of.'),
						pulls: said(list(PullSchema, 5000), 'What they held.')
					},
					closed
				),
				2000
			),
			'What was opened, by the pack or by the box, in its order.'
		),
		packMinor: said(Optional(Minor), 'What a pack cost, in minor units; left out: not known.'),
		share: said(
			Optional(
				Type.Object(
					{
						rules: said(
							Type.String({ maxLength: 10_000 }),
							'A line a person, "Ada: Lighthouses; Ferries"; then "rest: in turn", or "rest: Ada".'
						),
						cards: said(
							list(
								Type.Object(
									{
										version: said(Word, 'A version that came.'),
										group: said(Optional(orNull(Word)), 'The group on its card; left out: none.'),
										valueMinor: said(
											Optional(orNull(Minor)),
											'What one is worth; left out: not known.'
										)
									},
									closed
								),
								20_000
							),
							'What is known of the versions; the groups among them are those that there are.'
						)
					},
					closed
				)
			),
			'How it is shared out; left out: with nobody.'
		)
	},
	closed
);
export type OpenedPacksRequest = Static<typeof OpenedPacksInput>;

const CameOut = Type.Array(
	Type.Object(
		{ version: said(Word, 'The version.'), quantity: said(Some, 'Copies of it.') },
		closed
	)
);

export const OpenedPacksOutput = Type.Object(
	{
		packs: said(Count, 'Packs opened.'),
		cards: said(Count, 'Cards that came.'),
		lines: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'Key of the group.'),
						found: said(Count, 'Copies that came.'),
						expected: said(Mean, 'Copies on average as stated.'),
						low: said(Mean, 'In 19 cases of 20 no fewer …'),
						high: said(Mean, '… and no more.'),
						perBox: said(
							orNull(Mean),
							'So many in every box, with the others of its place; null: by chance.'
						),
						verdict: said(
							orNull(
								Type.Enum(['as stated', 'fewer than stated', 'more than stated', 'too few packs'])
							),
							'What the exact binomial test says; null: so many come in each pack or box.'
						),
						chance: said(
							orNull(Chance),
							'The chance of a number at least as unlikely; null likewise.'
						)
					},
					closed
				)
			),
			'Each group against what is stated.'
		),
		strangers: said(CameOut, 'What came and is of no group.'),
		points: said(
			Type.Array(
				Type.Object(
					{
						packs: said(Count, 'Packs so far.'),
						cards: said(Count, 'Cards so far.'),
						fresh: said(Count, 'New ones so far.'),
						freshAPack: said(Mean, 'New ones a pack, over the last dozen packs or the last pile.'),
						costPerNewMinor: said(
							orNull(Mean),
							'What a new one cost over these; null: none came, or no price is known.'
						)
					},
					closed
				)
			),
			'How it went, pile after pile.'
		),
		shares: said(
			Type.Array(
				Type.Object(
					{
						name: said(Word, 'Who gets it.'),
						count: said(Count, 'Copies.'),
						valueMinor: said(Mean, 'What of them has a price.'),
						unpriced: said(Count, 'Copies without.'),
						cards: said(
							Type.Array(
								Type.Object(
									{
										version: said(Word, 'The version.'),
										quantity: said(Some, 'Copies of it.'),
										because: said(Type.Enum(['group', 'rest']), 'By its group, or of the rest.')
									},
									closed
								)
							),
							'What it is.'
						)
					},
					closed
				)
			),
			'Who gets what; nobody where it is not shared.'
		)
	},
	closed
);

export const CompareSealedInput = Type.Object(
	{
		packs: said(Some, 'Packs in it.'),
		costMinor: said(Optional(orNull(Minor)), 'What it cost; left out: not known.'),
		valueMinor: said(
			Optional(orNull(Minor)),
			'What it sells for now, sealed; left out: not known.'
		),
		trust: said(Type.Enum([...SEALED_TRUSTS]), 'How sure it is that nobody opened it.'),
		bringsMinor: said(
			Optional(orNull(Type.Number({ minimum: 0, maximum: 1e12 }))),
			'What its cards bring when it is opened: singles saved, extra copies; left out: not known.'
		),
		rules: said(
			Optional(
				Type.Object(
					{
						feePercent: said(
							Optional(Type.Number({ minimum: 0, maximum: 100 })),
							'What the market takes; left out: 12.'
						),
						sendMinor: said(Optional(Minor), 'What sending costs; left out: 500.'),
						yearlyPercent: said(
							Optional(Percent),
							'How it is guessed to rise a year; left out: 3.'
						),
						years: said(
							Optional(Type.Integer({ minimum: 0, maximum: 50 })),
							'How long it is kept; left out: 5.'
						),
						elsewherePercent: said(
							Optional(Percent),
							'What money brings elsewhere a year; left out: 4.'
						),
						likelyPercent: said(
							Optional(Type.Number({ minimum: 0, maximum: 100 })),
							'The chance that the likely is genuine; left out: 90.'
						),
						doubtfulPercent: said(
							Optional(Type.Number({ minimum: 0, maximum: 100 })),
							'And the doubtful; left out: 50.'
						)
					},
					closed
				)
			),
			'What is reckoned with.'
		)
	},
	closed
);
export type CompareSealedRequest = Static<typeof CompareSealedInput>;

export const CompareSealedOutput = Type.Object(
	{
		sellMinor: said(
			orNull(Amount),
			'Sold now, after fee and sending; null: its value is not known.'
		),
		keepMinor: said(orNull(Amount), 'Sold after the years, in money of now; null likewise.'),
		openMinor: said(orNull(Amount), 'Opened; null: not known.'),
		best: said(
			orNull(Type.Enum(['keep', 'open', 'sell'])),
			'The most of the three; null: none is known to bring anything.'
		),
		aheadMinor: said(Amount, 'So far ahead of the next.'),
		gainMinor: said(
			orNull(Type.Integer()),
			'What it gained over its cost; null: one of the two is not known.'
		),
		isDoubtful: said(Type.Boolean(), 'It may be resealed: never sold as certain.')
	},
	closed
);

export const HiddenTilesInput = Type.Object(
	{
		cards: said(
			list(
				Type.Object(
					{
						tiles: said(
							Type.Integer({ minimum: 1, maximum: 100 }),
							'Different tiles that a copy may hide.'
						),
						missing: said(Type.Integer({ minimum: 0, maximum: 100 }), 'Of them not here yet.'),
						unopened: said(
							Optional(Type.Integer({ minimum: 0, maximum: 1000 })),
							'Copies at hand; left out: none.'
						)
					},
					closed
				),
				500
			),
			'The cards that hide tiles.'
		)
	},
	closed
);
export type HiddenTilesRequest = Static<typeof HiddenTilesInput>;

const FirstAndAll = Type.Object(
	{ first: said(Mean, 'For the first prize.'), all: said(Mean, 'For all prizes.') },
	closed
);

export const HiddenTilesOutput = Type.Object(
	{
		cards: said(
			Type.Array(
				Type.Object(
					{
						copies: said(Mean, 'Copies of it on average until its set is full.'),
						chance: said(Chance, 'The chance that the copies at hand fill it.')
					},
					closed
				)
			),
			'Each card, in the order given.'
		),
		nearest: said(
			orNull(
				Type.Object(
					{ card: said(Count, 'Its place, from 0.'), copies: said(Mean, 'Copies on average.') },
					closed
				)
			),
			'The prize that takes the fewest copies; null: nothing is missing.'
		),
		chanceOfPrize: said(Chance, 'The chance of a prize at least from the copies at hand.'),
		prizes: said(Mean, 'Prizes from them on average.'),
		chosen: said(FirstAndAll, 'Copies on average where each is chosen.'),
		random: said(FirstAndAll, 'Copies on average where they come at random.')
	},
	closed
);

export const LastCardsInput = Type.Object(
	{
		cards: said(Type.Integer({ minimum: 1, maximum: 2000 }), 'Cards of the set.'),
		owned: said(
			Optional(Type.Integer({ minimum: 0, maximum: 2000 })),
			'Of them here; left out: none.'
		),
		perPack: said(
			Optional(Type.Integer({ minimum: 1, maximum: 200 })),
			'Different cards of it in a pack; left out: 1.'
		),
		odds: said(
			Optional(
				Type.Object(
					{
						cards: said(Type.Integer({ minimum: 1, maximum: 9999 }), 'So many …'),
						packs: said(
							Type.Integer({ minimum: 1, maximum: 9999 }),
							'… in so many packs, at most a card a pack.'
						)
					},
					closed
				)
			),
			'How often a pack has one of it; left out: as perPack says.'
		)
	},
	closed
);
export type LastCardsRequest = Static<typeof LastCardsInput>;

export const LastCardsOutput = Type.Object(
	{
		stages: said(
			Type.Array(
				Type.Object(
					{
						missing: said(Count, 'Until at most so many are missing …'),
						packs: said(Mean, '… it takes so many packs on average.')
					},
					closed
				)
			),
			'Part by part, down to none.'
		),
		curve: said(
			Type.Array(
				Type.Object(
					{ packs: said(Count, 'Packs opened.'), missing: said(Mean, 'Missing on average.') },
					closed
				)
			),
			'Missing cards at some numbers of packs.'
		),
		least: said(Mean, 'Packs on average if every card were a new one.'),
		all: said(Mean, 'Packs on average for all.'),
		beforeLast: said(Mean, 'And for all but the last tenth.'),
		lastCards: said(Count, 'The last tenth of the set, at least the last card.'),
		lastPart: said(Chance, 'Its part of all packs.')
	},
	closed
);

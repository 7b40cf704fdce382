import { Type, type Static } from 'typebox';
import { ChecklistBodySchema } from './checklist.ts';
import { VersionKeySchema } from './compute.ts';
import { ClassRulesSchema, KeptCardSchema } from './storage-class.ts';
import { ExchangeRatesSchema } from './exchange-rates.ts';
import { TiersSchema } from './compute-holders.ts';
import { closed, Currency, Holder, list, orNull, said, Whole, Word } from './vocabulary.ts';

export const StorageClassInput = Type.Object(
	{
		cards: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the card in the answer.'),
						...KeptCardSchema,
						holder: said(Type.Optional(Holder), 'Key of what it is in; left out: nothing.')
					},
					closed
				),
				20_000
			),
			'Copies, with what is known of each.'
		),
		rules: said(ClassRulesSchema, 'Storage classes; of those that hold the first counts.'),
		rates: said(
			Type.Optional(ExchangeRatesSchema),
			'Rates of exchange, by which values in other money are converted; left out: none.'
		),
		tiers: said(
			Type.Optional(TiersSchema),
			'Value tiers, each with its own box; left out: the usual ones.'
		),
		currency: said(Type.Optional(Currency), 'What the tiers are stated in; left out: EUR.')
	},
	closed
);
export type StorageClassRequest = Static<typeof StorageClassInput>;
export const StorageClassOutput = Type.Object(
	{
		cards: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'Names the card.'),
						name: said(
							orNull(Word),
							'Name of its class; null: no rule holds, it stays with its set.'
						),
						rule: said(orNull(Whole), 'Place of the rule in the list, from 0.'),
						why: said(Type.String(), 'Why it holds.'),
						use: said(
							Word,
							'What the box is for that it goes into: its class (in rigid holders apart), its value tier, or sets.'
						),
						undecided: said(
							Type.Array(Whole),
							'Rules passed over because its value is in other money, by place.'
						)
					},
					closed
				)
			),
			'Where each is kept.'
		)
	},
	closed
);

const StatedOdds = orNull(
	Type.Object(
		{
			cards: said(Whole, 'So many of them'),
			packs: said(Whole, 'in so many packs.')
		},
		closed
	)
);
const PackKey = said(Word, 'Key of the kind of pack.');
export const PackFinishesInput = Type.Object(
	{
		checklist: said(ChecklistBodySchema, 'The release.'),
		lacking: said(
			Type.Optional(list(VersionKeySchema, 2000)),
			'Versions that one lacks: for each, the packs that may hold it.'
		)
	},
	closed
);
export type PackFinishesRequest = Static<typeof PackFinishesInput>;
export const PackFinishesOutput = Type.Object(
	{
		finishes: said(
			Type.Array(
				Type.Object(
					{
						sectionKey: said(Word, 'Key of the section.'),
						parallelKey: said(orNull(Word), 'Key of the parallel; null: the base finish.'),
						cards: said(Whole, 'Cards of which this holds.'),
						packs: said(
							Type.Array(
								Type.Object(
									{ pack: PackKey, odds: said(StatedOdds, 'Stated odds; null: nobody says.') },
									closed
								)
							),
							'Kinds of packs that may hold it.'
						),
						channel: said(
							orNull(Type.String()),
							'Where else it comes from: "by post"; null: packs.'
						)
					},
					closed
				)
			),
			'Finishes of sections, and where they come from.'
		),
		lacking: said(
			Type.Array(
				Type.Object(
					{
						version: said(VersionKeySchema, 'Key of the version.'),
						packs: said(
							Type.Array(
								Type.Object(
									{
										pack: PackKey,
										odds: said(StatedOdds, 'Stated odds of its finish; null: nobody says.'),
										chance: said(
											orNull(Type.Number({ minimum: 0, maximum: 1 })),
											'That a pack holds just this card; null: nobody says.'
										)
									},
									closed
								)
							),
							'Kinds of packs that may hold it, the likeliest first.'
						)
					},
					closed
				)
			),
			'The versions asked for, in their order.'
		)
	},
	closed
);

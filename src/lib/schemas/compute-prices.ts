import { Type, type Static } from 'typebox';
import { FINISH_RULE_KEYS, FINISH_RULES } from '../core/buying/finish/finish-rule.ts';
import { LONGEST_PRICE_LINE } from '../core/buying/prices/price-phrase.ts';
import { PRICE_BASES } from '../core/buying/prices/price-sheet.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { VersionKeySchema } from './compute.ts';
import { ExchangeRatesSchema } from './exchange-rates.ts';
import { ConditionSchema, GradeNeedSchema } from './goal-rules.ts';
import { Day, PriceFields, PricePointFields } from './price-point.ts';
import {
	closed,
	Count,
	Currency,
	list,
	Minor,
	modes,
	orNull,
	said,
	Whole,
	Word
} from './vocabulary.ts';

const Share = Type.Number({ minimum: 0, maximum: 1 });
const Basis = Type.Enum([...PRICE_BASES]);
const BASIS_SAID =
	'sale, asking, estimate: somebody said it. lump: a share of one sum. neighbours: the median of cards like it. unknown: in no sum.';

const PricePointSchema = Type.Object(
	{ ...PricePointFields, version: said(VersionKeySchema, 'The version it was said of.') },
	closed
);

export const PriceSheetInput = Type.Object(
	{
		checklist: said(ChecklistBodySchema, 'The release, as a checklist file states it.'),
		wants: said(
			list(
				Type.Object(
					{
						versions: said(
							list(VersionKeySchema, 100, { minItems: 1 }),
							'Versions that would fill it, the one that names it first.'
						),
						quantity: said(Type.Optional(Count), 'How many are missing; left out: 1.'),
						leastCondition: said(Type.Optional(ConditionSchema), 'Left out: any.'),
						graded: said(Type.Optional(GradeNeedSchema), 'Asks for a graded copy.')
					},
					closed
				),
				20_000
			),
			'What is missing.'
		),
		currency: said(Currency, 'What is reckoned in.'),
		lines: said(
			Type.Optional(
				list(
					Type.Object(
						{
							line: said(
								Type.String({ minLength: 1, maxLength: LONGEST_PRICE_LINE }),
								'Prices as they are typed: 5 24 nm; 7 4–4.50; all commons 30.'
							),
							on: said(Type.Optional(Day), 'The day they were heard; left out: 1970-01-01.')
						},
						closed
					),
					1000
				)
			),
			'Lines of prices in the order in which they were typed.'
		),
		points: said(Type.Optional(list(PricePointSchema, 50_000)), 'The price book.'),
		rates: said(
			Type.Optional(ExchangeRatesSchema),
			'By which points in other money are converted.'
		),
		postageMinor: said(Type.Optional(Minor), 'Postage of a seller; left out: 500.')
	},
	closed
);
export type PriceSheetRequest = Static<typeof PriceSheetInput>;

export const PriceSheetOutput = Type.Object(
	{
		lines: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'The version of the want, or the words of the sum.'),
						wants: said(Type.Array(Word), 'Versions of the wants on the line.'),
						quantity: said(Count, 'Cards of the line.'),
						...PriceFields,
						basis: said(Basis, BASIS_SAID),
						isKey: said(Type.Boolean(), 'A rookie, key card or short print.'),
						on: said(Type.Optional(Day), 'The day of the latest price it comes from.'),
						reason: said(Type.Optional(Word), 'Why it is out of line.'),
						flag: said(
							Type.Optional(
								Type.Object(
									{
										kind: said(
											Type.Enum(['ten-fold', 'no neighbour']),
											'ten-fold: a decimal mark seems to have slipped. no neighbour: nothing like it costs so.'
										),
										againstMinor: said(Minor, 'What it is held against.'),
										against: said(
											Type.Enum(['before', 'neighbours']),
											'before: what was said of the card before. neighbours: the median of cards like it.'
										)
									},
									closed
								)
							),
							'Looks wrong.'
						),
						isDearByPost: said(Type.Boolean(), 'Alone, its postage would cost more than the card.'),
						running: said(
							Type.Object(PriceFields, closed),
							'The sum of this line and all before it.'
						)
					},
					closed
				)
			),
			'From cheap to dear by the price of a card; those without a price last.'
		),
		total: said(Type.Object(PriceFields, closed), 'What all of it comes to.'),
		counts: said(
			Type.Object(
				Object.fromEntries(PRICE_BASES.map((basis) => [basis, said(Whole, 'Cards.')])) as Record<
					(typeof PRICE_BASES)[number],
					typeof Whole
				>,
				closed
			),
			'Cards by how their price is known.'
		),
		estimatedShare: said(Share, 'The part of the total that is estimated by neighbours.'),
		keyShare: said(Share, 'The part of the total that key cards make.')
	},
	closed
);

export const CostToFinishInput = Type.Object(
	{
		goals: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the goal in the answer.'),
						name: said(Type.Optional(Word), 'Left out: its key.'),
						slots: said(
							list(
								Type.Object(
									{
										key: said(Word, 'Names the slot.'),
										missing: said(Whole, 'How many it lacks; 0: it is filled.'),
										need: said(Type.Optional(Count), 'How many it takes; left out: 1.'),
										group: said(
											Type.Optional(Word),
											'What prices are alike in; left out: all that say none.'
										),
										isKey: said(Type.Optional(Type.Boolean()), 'A key card; left out: no.'),
										price: said(
											Type.Optional(orNull(Type.Object(PriceFields, closed))),
											'Of one card; left out: nobody has said anything.'
										),
										heldMinor: said(
											Type.Optional(Minor),
											'What the copies in it are worth; left out: as its price says.'
										)
									},
									closed
								),
								50_000
							),
							'Its slots, filled and not.'
						),
						sums: said(
							Type.Optional(
								list(
									Type.Object(
										{
											words: said(Word, 'As it was said: all commons.'),
											slots: said(list(Word, 50_000), 'Keys of the slots it was said for.'),
											cards: said(Count, 'How many cards it was said for.'),
											...PriceFields
										},
										closed
									),
									1000
								)
							),
							'One sum for several cards together.'
						)
					},
					closed
				),
				1000
			),
			'Goals; all amounts in one currency.'
		),
		rule: said(Type.Optional(Type.Enum(FINISH_RULE_KEYS)), modes(FINISH_RULES)),
		mostShare: said(
			Type.Optional(Share),
			'The most finishing may cost, as a part of what the whole is worth; left out: 0.5.'
		),
		postageMinor: said(Type.Optional(Minor), 'Postage of a seller; left out: 500.')
	},
	closed
);
export type CostToFinishRequest = Static<typeof CostToFinishInput>;

export const CostToFinishOutput = Type.Object(
	{
		goals: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'The goal.'),
						name: said(Word, 'Its name.'),
						have: said(Whole, 'Cards that are here.'),
						need: said(Whole, 'Cards in all.'),
						missing: said(Whole, 'Cards that are missing.'),
						cost: said(Type.Object(PriceFields, closed), 'What the missing cards come to.'),
						counts: PriceSheetOutput.properties.counts,
						sureness: said(Share, 'The part of the missing cards whose price somebody said.'),
						wholeMinor: said(Minor, 'What the whole set is worth.'),
						nowMinor: said(Minor, 'What is here is worth.'),
						unpriced: said(Whole, 'Cards that neither sum counts.'),
						keyShare: said(Share, 'The part of the whole that key cards make.'),
						keysMissing: said(Whole, 'Key cards that are missing.'),
						advice: said(
							Type.Object(
								{
									verdict: said(
										Type.Enum(['finish', 'let go', 'unknown', 'done']),
										'finish: within the limit. let go: above it. unknown: half of the prices are not known. done: nothing is missing.'
									),
									share: said(orNull(Type.Number({ minimum: 0 })), 'Cost by worth of the whole.')
								},
								closed
							),
							'What the rule says.'
						)
					},
					closed
				)
			),
			'The best to finish first, then what too little is known of, what is done last.'
		)
	},
	closed
);

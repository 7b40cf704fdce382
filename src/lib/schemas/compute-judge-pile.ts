import { Type, type Static } from 'typebox';
import { PILE_KINDS } from '../core/pile/next-pile.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { Quantity, VersionKeySchema } from './compute.ts';
import { ConditionSchema, GoalRulesSchema } from './goal-rules.ts';
import { ClassRulesSchema } from './storage-class.ts';
import { TiersSchema } from './compute-holders.ts';
import { ExchangeRatesSchema } from './exchange-rates.ts';
import { closed, Currency, list, Minor, orNull, record, said, Whole, Word } from './vocabulary.ts';

export const JudgePileInput = Type.Object(
	{
		checklists: said(
			Type.Array(ChecklistBodySchema, { minItems: 1, maxItems: 50 }),
			'Releases that the card may be of, the one used last first.'
		),
		line: said(
			Type.String({ maxLength: 300 }),
			'What was typed: a number, words of a title, a maker, a year, a finish, a condition.'
		),
		goals: said(
			Type.Optional(
				list(
					Type.Object(
						{
							name: said(Word, 'What the goal is called.'),
							goal: said(GoalRulesSchema, 'What complete means.')
						},
						closed
					),
					50
				)
			),
			'Goals in the order in which they are served; left out: none.'
		),
		copies: said(
			Type.Optional(
				list(
					Type.Object(
						{
							version: said(VersionKeySchema, 'Key of its version.'),
							quantity: said(Type.Optional(Quantity), 'How many equal ones; left out: 1.'),
							condition: said(Type.Optional(ConditionSchema), 'Left out: not looked at.'),
							valueMinor: said(Type.Optional(Minor), 'What one is worth, in minor units.'),
							currency: said(Type.Optional(Currency), 'What it is valued in; left out: EUR.')
						},
						closed
					),
					100_000
				)
			),
			'What is there already.'
		),
		before: said(
			Type.Optional(
				Type.Object(
					{
						release: said(Word, 'Key of its release.'),
						section: said(Word, 'Key of its section.')
					},
					closed
				)
			),
			'The card before this one.'
		),
		narrowing: said(
			Type.Optional(
				Type.Object(
					{
						year: said(Type.Optional(Type.String({ maxLength: 9 })), 'Only of this year.'),
						maker: said(Type.Optional(Type.String({ maxLength: 200 })), 'Only of this maker.'),
						releases: said(Type.Optional(list(Word, 50)), 'Only of these releases, by key.'),
						finish: said(
							Type.Optional(Type.String({ maxLength: 200 })),
							'Name of the finish where none is typed; left out: base.'
						)
					},
					closed
				)
			),
			'What is known of the whole pile.'
		),
		classes: said(Type.Optional(ClassRulesSchema), 'Storage classes; left out: none.'),
		tiers: said(
			Type.Optional(TiersSchema),
			'Value tiers: what a copy is valued in one with a rigid holder goes there; left out: none.'
		),
		currency: said(Type.Optional(Currency), 'What the tiers are stated in; left out: EUR.'),
		rates: said(Type.Optional(ExchangeRatesSchema), 'Rates of exchange; left out: none.'),
		friends: said(
			Type.Optional(
				list(
					Type.Object(
						{
							name: said(Word, 'The friend.'),
							wants: said(list(VersionKeySchema, 10_000), 'Keys of the versions, one card of each.')
						},
						closed
					),
					200
				)
			),
			'What friends want; left out: nothing.'
		),
		condition: said(Type.Optional(ConditionSchema), 'Of cards of which none is typed.'),
		synonyms: said(
			Type.Optional(
				record(Type.String({ maxLength: 200 }), 2000, 'Word → the words it stands for')
			),
			"Words of one's own → the words they stand for; left out: none."
		)
	},
	closed
);
export type JudgePileRequest = Static<typeof JudgePileInput>;
export const JudgePileOutput = Type.Object(
	{
		choices: said(
			Type.Array(
				Type.Object(
					{
						version: said(VersionKeySchema, 'Key of the version.'),
						release: said(Word, 'Key of the release.'),
						section: said(Word, 'Key of the section.'),
						number: said(orNull(Type.String()), 'Number of the card; null: none.'),
						title: said(Type.String(), 'Its title.'),
						condition: said(Type.Optional(ConditionSchema), 'The condition that was typed.'),
						serial: said(Type.Optional(Type.String()), 'The serial number that was typed.'),
						verdict: said(
							Type.Enum(['needed', 'upgrade', 'spare', 'outside']),
							'needed: it fills an open slot. upgrade: it is better than the copy in a slot. spare: every slot for it is filled as well. outside: no goal asks for it.'
						),
						goal: said(orNull(Type.String()), 'The goal that takes it; null: none.'),
						set: said(orNull(Whole), 'The set that it goes to, from 1; null: none.'),
						copies: said(Whole, 'Copies of the version there are before it.'),
						reasons: said(Type.Array(Type.String()), 'Why it stands where it does.'),
						wantedBy: said(Type.Array(Type.String()), 'Friends who want it.'),
						watch: said(
							Type.Array(
								Type.Object(
									{
										kind: said(
											Type.Enum(['variant', 'same as', 'other year']),
											'variant: another one bears the same number. same as: it cannot be told from a card. other year: another release has the same number and title.'
										),
										text: said(Type.String(), 'What to look for.')
									},
									closed
								)
							),
							'What to look at before one believes it.'
						),
						pile: said(
							Type.Object(
								{
									kind: said(
										Type.Enum([...PILE_KINDS]),
										'class: a storage class or a value tier takes it. goal: it goes to a set. friend: no goal takes it, and a friend wants it. spares, not collected: neither.'
									),
									name: said(Type.String(), 'What the pile is called.'),
									goal: said(Type.Optional(Type.String()), 'The goal that takes it.'),
									why: said(Type.String(), 'Why it goes there.')
								},
								closed
							),
							'The pile on which it goes next.'
						),
						asks: said(
							Type.Array(Type.Enum(['condition', 'serial', 'value', 'photo'])),
							'What is to be typed as well, because it is worth it.'
						)
					},
					closed
				)
			),
			'Cards that the line may mean, the likeliest first, nine at most.'
		),
		fitting: said(Whole, 'All cards that fit.')
	},
	closed
);

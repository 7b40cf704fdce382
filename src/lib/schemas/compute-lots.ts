import { Type, type Static } from 'typebox';
import { COPY_STATUSES } from '../core/copies/copy-record.ts';
import { closed, Count, list, Minor, orNull, said, Word } from './vocabulary.ts';

/* What is sold, and how: by itself or in lots. */

const Optional = Type.Optional;
const Share = Type.Number({ minimum: 0, maximum: 10 });
const Amount = Type.Integer({ minimum: 0 });
const Some = Type.Integer({ minimum: 1, maximum: 1000 });
const CardsSchema = Type.Array(
	Type.Object({ key: said(Word, 'The copy.'), quantity: said(Count, 'How many of it.') }, closed)
);
const Kind = Type.Enum(['single', 'lot']);

export const LotsAndSinglesInput = Type.Object(
	{
		copies: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the copy.'),
						version: said(Word, 'What it is a copy of.'),
						release: said(Optional(Word), 'Lots are of one release; left out: all of the same.'),
						group: said(Optional(Word), 'Its section and finish, for the name of the lot.'),
						isBase: said(
							Type.Boolean(),
							'Base or subset in the base finish; no: insert, extra, parallel.'
						),
						status: said(
							Optional(Type.Enum([...COPY_STATUSES])),
							'to sell: all go. spare: as far as no goal needs them. kept: by the rules. incoming: none. Left out: kept.'
						),
						quantity: said(Optional(Some), 'Equal cards; left out: 1.'),
						needed: said(
							Optional(Type.Integer({ minimum: 0, maximum: 1000 })),
							'So many fill a place of a goal; left out: 0.'
						),
						rank: said(
							Optional(Type.Number({ minimum: -1000, maximum: 1000 })),
							'How good it is: the highest of a base card is kept; left out: 0.'
						),
						eachMinor: said(Optional(orNull(Minor)), 'What each is worth; left out: nobody knows.')
					},
					closed
				),
				50_000
			),
			'All copies of the cards in question.'
		),
		bands: said(
			list(
				Type.Object(
					{
						fromMinor: said(Minor, 'From this worth on …'),
						channel: said(Word, '… cards go there …'),
						as: said(Kind, '… one by one or in lots.'),
						mostCards: said(
							Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
							'The most cards of a lot; left out: 100.'
						)
					},
					closed
				),
				20,
				{ minItems: 1 }
			),
			'The lowest first; what is worth less than the first says goes by it, too.'
		),
		sellsInserts: said(
			Optional(Type.Boolean()),
			'Inserts and parallels go that fill no place of a goal; left out: yes.'
		),
		sellsDoubles: said(
			Optional(Type.Boolean()),
			'Base cards go beyond what goals need and the first of each; left out: no.'
		),
		askShare: said(Optional(Share), 'What is asked, of the worth; left out: 1.'),
		floorShare: said(Optional(Share), 'The least that is taken, likewise; left out: 1.'),
		lotShare: said(
			Optional(Share),
			'What a lot brings of what its cards are worth one by one; left out: 1.'
		),
		unpricedMinor: said(
			Optional(orNull(Minor)),
			'What a base card counts as of which no price is known; left out: it is told, not dealt.'
		)
	},
	closed
);
export type LotsAndSinglesRequest = Static<typeof LotsAndSinglesInput>;

export const LotsAndSinglesOutput = Type.Object(
	{
		lots: said(
			Type.Array(
				Type.Object(
					{
						as: said(Kind, 'A card by itself, or several together.'),
						channel: said(Word, 'Where it goes.'),
						release: said(Word, 'Of what.'),
						groups: said(Type.Array(Word), 'The parts and finishes in it.'),
						cards: said(CardsSchema, 'What is in it.'),
						count: said(Count, 'So many cards.'),
						worthMinor: said(Amount, 'What its cards are worth one by one.'),
						askMinor: said(Amount, 'What is asked, rounded up as people write it.'),
						floorMinor: said(Amount, 'The least that is taken.'),
						assumedMinor: said(Amount, 'What of the worth is only assumed.')
					},
					closed
				)
			),
			'The dearest first.'
		),
		unpriced: said(CardsSchema, 'Cards that could go, but no price of them is known.')
	},
	closed
);

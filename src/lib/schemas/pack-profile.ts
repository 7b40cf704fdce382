import { Type } from 'typebox';
import { closed, list, orNull, said, Word } from './vocabulary.ts';

/* What a kind of pack holds, as computations of packs read it. */

const Optional = Type.Optional;
const Cards = Type.Integer({ minimum: 0, maximum: 5000 });
const Copies = Type.Integer({ minimum: 0, maximum: 50 });

const PackClassSchema = Type.Object(
	{
		cards: said(Cards, 'Different cards.'),
		weight: said(
			Optional(Type.Number({ minimum: 0, maximum: 1e6 })),
			'How often each comes beside those of the other classes; left out: 1.'
		),
		lacking: said(
			Optional(Copies),
			'Copies of each that are lacking; 0: not wanted, or here. Left out: 1.'
		)
	},
	closed
);

const PackWaySchema = Type.Union([
	Type.Object(
		{
			sort: said(Type.Literal('count'), 'So many in each pack.'),
			count: said(Type.Integer({ minimum: 1, maximum: 500 }), 'Cards of it in each pack.'),
			isAllDifferent: said(
				Optional(Type.Boolean()),
				'No two of a pack are the same; left out: true.'
			)
		},
		closed
	),
	Type.Object(
		{
			sort: said(Type.Literal('odds'), 'Now and then, by stated odds.'),
			cards: said(Type.Integer({ minimum: 1, maximum: 9999 }), 'So many cards …'),
			packs: said(
				Type.Integer({ minimum: 1, maximum: 10_000_000 }),
				'… in so many packs, at most a card a pack: 1:6 is one in six.'
			)
		},
		closed
	)
]);

const PackGroupSchema = Type.Object(
	{
		key: said(Word, 'Names the group: a section, its short prints, a finish of it.'),
		cards: said(
			Optional(Type.Integer({ minimum: 1, maximum: 5000 })),
			'Different cards, each as likely as the others; left out where there are classes.'
		),
		owned: said(
			Optional(Type.Integer({ minimum: 0, maximum: 5000 })),
			'So many of these are here, once each; left out: 0.'
		),
		sets: said(
			Optional(Type.Integer({ minimum: 1, maximum: 50 })),
			'Copies of each that are wanted; left out: 1.'
		),
		classes: said(
			Optional(list(PackClassSchema, 200, { minItems: 1 })),
			'Its cards where they come unequally often, or are lacking unequally.'
		),
		comes: said(PackWaySchema, 'How its cards come in a pack.'),
		slot: said(
			Optional(Word),
			'Groups of one slot share a place: at most one card of them all a pack. Left out: a place of its own.'
		),
		takesPlaceOf: said(
			Optional(Word),
			'Key of the group that has a card less where this comes; left out: none.'
		)
	},
	closed
);

/** What a pack holds; see core/packs/profile. */
export const PackProfileSchema = Type.Object(
	{
		groups: said(list(PackGroupSchema, 60, { minItems: 1 }), 'Everything that comes in the pack.'),
		guarantees: said(
			Optional(
				list(
					Type.Object(
						{
							slot: said(Word, 'A slot of some group.'),
							count: said(
								Type.Integer({ minimum: 0, maximum: 1000 }),
								'Cards of it in every box, no more and no fewer, each in another pack.'
							)
						},
						closed
					),
					60
				)
			),
			'What every box holds: it overrules the odds, which then say in which proportion. Left out: nothing.'
		),
		packsPerBox: said(
			Optional(orNull(Type.Integer({ minimum: 1, maximum: 10_000 }))),
			'Packs in a box; needed for guarantees.'
		),
		cardsPerPack: said(
			Optional(orNull(Type.Integer({ minimum: 1, maximum: 1000 }))),
			'Cards in a pack: what the groups may not exceed on average.'
		)
	},
	closed
);

import { Type, type Static } from 'typebox';
import { MOST_BLOCKS, MOST_POCKETS_OF_BINDER } from '../core/binder/what-fits.ts';
import { closed, list, said, Whole, Word } from './vocabulary.ts';

const BlockSchema = Type.Object(
	{
		key: said(Word, 'Names the block in the answer.'),
		pockets: said(Type.Integer({ minimum: 1, maximum: 1_000_000 }), 'Pockets that it takes.')
	},
	closed
);

export const WhatFitsInput = Type.Object(
	{
		binders: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Names the binder in the answer.'),
						pages: said(Type.Integer({ minimum: 0, maximum: 1000 }), 'Pages that it takes.'),
						pocketsPerPage: said(Type.Integer({ minimum: 1, maximum: 50 }), 'Pockets of a page.'),
						holds: said(
							Type.Optional(list(BlockSchema, 1000)),
							'What lies in it, or shall lie in it in any case; left out: nothing.'
						)
					},
					closed
				),
				100
			),
			`The binders; at most ${MOST_POCKETS_OF_BINDER} pockets each.`
		),
		candidates: said(
			Type.Optional(list(BlockSchema, MOST_BLOCKS)),
			'What may join: sets, runs, goals; left out: nothing.'
		),
		start: said(
			Type.Optional(Type.Enum(['own page', 'next pocket'])),
			'Whether a block begins on a page of its own; left out: it does.'
		)
	},
	closed
);
export const WhatFitsOutput = Type.Object(
	{
		binders: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'The binder.'),
						pagesUsed: said(Whole, 'Pages that are begun.'),
						pagesFree: said(Whole, 'Pages that are not.'),
						pocketsFree: said(Whole, 'Pockets without a card, on begun pages as well.'),
						pagesLacking: said(Whole, 'Pages that it lacks for what it holds; 0: all of it fits.'),
						mayJoin: said(Type.Array(Word), 'Candidates that fit, each by itself.'),
						fullest: said(Type.Array(Word), 'Candidates that fill it best together.'),
						pocketsLeft: said(Type.Integer(), 'Free pockets when these have joined.')
					},
					closed
				)
			),
			'Each binder by itself.'
		)
	},
	closed
);

export type WhatFitsRequest = Static<typeof WhatFitsInput>;

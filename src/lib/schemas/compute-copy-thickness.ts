import { Type, type Static } from 'typebox';
import { STOCK_SOURCES } from '../core/storage/room/copy-thickness.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { closed, Count, Holder, list, said, Stock, Word } from './vocabulary.ts';

const Length = Type.Number({ minimum: 0, description: 'millimetres' });

export const CopyThicknessInput = Type.Object(
	{
		checklist: said(ChecklistBodySchema, 'The release.'),
		copies: said(
			list(
				Type.Object(
					{
						version: said(Word, 'Key of its version.'),
						quantity: said(Type.Optional(Count), 'Equal cards; left out: 1.'),
						holder: said(Type.Optional(Holder), 'What each is kept in; left out: nothing.'),
						stockPt: said(Type.Optional(Stock), 'As measured; it counts before the checklist.')
					},
					closed
				),
				50_000
			),
			'Copies of its versions.'
		)
	},
	closed
);
export const CopyThicknessOutput = Type.Object(
	{
		copies: said(
			Type.Array(
				Type.Object(
					{
						version: said(Word, 'Key of its version.'),
						quantity: said(Count, 'Equal cards.'),
						stockPt: said(Stock, 'Thickness of a card.'),
						source: said(
							Type.Enum([...STOCK_SOURCES]),
							'Where that is known from; assumed: standard stock.'
						),
						cardMm: said(Length, 'A card by itself.'),
						keptMm: said(Length, 'A card in what it is kept in.'),
						rowMm: said(Length, 'All of them in a row.')
					},
					closed
				)
			),
			'In the order in which they were asked for.'
		),
		rowMm: said(Length, 'All of them in one row.')
	},
	closed
);
export type CopyThicknessRequest = Static<typeof CopyThicknessInput>;

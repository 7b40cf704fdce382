import { Type } from 'typebox';
import { CARD_SHAPES } from '../core/checklist/card-format.ts';
import { said } from './vocabulary.ts';

const Measure = Type.Number({ exclusiveMinimum: 0, maximum: 1000 });

/** What cards are made like: size in millimetres, stock in points (1 pt = 0.001 in), shape. */
export const FormatSchema = Type.Object(
	{
		widthMm: said(Type.Optional(Measure), 'In millimetres; left out: 63.5.'),
		heightMm: said(Type.Optional(Measure), 'In millimetres; left out: 88.9.'),
		stockPt: said(
			Type.Optional(Measure),
			'Thickness in points (1 pt = 0.001 in); left out: standard stock.'
		),
		shape: said(Type.Optional(Type.Enum([...CARD_SHAPES])), 'Left out: rectangular.')
	},
	{ additionalProperties: false }
);

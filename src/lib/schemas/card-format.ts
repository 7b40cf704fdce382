import { Type } from 'typebox';
import { CARD_SHAPES } from '../core/checklist/section.ts';

const Measure = Type.Number({ exclusiveMinimum: 0, maximum: 1000 });

/** What cards are made like: size in millimetres, stock in points (1 pt = 0.001 in), shape. */
export const FormatSchema = Type.Object(
	{
		widthMm: Type.Optional(Measure),
		heightMm: Type.Optional(Measure),
		stockPt: Type.Optional(Measure),
		shape: Type.Optional(Type.Enum([...CARD_SHAPES]))
	},
	{ additionalProperties: false }
);

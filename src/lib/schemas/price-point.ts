import { Type } from 'typebox';
import { PRICE_KINDS } from '../core/worth/prices/price-point.ts';
import { ConditionSchema } from './goal-rules.ts';
import { Currency, Minor, said, Word } from './vocabulary.ts';

/* Prices and qualities, as they are said. */

export const Day = Type.String({ format: 'date' });
export const GradeSchema = Type.Number({ minimum: 1, maximum: 10, multipleOf: 0.5 });
export const PriceFields = {
	lowMinor: said(Minor, 'The lower price, in minor units.'),
	highMinor: said(Minor, 'The upper price; the same as the lower where one sum was said.')
};
export const QualityFields = {
	condition: said(Type.Optional(ConditionSchema), 'Left out: nothing was said of it.'),
	grade: said(Type.Optional(GradeSchema), '1 to 10 in halves; left out: not graded.'),
	isAuthentic: said(
		Type.Optional(Type.Boolean()),
		'Graded as genuine, without a number; left out: no.'
	),
	qualifier: said(
		Type.Optional(Type.String({ minLength: 1, maxLength: 40 })),
		'What the house found besides: off centre; left out: nothing.'
	)
};
export const PricePointFields = {
	version: said(Word, 'The version it was said of.'),
	...PriceFields,
	currency: said(Currency, 'ISO 4217.'),
	kind: said(
		Type.Enum([...PRICE_KINDS]),
		'sale: paid. asking: what somebody wants. estimate: a guess.'
	),
	on: said(Day, 'The day it was said, ISO 8601.'),
	...QualityFields,
	house: said(Type.Optional(Word), 'The house that graded it.'),
	source: said(Type.Optional(Word), 'Who said it.'),
	reason: said(Type.Optional(Word), 'Why it is out of line: then it is not flagged.')
};

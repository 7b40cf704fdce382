import { Type } from 'typebox';
import { LOOK_NAMES, LOOKS, RELIABILITIES, RELIABILITY_NAMES } from '../core/checklist/tell.ts';
import { closed, list, modes, record, said, Word } from './vocabulary.ts';

const Text = Type.String({ minLength: 1, maxLength: 300, pattern: '^[^\\u0000-\\u001f]*$' });
export const LookSchema = Type.Enum([...LOOK_NAMES]);
export const ReliabilitySchema = Type.Enum([...RELIABILITY_NAMES]);

/** A feature and its value by which something is known. */
export const TellSchema = Type.Object(
	{
		feature: said(Text, 'What is looked at: "name on the back". Capitals and blanks do not count.'),
		value: said(Text, 'What is seen there: "BRASS", "none".'),
		otherwise: said(
			Type.Optional(Text),
			'What the others show there, of which nothing is said; left out: not known.'
		),
		where: said(
			Type.Optional(LookSchema),
			`Where one looks, the cheapest first; left out: the front. ${modes(LOOKS)}`
		),
		reliability: said(
			Type.Optional(ReliabilitySchema),
			`How far it may be trusted; left out: certain. ${modes(RELIABILITIES)}`
		),
		groups: said(
			Type.Optional(list(Word, 200, { minItems: 1 })),
			'It holds for cards of these groups only; left out: for all.'
		),
		places: said(
			Type.Optional(list(Type.Integer({ minimum: 1, maximum: 10_000 }), 1000, { minItems: 1 })),
			'It holds for cards at these places of their strip only; left out: for all.'
		),
		tags: said(
			Type.Optional(record(list(Word, 200, { minItems: 1 }), 50, 'Family → words.')),
			'It holds for cards only that bear one of these words, in each family named; left out: for all.'
		)
	},
	closed
);
export const TellsSchema = list(TellSchema, 100);

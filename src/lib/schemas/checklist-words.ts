import { Type } from 'typebox';
import { CONFIDENCES } from '../core/checklist/confidence.ts';
import { DIFFICULTY_LEVELS } from '../core/checklist/difficulty.ts';
import { closed, Count, said, Whole } from './vocabulary.ts';

/** The words that the schemas of a checklist are written in. */

/** One line of text: no control characters, so that a pasted file cannot end up in a title. */
export const line = (longest: number, description?: string) =>
	Type.String({
		minLength: 1,
		maxLength: longest,
		pattern: '^[^\\u0000-\\u001f]*$',
		...(description ? { description } : {})
	});

export const KeySchema = Type.String({
	minLength: 1,
	maxLength: 100,
	pattern: '^[\\p{Ll}\\p{Lo}\\p{Lm}\\p{N}][\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]*$',
	description: 'Small letters, digits, hyphens and dots.'
});

const OddsSchema = Type.String({
	pattern: '^[1-9][0-9]{0,3}:[1-9][0-9]{0,5}$',
	description: 'Cards : packs, as a pack states them; "1:6" is one in six packs.'
});

export const NumberSchema = line(24, 'As printed: "12", "F1", "2-14".');
export const PrintRunSchema = Type.Integer({ minimum: 1, maximum: 10_000_000 });
export const CardNameSchema = line(
	300,
	'A card as people call it: its number, or its title where it has none.'
);
export const CardNames = Type.Array(CardNameSchema, { maxItems: 50_000 });
export const SectionKeys = Type.Array(Type.String({ minLength: 1, maxLength: 100 }), {
	maxItems: 500
});
export const OddsByPack = Type.Record(KeySchema, OddsSchema, {
	maxProperties: 50,
	description: 'Pack type → odds'
});

/** Which cards a rule is about: of these sections (or all), a range, or single ones. */
export const selector = {
	sections: said(
		Type.Optional(
			Type.Array(Type.String({ minLength: 1, maxLength: 100 }), { minItems: 1, maxItems: 500 })
		),
		'Keys of sections; left out: all.'
	),
	from: said(Type.Optional(NumberSchema), 'First number of a range; left out: the first there is.'),
	to: said(Type.Optional(NumberSchema), 'Last number of a range; left out: the last there is.'),
	cards: said(
		Type.Optional(Type.Array(CardNameSchema, { minItems: 1, maxItems: 50_000 })),
		'Single cards; left out: all that the rest names.'
	)
};
export const evidence = {
	confidence: said(
		Type.Optional(Type.Enum([...CONFIDENCES])),
		'How sure it is; left out: nothing is said.'
	),
	source: said(Type.Optional(Type.String({ maxLength: 2000 })), 'Where that is known from.'),
	lookedAt: said(Type.Optional(Count), 'So many copies were looked at for it.'),
	found: said(Type.Optional(Whole), 'So many of them had it.')
};

export const PackTypeKeys = Type.Array(KeySchema, { minItems: 1, maxItems: 50 });
export const Note = Type.String({ maxLength: 5000 });
export const DifficultySchema = Type.Object(
	{
		level: said(Type.Enum([...DIFFICULTY_LEVELS]), 'How hard it is to find.'),
		source: said(Type.Optional(Type.String({ maxLength: 2000 })), 'Whose experience it is.')
	},
	closed
);

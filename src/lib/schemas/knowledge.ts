import { Type, type Static } from 'typebox';
import { CONDITIONS } from '../core/copies/condition.ts';
import { PHOTO_SIDES } from '../core/copies/photo-side.ts';
import { PRICE_KINDS } from '../core/worth/prices/price-point.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { line } from './checklist-words.ts';
import { closed, said } from './vocabulary.ts';

const Key = Type.String({ minLength: 1, maxLength: 400 });
const Source = said(Type.Optional(Type.String({ maxLength: 2000 })), 'Who says so.');
const Minor = Type.Integer({ minimum: 0, maximum: 1e12 });

const PictureSchema = Type.Object(
	{
		of: said(Key, 'Key of what it shows: a section in a finish, or a version.'),
		side: said(Type.Enum([...PHOTO_SIDES]), 'Which side of the card it shows.'),
		source: Source,
		hash: said(
			Type.String({ pattern: '^[0-9a-f]{64}$' }),
			'SHA-256 of its file, pictures/<hash>.webp, in hex.'
		)
	},
	closed
);

const PriceSchema = Type.Object(
	{
		version: said(Key, 'Key of the version.'),
		kind: said(Type.Enum([...PRICE_KINDS]), 'Whether it was asked, or sold for.'),
		lowMinor: said(Minor, 'Of one card, in minor units; the least of a range.'),
		highMinor: said(Minor, 'The most of a range; the same where it is one sum.'),
		currency: said(Type.String({ pattern: '^[A-Z]{3}$' }), 'ISO 4217: EUR.'),
		saidOn: said(Type.String({ format: 'date' }), 'The day on which it was said.'),
		source: Source,
		condition: said(Type.Optional(Type.Enum([...CONDITIONS])), 'Of what condition.'),
		grade: said(
			Type.Optional(Type.Number({ minimum: 1, maximum: 10, multipleOf: 0.5 })),
			'Of what grade.'
		),
		isAuthentic: said(Type.Optional(Type.Literal(true)), 'Graded as genuine, without a number.'),
		house: said(Type.Optional(line(200)), 'Who graded it.'),
		reason: said(Type.Optional(line(500)), 'Why it is out of line.')
	},
	closed
);

const LookAlikesSchema = Type.Object(
	{
		name: said(line(200), 'What is mistaken.'),
		keys: said(
			Type.Array(Key, { minItems: 2, maxItems: 12 }),
			'Keys of releases, sections in a finish, or versions.'
		),
		note: said(Type.Optional(Type.String({ maxLength: 2000 })), 'Anything else.')
	},
	closed
);

/** The most pictures, and prices, that travel with a release. */
export const MOST_PICTURES = 500;
export const MOST_PRICES = 20_000;

/** `knowledge.json` in a file of knowledge: what one collector has learnt of a release, and nothing of what is owned. */
export const KnowledgeSchema = Type.Object(
	{
		$schema: said(
			Type.Optional(Type.String({ maxLength: 200 })),
			'Where this schema is published.'
		),
		format: said(Type.Literal('jade-knowledge'), 'Says that this is knowledge of a release.'),
		formatVersion: said(Type.Literal(1), 'The version of the format.'),
		from: said(line(100), 'Who has learnt it: the source of what names none.'),
		on: said(Type.String({ format: 'date' }), 'The day on which it was written down.'),
		checklist: said(
			ChecklistBodySchema,
			'The checklist, as a file of it: with tells, odds, errors and what is hunted for.'
		),
		pictures: said(
			Type.Optional(Type.Array(PictureSchema, { maxItems: MOST_PICTURES })),
			'Reference pictures; each is a file beside this one.'
		),
		prices: said(
			Type.Optional(Type.Array(PriceSchema, { maxItems: MOST_PRICES })),
			'What versions were asked or sold for.'
		),
		lookAlikes: said(
			Type.Optional(Type.Array(LookAlikesSchema, { maxItems: 1000 })),
			'What is easily mistaken for each other.'
		)
	},
	{
		$schema: 'https://json-schema.org/draft/2020-12/schema',
		$id: 'urn:jade-binder:schema:knowledge:1',
		title: 'Jade Binder knowledge of a release',
		...closed
	}
);
export type KnowledgeFile = Static<typeof KnowledgeSchema>;

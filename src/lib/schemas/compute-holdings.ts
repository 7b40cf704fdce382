import { Type, type Static } from 'typebox';
import { COPY_STATUSES } from '../core/copies/copy-record.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { VersionKeySchema } from './compute.ts';
import { ConditionSchema } from './goal-rules.ts';
import { closed, Count, Minor, record, Whole, said } from './vocabulary.ts';

const Text = Type.Optional(Type.String({ maxLength: 400 }));
const Words = Type.Array(Type.String({ maxLength: 100 }), { maxItems: 50 });

const fields = {
	quantity: said(
		Type.Optional(Type.Integer({ minimum: 1, maximum: 10_000 })),
		'How many equal cards; left out: 1.'
	),
	condition: said(Type.Optional(ConditionSchema), 'Their condition.'),
	grade: said(
		Type.Optional(Type.Number({ minimum: 1, maximum: 10 })),
		'A grade from 1 to 10 in halves.'
	),
	house: said(Text, 'Who graded it.'),
	certificate: said(Text, 'Number of the certificate.'),
	serial: said(Text, 'As printed: "14/65".'),
	status: said(
		Type.Optional(Type.Enum([...COPY_STATUSES])),
		'kept: in the collection. spare: a double. to sell: fills no slot. incoming: bought, not here yet. Left out: kept.'
	),
	costMinor: said(Type.Optional(Minor), 'What one cost, in minor units.'),
	valueMinor: said(Type.Optional(Minor), 'What one is worth, in minor units.'),
	currency: said(Text, 'ISO 4217: EUR.'),
	valueSource: said(Text, 'Where the value comes from.'),
	valueOn: said(Text, 'When it was looked up (ISO 8601).'),
	acquiredOn: said(Text, 'When it came (ISO 8601).'),
	source: said(Text, 'Where it came from.'),
	place: said(Text, 'Where it is kept, in words.'),
	holder: said(Text, 'Key of its holder.'),
	note: said(Text, 'Anything else.'),
	alsoVariants: said(
		Type.Optional(Words),
		'Keys of the variants of further deviations that it shows.'
	),
	isPrintingUnseen: said(
		Type.Optional(Type.Boolean()),
		'Nobody has looked yet which printing it is; left out: it was looked at, or there is but one.'
	)
};

export const MatchHoldingsInput = Type.Object(
	{
		checklists: said(
			Type.Array(ChecklistBodySchema, { minItems: 1, maxItems: 100 }),
			'The releases that rows may be of.'
		),
		rows: said(
			Type.Array(
				Type.Object(
					{
						line: said(Type.Optional(Count), 'Line of the file, from 1; left out: counted on.'),
						year: said(Text, 'As written.'),
						maker: said(Text, 'As written.'),
						set: said(Type.String({ maxLength: 400 }), 'As written.'),
						section: said(Text, 'As written.'),
						number: said(Text, 'As written.'),
						subject: said(Text, 'Title or subject, as written.'),
						parallel: said(Text, 'Finish, as written.'),
						attributes: said(Type.Optional(Words), 'Further words: "rookie", "autograph".'),
						fields: said(
							Type.Optional(Type.Object(fields, closed)),
							'What else the row says of its copy.'
						)
					},
					closed
				),
				{ maxItems: 200_000 }
			),
			'Rows of a spreadsheet.'
		),
		choices: said(
			Type.Optional(
				record(
					Type.String({ maxLength: 420 }),
					10_000,
					'Set as "year|maker|set" → key of its release, "" for none'
				)
			),
			'Set as "year|maker|set" → key of its release, "" for none.'
		)
	},
	closed
);
export const MatchHoldingsOutput = Type.Object(
	{
		sets: said(
			Type.Array(
				Type.Object(
					{
						name: said(Type.String(), 'Names it in choices: "year|maker|set".'),
						year: said(Type.String(), 'As written.'),
						maker: said(Type.String(), 'As written.'),
						set: said(Type.String(), 'As written.'),
						rows: said(Whole, 'Rows of it.'),
						candidates: said(
							Type.Array(
								Type.Object(
									{
										key: said(Type.String(), 'Key of the release.'),
										score: said(
											Type.Number({ minimum: 0, maximum: 1 }),
											'How alike they are, from 0 to 1.'
										)
									},
									closed
								)
							),
							'Releases that it may be, the likeliest first.'
						),
						release: said(
							Type.Union([Type.String(), Type.Null()]),
							'Key of the release that is taken; null: none.'
						)
					},
					closed
				)
			),
			'The sets that rows speak of.'
		),
		matched: said(
			Type.Array(
				Type.Object(
					{
						line: said(Whole, 'Line of the file.'),
						version: said(VersionKeySchema, 'Key of the version.'),
						fields: said(
							Type.Object({ ...fields, attributes: said(Words, 'Further words.') }, closed),
							'What the row says of its copy.'
						)
					},
					closed
				)
			),
			'Rows that are understood.'
		),
		unmatched: said(
			Type.Array(
				Type.Object(
					{
						line: said(Whole, 'Line of the file.'),
						reason: said(Type.String(), 'Why it is not understood.')
					},
					closed
				)
			),
			'Rows that a person must settle.'
		)
	},
	closed
);
export type MatchHoldingsRequest = Static<typeof MatchHoldingsInput>;

import { Type, type Static } from 'typebox';
import { SWATCHES } from '../core/checklist/swatch.ts';
import { ChecklistBodySchema } from './checklist.ts';
import { ConditionSchema, GradeNeedSchema } from './goal-rules.ts';
import { closed, list, Whole, Word, said } from './vocabulary.ts';

export const VersionKeySchema = Type.String({
	maxLength: 420,
	pattern:
		'^[\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+/[\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+(~[\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+)?(![\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+)?$',
	description: 'release "/" card [ "~" parallel ] [ "!" variant ]'
});
export const Quantity = Type.Integer({ minimum: 1, maximum: 1_000_000 });

export const ProblemSchema = Type.Object({
	message: said(Type.String(), 'What is wrong.'),
	remedy: said(Type.Optional(Type.String()), 'What to do about it.'),
	pointer: said(Type.Optional(Type.String()), 'Where, as a JSON Pointer into the body.'),
	field: said(Type.Optional(Type.String()), 'Name of the field.'),
	line: said(Type.Optional(Whole), 'Line of a text or table, from 1.'),
	column: said(Type.Optional(Whole), 'Column of a text or table, from 1.'),
	start: said(Type.Optional(Whole), 'Begin of the stretch of a line, in UTF-16 units from 0.'),
	end: said(Type.Optional(Whole), 'End of that stretch, behind its last unit.')
});

export const ExpandInput = Type.Object(
	{ checklist: said(ChecklistBodySchema, 'The release.') },
	closed
);
export const VersionSchema = Type.Object(
	{
		key: said(VersionKeySchema, 'release "/" card [ "~" parallel ] [ "!" variant ]'),
		cardKey: said(Word, 'Key of its card.'),
		sectionKey: said(Word, 'Key of the section the card is of.'),
		numberingKey: said(Word, 'Key of the section in whose numbering it lives.'),
		parallelKey: said(Type.Union([Word, Type.Null()]), 'Key of its finish; null: base.'),
		variantKey: said(
			Type.Union([Word, Type.Null()]),
			'Key of its variant; null: the regular card.'
		),
		printRun: said(
			Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
			'Copies made, as stamped; null: not numbered.'
		),
		estimatedRun: said(
			Type.Union([Type.Integer({ minimum: 1 }), Type.Null()]),
			'Copies made, as guessed; null: no guess.'
		),
		swatch: said(
			Type.Union([Type.Enum([...SWATCHES]), Type.Null()]),
			'Whether it holds a swatch; null: its rule says nothing.'
		)
	},
	closed
);
export const ExpandOutput = Type.Object(
	{
		release: said(Type.String(), 'Key of the release.'),
		versions: said(
			Type.Array(VersionSchema),
			'Everything collectible, section by section, finish by finish.'
		)
	},
	closed
);

const SlotSchema = Type.Object(
	{
		key: said(Word, 'Names the slot in the answer.'),
		versions: said(
			Type.Array(Word, { minItems: 1, maxItems: 1000 }),
			'Keys of the versions that may fill it, the preferred first.'
		),
		leastCondition: said(
			Type.Optional(ConditionSchema),
			'Poorer copies do not fill it; left out: any.'
		),
		needs: said(
			Type.Optional(Type.Array(Word, { maxItems: 50 })),
			'Attributes that a copy must have: "perforated".'
		),
		graded: said(Type.Optional(GradeNeedSchema), 'Asks for a graded copy; left out: any copy.'),
		quantity: said(Type.Optional(Quantity), 'How many copies it takes; left out: 1.'),
		tier: said(
			Type.Optional(Type.Integer({ minimum: 0, maximum: 1_000_000 })),
			'0 is served with the best copies first, then 1 …; left out: 0.'
		)
	},
	closed
);
const CopySchema = Type.Object(
	{
		key: said(Word, 'Names the copy in the answer.'),
		version: said(Word, 'Key of its version.'),
		alsoVersions: said(
			Type.Optional(Type.Array(Word, { maxItems: 20 })),
			'Versions of the same card that it is as well; it fills one slot.'
		),
		house: said(Type.Optional(Word), 'The house that graded it.'),
		quantity: said(Type.Optional(Quantity), 'How many equal cards it stands for; left out: 1.'),
		condition: said(Type.Optional(ConditionSchema), 'Left out: not looked at.'),
		grade: said(
			Type.Optional(Type.Number({ minimum: 1, maximum: 10, multipleOf: 0.5 })),
			'A grade from 1 to 10 in halves; left out: not graded.'
		),
		isAuthentic: said(
			Type.Optional(Type.Boolean()),
			'Graded as genuine without a number; left out: no.'
		),
		attributes: said(
			Type.Optional(Type.Array(Word, { maxItems: 50 })),
			'"hand-cut", "perforated", "autograph" …'
		),
		heldIn: said(Type.Optional(Word), 'Key of the slot in which it lies already.')
	},
	closed
);
export const FillInput = Type.Object(
	{
		slots: said(list(SlotSchema, 100_000), 'What is to be filled.'),
		copies: said(list(CopySchema, 100_000), 'What is there.')
	},
	closed
);
export const WholeSetsOutput = Type.Object(
	{
		sets: said(Whole, 'So many whole sets the copies make.'),
		lacking: said(
			Type.Array(
				Type.Object(
					{ slot: said(Word, 'Key of the slot.'), quantity: said(Quantity, 'How many it lacks.') },
					closed
				)
			),
			'What the next set lacks, as few as can be.'
		)
	},
	closed
);
export const FillOutput = Type.Object(
	{
		placements: said(
			Type.Array(
				Type.Object(
					{ slot: said(Word, 'Key of the slot.'), copy: said(Word, 'Key of the copy.') },
					closed
				)
			),
			'Which copy fills which slot, card by card.'
		),
		missing: said(
			Type.Array(
				Type.Object(
					{ slot: said(Word, 'Key of the slot.'), quantity: said(Quantity, 'How many it lacks.') },
					closed
				)
			),
			'Slots that lack copies.'
		),
		spares: said(
			Type.Array(
				Type.Object(
					{
						copy: said(Word, 'Key of the copy.'),
						quantity: said(Quantity, 'How many are left over.')
					},
					closed
				)
			),
			'Copies of versions that are asked for, and left over.'
		),
		outside: said(Type.Array(Word), 'Keys of copies that no slot asks for.')
	},
	closed
);

export type ExpandRequest = Static<typeof ExpandInput>;
export type FillRequest = Static<typeof FillInput>;

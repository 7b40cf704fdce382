import { Type } from 'typebox';
import { CARD_MARKS } from '../core/checklist/card.ts';
import { SECTION_KINDS } from '../core/checklist/section.ts';
import { COPY_STATUSES } from '../core/copies/copy-record.ts';
import { closed, Currency, list, Minor, record, said, Word } from './vocabulary.ts';

const Words = Type.Optional(list(Word, 1000, { minItems: 1 }));
const Year = Type.Optional(Type.Integer({ minimum: 1000, maximum: 9999 }));
const Flag = Type.Optional(Type.Boolean());
const Tags = Type.Optional(record(list(Word, 200), 50, 'Family → words.'));
const Marks = Type.Optional(list(Type.Enum([...CARD_MARKS]), CARD_MARKS.length));
const SectionKind = Type.Enum([...SECTION_KINDS]);
const Status = Type.Enum([...COPY_STATUSES]);

/** A storage class: its name, and what it asks for. */
const ClassRuleSchema = Type.Object(
	{
		name: said(Word, 'What the class is called: a person, "to sell", "valuables".'),
		where: said(
			Type.Object(
				{
					releases: said(Words, 'Keys of releases.'),
					makers: said(Words, 'Makers by name.'),
					fromYear: said(
						Year,
						'First year of an era; a season counts by the year in which it begins.'
					),
					toYear: said(Year, 'Last year of an era.'),
					sectionKinds: said(
						Type.Optional(list(SectionKind, SECTION_KINDS.length, { minItems: 1 })),
						'Kinds of sections.'
					),
					subjects: said(Words, 'One of these subjects is on it.'),
					groups: said(Words, 'It is of one of these groups.'),
					tags: said(Tags, 'It bears one of the words, in each family named.'),
					marks: said(Marks, 'It bears one of these marks.'),
					finishes: said(Words, 'Names of finishes; "any parallel" is all but the base finish.'),
					isVariant: said(Flag, 'Whether it is a variant.'),
					isNumbered: said(Flag, 'Whether a serial number is stamped on it.'),
					isGraded: said(Flag, 'Whether it is graded.'),
					statuses: said(
						Type.Optional(list(Status, COPY_STATUSES.length, { minItems: 1 })),
						'What is to become of it.'
					),
					attributes: said(Words, 'It is marked with one of these: "autograph".'),
					leastValueMinor: said(
						Type.Optional(Minor),
						'It is worth so much or more, in minor units of the currency.'
					),
					currency: said(
						Type.Optional(Currency),
						'The money of that value (ISO 4217); left out: whatever the card is valued in.'
					)
				},
				closed
			),
			'All that is asked has to hold, of a list one of its words; nothing asked: every card.'
		)
	},
	closed
);
export const ClassRulesSchema = list(ClassRuleSchema, 200);

/** What of a copy and its card decides. */
export const KeptCardSchema = {
	release: said(Type.Optional(Word), 'Key of its release.'),
	maker: said(Type.Optional(Word), 'Its maker.'),
	year: said(Type.Optional(Type.String({ maxLength: 9 })), '"1994" or "1994-95".'),
	sectionKind: said(Type.Optional(SectionKind), 'Kind of its section.'),
	subjects: said(Type.Optional(list(Word, 100)), 'Its subjects.'),
	group: said(Type.Optional(Word), 'Its group.'),
	tags: said(Tags, 'Its tags.'),
	marks: said(Marks, 'Its marks.'),
	finish: said(Type.Optional(Word), 'Name of its parallel; left out: the base finish.'),
	isVariant: said(Flag, 'Whether it is a variant; left out: no.'),
	isNumbered: said(Flag, 'Whether a serial number is stamped on it; left out: no.'),
	isGraded: said(Flag, 'Whether it is graded; left out: no.'),
	status: said(Type.Optional(Status), 'What is to become of it.'),
	attributes: said(Type.Optional(list(Word, 50)), 'What it is marked with: "autograph".'),
	valueMinor: said(Type.Optional(Minor), 'What it is worth, in minor units; left out: not known.'),
	currency: said(Type.Optional(Currency), 'ISO 4217: EUR.')
};

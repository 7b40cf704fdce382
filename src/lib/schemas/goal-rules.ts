import { Type } from 'typebox';
import { SECTION_KINDS } from '../core/checklist/section.ts';
import { COLLECTIBLE_KINDS } from '../core/checklist/beside-cards.ts';
import { CONFIDENCES } from '../core/checklist/confidence.ts';
import { CONDITIONS } from '../core/copies/condition.ts';
import {
	CUT_CHOICES,
	ERROR_CHOICES,
	FINISH_CHOICES,
	PANEL_CHOICES,
	VARIANT_CHOICES,
	type RuleChoice
} from '../core/goal/goal-rules.ts';
import { PRESET_KEYS, PRESETS } from '../core/goal/preset.ts';
import { closed, modes, record, said, Word } from './vocabulary.ts';

const Words = (maxItems: number) => Type.Optional(Type.Array(Word, { maxItems }));
export const ConditionSchema = Type.Enum([...CONDITIONS]);
const oneOf = <Word extends string>(choices: readonly RuleChoice<Word>[]) =>
	said(
		Type.Optional(Type.Enum(choices.map(({ word }) => word))),
		modes(Object.fromEntries(choices.map((choice) => [choice.word, choice])))
	);

/** A graded copy is asked for. */
export const GradeNeedSchema = Type.Object(
	{
		least: said(
			Type.Optional(Type.Number({ minimum: 1, maximum: 10, multipleOf: 0.5 })),
			'From this grade on, 1 to 10 in halves; left out: any, "authentic" too.'
		),
		houses: said(
			Type.Optional(Type.Array(Word, { minItems: 1, maxItems: 50 })),
			'Graded by one of these; left out: any.'
		)
	},
	closed
);

/** What complete means: a preset, and what is decided otherwise. */
export const GoalRulesSchema = Type.Object(
	{
		preset: said(
			Type.Enum([...PRESET_KEYS]),
			`The school whose rules hold where nothing else is said. ${modes(Object.fromEntries(PRESETS.map((preset) => [preset.key, preset])))}`
		),
		parallel: said(Type.Optional(Word), 'Key of the parallel, of a parallel run.'),
		kinds: said(
			Type.Optional(
				Type.Array(Type.Enum([...SECTION_KINDS]), {
					maxItems: SECTION_KINDS.length,
					uniqueItems: true
				})
			),
			'Kinds of sections that count.'
		),
		sectionsIn: said(Words(5000), 'Sections that count whatever their kind: release/section.'),
		sectionsOut: said(Words(5000), 'Sections that do not count: release/section.'),
		finishes: oneOf(FINISH_CHOICES),
		parallels: said(Words(1000), 'Keys of the parallels chosen.'),
		leastRun: said(
			Type.Optional(Type.Integer({ minimum: 0, maximum: 10_000_000 })),
			'Versions printed fewer times are left out as not to be had; 0 leaves none out.'
		),
		variants: oneOf(VARIANT_CHOICES),
		errors: oneOf(ERROR_CHOICES),
		editions: said(Type.Optional(Type.Boolean()), 'Whether re-issues and foreign editions count.'),
		panels: oneOf(PANEL_CHOICES),
		cut: oneOf(CUT_CHOICES),
		leastCondition: said(Type.Optional(ConditionSchema), 'Poorer copies fill no slot.'),
		sectionConditions: said(
			Type.Optional(record(ConditionSchema, 5000, 'Section → the least condition there')),
			'Section → the least condition there.'
		),
		wishCondition: said(
			Type.Optional(ConditionSchema),
			'A filled slot below this is to be upgraded.'
		),
		sets: said(
			Type.Optional(Type.Integer({ minimum: 1, maximum: 100 })),
			'How many sets are built; usually 1.'
		),
		keepsOwn: said(
			Type.Optional(Type.Boolean()),
			'Whether a copy that fills a slot here fills none of another goal.'
		),
		subject: said(Type.Optional(Word), 'Only cards that show this subject.'),
		group: said(Type.Optional(Word), 'Only cards of this group.'),
		tags: said(
			Type.Optional(record(Type.Array(Word, { maxItems: 200 }), 50, 'Family → words.')),
			'Only cards with one of the words, in each family named.'
		),
		series: said(Words(200), 'Only cards of these series of their numbering, by name.'),
		leastConfidence: said(
			Type.Optional(Type.Enum([...CONFIDENCES])),
			'Only what exists at least so surely; left out: all that is recorded.'
		),
		graded: said(Type.Optional(GradeNeedSchema), 'Only graded copies fill a slot.'),
		versions: said(
			Words(50_000),
			'These versions, each a slot, beside what the other rules ask for.'
		),
		collectibles: said(
			Type.Optional(
				Type.Array(Type.Enum([...COLLECTIBLE_KINDS]), {
					maxItems: COLLECTIBLE_KINDS.length,
					uniqueItems: true
				})
			),
			'What counts of what is collected beside the cards, by kind; left out: nothing. Asked of the collectible as it is: no condition, cut or grade.'
		),
		picked: said(Words(50_000), 'Only these cards: release/card.'),
		releases: said(
			Words(10_000),
			'Keys of further releases; a subject or group without any goes over all.'
		)
	},
	closed
);

import { Type } from 'typebox';
import { SECTION_KINDS } from '../core/checklist/section.ts';
import { CONDITIONS } from '../core/copies/condition.ts';
import {
	CUT_CHOICES,
	ERROR_CHOICES,
	FINISH_CHOICES,
	PANEL_CHOICES,
	VARIANT_CHOICES
} from '../core/goal/goal-rules.ts';
import { PRESET_KEYS } from '../core/goal/preset.ts';
import { closed, record, Word } from './vocabulary.ts';

const Words = (maxItems: number) => Type.Optional(Type.Array(Word, { maxItems }));
export const ConditionSchema = Type.Enum([...CONDITIONS]);
const oneOf = <Word extends string>(choices: readonly { readonly word: Word }[]) =>
	Type.Optional(Type.Enum(choices.map(({ word }) => word)));

/** What complete means: a preset, and what is decided otherwise. */
export const GoalRulesSchema = Type.Object(
	{
		preset: Type.Enum([...PRESET_KEYS]),
		parallel: Type.Optional(Word),
		kinds: Type.Optional(
			Type.Array(Type.Enum([...SECTION_KINDS]), {
				maxItems: SECTION_KINDS.length,
				uniqueItems: true
			})
		),
		sectionsIn: Words(5000),
		sectionsOut: Words(5000),
		finishes: oneOf(FINISH_CHOICES),
		parallels: Words(1000),
		leastRun: Type.Optional(Type.Integer({ minimum: 0, maximum: 10_000_000 })),
		variants: oneOf(VARIANT_CHOICES),
		errors: oneOf(ERROR_CHOICES),
		editions: Type.Optional(Type.Boolean()),
		panels: oneOf(PANEL_CHOICES),
		cut: oneOf(CUT_CHOICES),
		leastCondition: Type.Optional(ConditionSchema),
		sectionConditions: Type.Optional(
			record(ConditionSchema, 5000, 'Section → the least condition there')
		),
		wishCondition: Type.Optional(ConditionSchema),
		sets: Type.Optional(Type.Integer({ minimum: 1, maximum: 100 })),
		keepsOwn: Type.Optional(Type.Boolean()),
		subject: Type.Optional(Word),
		group: Type.Optional(Word),
		picked: Words(50_000),
		releases: Words(10_000)
	},
	closed
);

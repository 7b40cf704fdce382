import { Type, type Static } from 'typebox';
import { ConditionSchema } from './goal-rules.ts';
import { closed, list } from './vocabulary.ts';

const Percent = Type.Number({ minimum: 0, maximum: 100 });
const Levels = list(
	Type.Object(
		{
			key: Type.String({ minLength: 1, maxLength: 60 }),
			word: ConditionSchema,
			lookFor: Type.String({ maxLength: 200 })
		},
		closed
	),
	12,
	{ minItems: 1 }
);

/** What a worksheet's word is made by, as its owner sets it. */
export const WorksheetRulesSchema = Type.Object(
	{
		limits: list(
			Type.Object({ word: ConditionSchema, frontPercent: Percent, backPercent: Percent }, closed),
			6,
			{ minItems: 1 }
		),
		levels: Type.Object({ corners: Levels, edges: Levels, surface: Levels }, closed),
		/** An aspect is weak where it allows no better word. */
		weakFrom: ConditionSchema
	},
	closed
);
export type WorksheetRulesKept = Static<typeof WorksheetRulesSchema>;

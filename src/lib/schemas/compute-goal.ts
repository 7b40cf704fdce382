import { Type, type Static } from 'typebox';
import { ChecklistBodySchema } from './checklist.ts';
import { VersionKeySchema, VersionSchema } from './compute.ts';
import { ConditionSchema, GoalRulesSchema } from './goal-rules.ts';
import { closed, Whole } from './vocabulary.ts';

export const ScopeInput = Type.Object(
	{
		checklists: Type.Array(ChecklistBodySchema, { minItems: 1, maxItems: 100 }),
		goal: GoalRulesSchema
	},
	closed
);
export const ScopeOutput = Type.Object(
	{
		slots: Type.Array(
			Type.Object(
				{
					key: Type.String(),
					release: Type.String(),
					version: VersionSchema,
					versions: Type.Array(VersionKeySchema),
					set: Type.Integer({ minimum: 1 }),
					quantity: Type.Integer({ minimum: 1 }),
					tier: Type.Optional(Whole),
					leastCondition: Type.Optional(ConditionSchema),
					needs: Type.Optional(Type.Array(Type.String()))
				},
				closed
			)
		),
		skipped: Whole
	},
	closed
);
export type ScopeRequest = Static<typeof ScopeInput>;

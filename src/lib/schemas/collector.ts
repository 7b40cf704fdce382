import { Type, type Static } from 'typebox';
import { BinderLayoutSchema } from './compute.ts';
import { ConditionSchema, GoalRulesSchema } from './goal-rules.ts';

const closed = { additionalProperties: false } as const;
const Key = Type.String({ minLength: 1 });
const Parallel = Type.Union([Key, Type.Null()]);

/** The holdings, goals and binders of the demo's collector: what was logged, as entry lines. */
export const CollectorSchema = Type.Object(
	{
		now: Type.String({ format: 'date-time' }),
		entries: Type.Array(
			Type.Object(
				{
					release: Key,
					numbering: Key,
					parallel: Parallel,
					condition: Type.Optional(ConditionSchema),
					line: Type.String()
				},
				closed
			)
		),
		goals: Type.Array(
			Type.Object(
				{
					release: Key,
					rules: GoalRulesSchema,
					name: Type.String(),
					binder: Type.Optional(
						Type.Object({ name: Type.String(), layout: BinderLayoutSchema }, closed)
					)
				},
				closed
			)
		)
	},
	closed
);
export type Collector = Static<typeof CollectorSchema>;

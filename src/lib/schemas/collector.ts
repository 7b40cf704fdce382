import { TRAYS } from '../core/pile/tray.ts';
import { Type, type Static } from 'typebox';
import { BinderLayoutSchema, SupplyPriceSchema } from './binder.ts';
import { ConditionSchema, GoalRulesSchema } from './goal-rules.ts';
import { NewCopySchema, SynonymSchema } from './requests.ts';
import { closed } from './vocabulary.ts';

const Key = Type.String({ minLength: 1 });
const Moment = Type.String({ format: 'date-time' });
const Parallel = Type.Union([Key, Type.Null()]);

/** The holdings, goals and binders of the demo's collector: what was logged, as entry lines. */
export const CollectorSchema = Type.Object(
	{
		now: Moment,
		/** When the goals were set. */
		begun: Moment,
		entries: Type.Array(
			Type.Object(
				{
					release: Key,
					numbering: Key,
					parallel: Parallel,
					condition: Type.Optional(ConditionSchema),
					line: Type.String(),
					/** When it was logged; left out: now. */
					at: Type.Optional(Moment)
				},
				closed
			)
		),
		copies: Type.Array(NewCopySchema),
		trays: Type.Array(
			Type.Object(
				{
					tray: Type.Enum([...TRAYS]),
					name: Type.String(),
					/** As people say it: "400", "about 400", "350 mm". */
					amount: Type.String(),
					place: Type.Optional(Type.String()),
					/** Versions that lie in it, the top one first: drawn, to practise on. */
					drawn: Type.Optional(Type.Array(Type.String())),
					since: Moment
				},
				closed
			)
		),
		/** What is easily mistaken for each other, by keys of releases, sections and versions. */
		lookAlikes: Type.Array(
			Type.Object(
				{ name: Type.String(), keys: Type.Array(Type.String()), note: Type.String() },
				closed
			)
		),
		synonyms: Type.Array(SynonymSchema),
		prices: Type.Array(SupplyPriceSchema),
		goals: Type.Array(
			Type.Object(
				{
					release: Key,
					rules: GoalRulesSchema,
					name: Type.String(),
					binder: Type.Optional(
						Type.Object(
							{
								name: Type.String(),
								layout: BinderLayoutSchema,
								/** When the cards were put in as planned; left out: they never were. */
								laid: Type.Optional(Moment),
								/** Pockets, by name, whose cards were mixed up since. */
								misfiled: Type.Optional(Type.Array(Type.Array(Key, { minItems: 2, maxItems: 2 })))
							},
							closed
						)
					)
				},
				closed
			)
		)
	},
	closed
);
export type Collector = Static<typeof CollectorSchema>;

import { Type, type Static } from 'typebox';
import { ChecklistBodySchema } from './checklist.ts';
import { VersionKeySchema, VersionSchema } from './compute.ts';
import { ConditionSchema, GoalRulesSchema, GradeNeedSchema } from './goal-rules.ts';
import { closed, Whole, said } from './vocabulary.ts';

export const ScopeInput = Type.Object(
	{
		checklists: said(
			Type.Array(ChecklistBodySchema, { minItems: 1, maxItems: 100 }),
			'The releases that the goal goes over.'
		),
		goal: said(GoalRulesSchema, 'What complete means.')
	},
	closed
);
const SizeRows = Type.Array(
	Type.Object(
		{
			name: said(Type.String(), 'Of which kind.'),
			count: said(Whole, 'Slots of it.')
		},
		closed
	)
);
export const ScopeOutput = Type.Object(
	{
		size: said(
			Type.Object(
				{
					releases: said(Whole, 'Releases that it goes over.'),
					cards: said(Whole, 'Different cards, whatever their finish.'),
					slots: said(Whole, 'Slots in all.'),
					finishes: said(SizeRows, 'Slots by finish, the commonest first.'),
					rarities: said(SizeRows, 'Slots by rarity class, in the order of the classes.'),
					dear: said(
						SizeRows,
						'What is likely to cost its money, for each reason: key cards, short prints, few made, swatches.'
					)
				},
				closed
			),
			'How big a job it is.'
		),
		slots: said(
			Type.Array(
				Type.Object(
					{
						key: said(Type.String(), 'Names the slot.'),
						release: said(Type.String(), 'Key of the release.'),
						version: said(VersionSchema, 'The version that it is named by.'),
						versions: said(
							Type.Array(VersionKeySchema),
							'Keys of all versions that may fill it, the preferred first.'
						),
						set: said(Type.Integer({ minimum: 1 }), 'Which set it is of, from 1.'),
						quantity: said(Type.Integer({ minimum: 1 }), 'How many copies it takes.'),
						tier: said(
							Type.Optional(Whole),
							'Sets in the order in which they get the best copies, from 0; left out: 0.'
						),
						leastCondition: said(Type.Optional(ConditionSchema), 'Poorer copies do not fill it.'),
						needs: said(
							Type.Optional(Type.Array(Type.String())),
							'Attributes that a copy must have.'
						),
						graded: said(Type.Optional(GradeNeedSchema), 'Asks for a graded copy.'),
						panels: said(
							Type.Optional(Type.Array(VersionKeySchema)),
							'Those of its versions that are intact panels.'
						)
					},
					closed
				)
			),
			'What is to be owned.'
		),
		skipped: said(Whole, 'Versions left out because too few were printed.')
	},
	closed
);
export type ScopeRequest = Static<typeof ScopeInput>;

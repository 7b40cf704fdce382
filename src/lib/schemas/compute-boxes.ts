import { Type, type Static } from 'typebox';
import { LIFTS } from '../core/storage/room/box-weight.ts';
import { BOX_CHOICES } from '../core/storage/plan/choose-box.ts';
import { BOX_SCHOOLS } from '../core/storage/plan/school.ts';
import { FormatSchema } from './card-format.ts';
import { closed, Count, Holder, list, orNull, Stock, Whole, Word } from './vocabulary.ts';

const Share = Type.Number({ minimum: 0, maximum: 1 });
const Mm = Type.Number({ exclusiveMinimum: 0, maximum: 5000 });
const Grams = Type.Number({ minimum: 0, maximum: 1_000_000 });

export const BoxKindSchema = Type.Object(
	{
		key: Word,
		name: Word,
		lengthMm: Mm,
		widthMm: Mm,
		heightMm: Mm,
		rows: Type.Integer({ minimum: 1, maximum: 50 }),
		rowMm: Mm,
		nominalCount: Count,
		countStockPt: Stock,
		tareG: Grams,
		isForHolders: Type.Optional(Type.Boolean())
	},
	closed
);
const RulesSchema = Type.Object(
	{
		leastFill: Share,
		leastHave: Share,
		mostStrays: Whole,
		give: Type.Optional(
			Type.Number({
				minimum: 0,
				maximum: 0.2,
				description: 'share by which the cards of a full box may be pressed together; usually 0.01'
			})
		)
	},
	closed
);
const boxedSet = { cards: Whole, need: Whole, have: Whole, stockPt: Type.Optional(Stock) };
const choosing = {
	rules: Type.Optional(RulesSchema),
	kinds: Type.Optional(Type.Array(BoxKindSchema, { minItems: 1, maxItems: 200 }))
};
const choice = {
	choice: Type.Enum([...BOX_CHOICES]),
	kind: orNull(Word),
	fillNow: orNull(Type.Number()),
	fillComplete: orNull(Type.Number()),
	rule: Type.String()
};

export const ChooseBoxInput = Type.Object(
	{ set: Type.Object(boxedSet, closed), ...choosing },
	closed
);
export const ChooseBoxOutput = Type.Object(choice, closed);

export const PlanBoxesInput = Type.Object(
	{
		sets: list(
			Type.Object(
				{
					...boxedSet,
					key: Word,
					name: Word,
					year: Type.String({ maxLength: 20 }),
					maker: Type.String({ maxLength: 200 }),
					theme: Type.Optional(Type.String({ maxLength: 200 })),
					isApart: Type.Optional(Type.Boolean())
				},
				closed
			),
			20_000
		),
		...choosing,
		school: Type.Optional(Type.Enum([...BOX_SCHOOLS])),
		sharedKind: Type.Optional(Word),
		growth: Type.Optional(Share)
	},
	closed
);
export const PlanBoxesOutput = Type.Object(
	{
		boxes: Type.Array(
			Type.Object(
				{
					box: Count,
					kind: Word,
					isApart: Type.Boolean(),
					rows: Type.Array(
						Type.Object(
							{
								usedUm: Type.Integer({ minimum: 0 }),
								entries: Type.Array(
									Type.Object(
										{
											sets: Type.Array(Word),
											label: Type.String(),
											um: Type.Integer({ minimum: 0 }),
											isContinued: Type.Boolean(),
											straysOf: Type.Optional(Type.String())
										},
										closed
									)
								)
							},
							closed
						)
					),
					fill: Type.Number({ minimum: 0 })
				},
				closed
			)
		),
		choices: Type.Array(Type.Object({ set: Word, ...choice }, closed)),
		brokenOverBoxes: Type.Array(Type.String()),
		brokenOverRows: Type.Array(Type.String())
	},
	closed
);

export const BoxWeightInput = Type.Object(
	{
		parts: list(
			Type.Object(
				{
					count: Whole,
					format: Type.Optional(FormatSchema),
					holder: Type.Optional(Holder)
				},
				closed
			),
			10_000
		),
		tareG: Type.Optional(Grams),
		/** The shelf it stands on: what else does, and what the maker says it bears. */
		shelf: Type.Optional(
			Type.Object({ otherBoxesG: list(Grams, 1000), ratingG: Type.Optional(Grams) }, closed)
		)
	},
	closed
);
export const BoxWeightOutput = Type.Object(
	{
		grams: Type.Integer({ minimum: 0 }),
		lift: Type.Enum([...LIFTS]),
		caution: orNull(Type.String()),
		shelf: Type.Optional(Type.Object({ grams: Grams, isOver: orNull(Type.Boolean()) }, closed))
	},
	closed
);

export type ChooseBoxRequest = Static<typeof ChooseBoxInput>;
export type PlanBoxesRequest = Static<typeof PlanBoxesInput>;
export type BoxWeightRequest = Static<typeof BoxWeightInput>;

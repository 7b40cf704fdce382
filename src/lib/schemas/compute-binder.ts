import { Type, type Static, type TProperties } from 'typebox';
import { SUPPLY_SORTS } from '../core/binder/supplies.ts';
import {
	BinderKindSchema,
	BinderLayoutSchema,
	LayoutChangeSchema,
	PageKindSchema,
	SupplyPriceSchema
} from './binder.ts';
import { FormatSchema } from './card-format.ts';
import { closed, list, Whole, Word } from './vocabulary.ts';

const Pockets = Type.Integer({ minimum: 1, maximum: 1000 });
const Nth = Type.Integer({ minimum: 1 });

export const PairGroupsInput = Type.Object(
	{
		groups: list(
			Type.Object({ key: Word, size: Pockets, label: Type.Optional(Word) }, closed),
			5000
		),
		capacity: Pockets
	},
	closed
);
export const PairGroupsOutput = Type.Object(
	{
		pages: Type.Array(
			Type.Object(
				{
					groups: Type.Array(Type.Object({ key: Word, pockets: Pockets }, closed)),
					empty: Whole
				},
				closed
			)
		),
		leastPages: Whole,
		isExact: Type.Boolean()
	},
	closed
);

const SlotSchema = Type.Object(
	{
		key: Word,
		number: Type.Union([Type.String({ maxLength: 60 }), Type.Null()]),
		title: Type.String({ maxLength: 300 }),
		rarity: Type.Optional(Word),
		subject: Type.Optional(Word),
		group: Type.Optional(Word),
		block: Word,
		numbering: Type.Optional(Word),
		year: Type.Optional(Type.String({ maxLength: 20 })),
		arrivedOn: Type.Optional(Type.String({ format: 'date' })),
		isVariant: Type.Optional(Type.Boolean()),
		isFilled: Type.Optional(Type.Boolean()),
		format: Type.Optional(FormatSchema),
		puzzle: Type.Optional(
			Type.Object(
				{
					key: Word,
					columns: Type.Integer({ minimum: 1, maximum: 50 }),
					rows: Type.Integer({ minimum: 1, maximum: 50 }),
					place: Type.Optional(Type.Integer({ minimum: 1, maximum: 2500 }))
				},
				closed
			)
		)
	},
	closed
);

/** Slots, how they are laid, and what one has of one's own. */
const planned = {
	slots: list(SlotSchema, 100_000),
	layout: BinderLayoutSchema,
	rarities: Type.Optional(list(Word, 1000)),
	pageKinds: Type.Optional(list(PageKindSchema, 100)),
	binderKinds: Type.Optional(list(BinderKindSchema, 100))
};
export const PlanBinderInput = Type.Object(planned, closed);
export const PlanBinderOutput = Type.Object(
	{
		pages: Type.Array(
			Type.Object(
				{
					page: Nth,
					volume: Nth,
					pageInVolume: Nth,
					kind: Word,
					use: Type.Enum(['cards', 'backs', 'blank']),
					blocks: Type.Array(Type.String()),
					opens: Type.Array(Whole),
					pockets: Type.Array(Type.Union([Word, Type.Null()])),
					marks: Type.Array(
						Type.Object(
							{
								pocket: Whole,
								use: Type.Enum(['title', 'reserved', 'free']),
								text: Type.Optional(Type.String())
							},
							closed
						)
					)
				},
				closed
			)
		),
		volumes: Type.Array(
			Type.Object(
				{
					volume: Nth,
					leaves: Whole,
					thicknessMm: Type.Number({ minimum: 0 }),
					isOverfull: Type.Boolean()
				},
				closed
			)
		),
		leaves: Whole,
		cardPages: Whole,
		emptyPockets: Whole,
		broken: Type.Array(Type.String()),
		odd: Type.Array(
			Type.Object(
				{
					slot: Word,
					kind: Type.Union([Word, Type.Null()]),
					why: Type.Enum(['loose', 'too large', 'too thick'])
				},
				closed
			)
		),
		tooLarge: Type.Array(Type.String()),
		leastPages: Type.Optional(Whole),
		isExact: Type.Optional(Type.Boolean())
	},
	closed
);

const LyingSchema = Type.Object({ item: Word, pocket: Word }, closed);
const RunSchema = Type.Object(
	{
		/** Pockets of a section in order, and the cards that are to lie in them in order. */
		pockets: list(Word, 200_000),
		items: list(Word, 200_000)
	},
	closed
);
export const PlanMovesInput = Type.Object(
	{
		now: list(LyingSchema, 200_000),
		/** Where cards must lie. */
		target: Type.Optional(list(LyingSchema, 200_000)),
		/** Sections in which blanks may stand anywhere. */
		runs: Type.Optional(list(RunSchema, 5000))
	},
	closed
);
const step = <Does extends string, Places extends TProperties>(does: Does, places: Places) =>
	Type.Object({ do: Type.Literal(does), item: Word, ...places }, closed);
export const PlanMovesOutput = Type.Object(
	{
		steps: Type.Array(
			Type.Union([
				step('move', { from: Word, to: Word }),
				step('take out', { from: Word }),
				step('hold', { from: Word }),
				step('put in', { to: Word }),
				step('lay down', { to: Word })
			])
		),
		stays: Whole,
		misplaced: Whole,
		cycles: Whole,
		putIn: Whole,
		takenOut: Whole
	},
	closed
);

export const SuppliesInput = Type.Object(
	{
		...planned,
		prices: Type.Optional(list(SupplyPriceSchema, 1000)),
		/** Changes of layout to try; left out: those people ask about. */
		whatIf: Type.Optional(list(LayoutChangeSchema, 30))
	},
	closed
);
const SupplyListSchema = Type.Object(
	{
		lines: Type.Array(
			Type.Object(
				{
					key: Word,
					sort: Type.Enum([...SUPPLY_SORTS]),
					name: Word,
					count: Whole,
					today: Type.Optional(Whole),
					packs: Type.Optional(Whole),
					costMinor: Type.Optional(Whole),
					currency: Type.Optional(Word)
				},
				closed
			)
		),
		totals: Type.Array(Type.Object({ currency: Word, costMinor: Whole }, closed)),
		unpriced: Type.Array(Word)
	},
	closed
);
export const SuppliesOutput = Type.Object(
	{
		...SupplyListSchema.properties,
		whatIf: Type.Array(
			Type.Object(
				{
					change: LayoutChangeSchema,
					cardPages: Whole,
					leaves: Whole,
					volumes: Whole,
					supplies: SupplyListSchema
				},
				closed
			)
		)
	},
	closed
);

export type PairGroupsRequest = Static<typeof PairGroupsInput>;
export type PlanBinderRequest = Static<typeof PlanBinderInput>;
export type PlanMovesRequest = Static<typeof PlanMovesInput>;
export type SuppliesRequest = Static<typeof SuppliesInput>;

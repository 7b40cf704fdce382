import { Type, type Static } from 'typebox';
import { FormatSchema } from './card-format.ts';
import { TiersSchema } from './compute-holders.ts';
import {
	closed,
	Count,
	Currency,
	Holder,
	list,
	Minor,
	orNull,
	record,
	Whole,
	Word
} from './vocabulary.ts';

const Um = Type.Integer({ minimum: 1, maximum: 10_000_000, description: 'micrometres' });
const Seconds = Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 });

export const RespaceRowsInput = Type.Object(
	{
		rowUm: Um,
		/** Row by row what stands there; parts of one run in neighbouring rows have the same key. */
		rows: list(
			list(
				Type.Object(
					{
						key: Word,
						dividerUm: Whole,
						cards: list(Type.Object({ key: Word, um: Um }, closed), 20_000)
					},
					closed
				),
				1000
			),
			50
		)
	},
	closed
);
export const RespaceRowsOutput = Type.Object(
	{
		/** False where even all rows together are too short. */
		fits: Type.Boolean(),
		/** Null where no row is too full, or where nothing helps. Rows count from 0. */
		slip: orNull(
			Type.Object(
				{
					row: Type.Integer(),
					overUm: Type.Integer(),
					steps: Type.Array(
						Type.Object(
							{ run: Word, from: Type.Integer(), to: Type.Integer(), cards: Type.Array(Word) },
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

export const MoveTiersInput = Type.Object(
	{
		cards: list(
			Type.Object(
				{
					key: Word,
					quantity: Count,
					valueMinor: Type.Optional(Minor),
					currency: Type.Optional(Currency),
					format: Type.Optional(FormatSchema),
					holder: orNull(Holder),
					words: list(Type.String({ maxLength: 400 }), 50)
				},
				closed
			),
			50_000
		),
		tiers: Type.Optional(TiersSchema),
		/** What the tiers are stated in; left out: what each card is valued in. */
		currency: Type.Optional(Currency),
		names: Type.Optional(list(Type.Object({ word: Word, tier: Word }, closed), 500)),
		onHand: Type.Optional(record(Whole, 200, 'Holder kind → how many there are'))
	},
	closed
);
export const MoveTiersOutput = Type.Object(
	{
		moves: Type.Array(
			Type.Object(
				{
					card: Word,
					quantity: Count,
					tier: Word,
					from: orNull(Word),
					to: orNull(Word),
					direction: Type.Enum(['up', 'down', 'refit']),
					rule: Type.String(),
					oddity: Type.Optional(Type.String())
				},
				closed
			)
		),
		holders: Type.Array(Type.Object({ holder: Word, needed: Count, buy: Whole }, closed))
	},
	closed
);

export const AdviseShelvesInput = Type.Object(
	{
		boxes: list(
			Type.Object({ key: Word, grams: Whole, lengthMm: Count, shelf: orNull(Word) }, closed),
			5000
		),
		shelves: list(
			Type.Object(
				{
					key: Word,
					room: Word,
					unit: Word,
					level: Type.Integer({ minimum: 1, maximum: 100 }),
					lengthMm: Count,
					ratingG: orNull(Count)
				},
				closed
			),
			1000
		)
	},
	closed
);
export const AdviseShelvesOutput = Type.Object(
	{
		advice: Type.Array(
			Type.Object({ box: Word, from: orNull(Word), to: Word, rule: Type.String() }, closed)
		),
		/** What no other shelf here relieves, in grams over the rating. */
		overloaded: Type.Array(Type.Object({ shelf: Word, overG: Count }, closed))
	},
	closed
);

const StockLine = Type.Object({ version: Word, quantity: Count }, closed);
export const TakeStockInput = Type.Object(
	{ recorded: list(StockLine, 50_000), found: list(StockLine, 50_000) },
	closed
);
export const TakeStockOutput = Type.Object(
	{
		differences: Type.Array(
			Type.Object(
				{ version: Word, quantity: Count, sort: Type.Enum(['not there', 'not recorded']) },
				closed
			)
		)
	},
	closed
);

export const TuneSortingInput = Type.Object(
	{
		passes: list(Type.Object({ cards: Count, piles: Count, seconds: Seconds }, closed), 10_000),
		usual: Type.Optional(Type.Object({ cardS: Seconds, pileS: Seconds, lookS: Seconds }, closed))
	},
	closed
);
export const TuneSortingOutput = Type.Object(
	{ cardS: Type.Number(), pileS: Type.Number(), lookS: Type.Number() },
	closed
);

export type RespaceRowsRequest = Static<typeof RespaceRowsInput>;
export type MoveTiersRequest = Static<typeof MoveTiersInput>;
export type AdviseShelvesRequest = Static<typeof AdviseShelvesInput>;
export type TakeStockRequest = Static<typeof TakeStockInput>;
export type TuneSortingRequest = Static<typeof TuneSortingInput>;

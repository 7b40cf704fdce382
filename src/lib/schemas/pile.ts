import { Type } from 'typebox';
import { PILE_KINDS } from '../core/pile/next-pile.ts';
import { MOST_IN_RUN } from '../core/pile/read-pile-run.ts';
import { VersionKeySchema } from './compute.ts';
import { ConditionSchema } from './goal-rules.ts';
import { closed, Count, idOf, list, Whole, Word } from './vocabulary.ts';

const Text = Type.String({ maxLength: 1000 });
const Hint = Type.Optional(Type.String({ maxLength: 200 }));
const Slot = { goal: Text, slot: Text };
const Cards = list(idOf('pile_cards', 'Id of a card on the pile.'), MOST_IN_RUN, { minItems: 1 });

/** What a card is: see `Verdict`. */
const VerdictSchema = Type.Union([
	Type.Object({ kind: Type.Literal('needed'), ...Slot, set: Type.Optional(Count) }, closed),
	Type.Object(
		{ kind: Type.Literal('upgrade'), ...Slot, from: Type.Integer({ minimum: 0, maximum: 1000 }) },
		closed
	),
	Type.Object({ kind: Type.Literal('spare'), copies: Whole }, closed),
	Type.Object({ kind: Type.Literal('outside'), copies: Whole }, closed)
]);

/** The pile that a card goes on next: see `NextPile`. */
const NextPileSchema = Type.Object(
	{
		kind: Type.Enum([...PILE_KINDS]),
		name: Word,
		goal: Type.Optional(Word),
		why: Text
	},
	closed
);

/** Cards that came off a pile: `POST /api/pile`. */
export const LayingSchema = Type.Object(
	{
		line: Type.String({ maxLength: 300, description: 'What was typed for them.' }),
		cards: list(
			Type.Object(
				{
					version: VersionKeySchema,
					condition: Type.Optional(ConditionSchema),
					serial: Type.Optional(Type.String({ minLength: 1, maxLength: 40 })),
					isPrintingUnseen: Type.Optional(Type.Boolean()),
					next: NextPileSchema,
					verdict: VerdictSchema
				},
				closed
			),
			MOST_IN_RUN,
			{ minItems: 1 }
		),
		instead: Type.Optional(Cards),
		from: Type.Optional(idOf('tray_piles', 'Id of the pile to log: so many cards leave it.')),
		pile: Type.Optional(idOf('tray_piles', 'Id of the pile to sort in which they lie.')),
		year: Hint,
		maker: Hint
	},
	closed
);

/** Cards that are taken back: `DELETE /api/pile`. */
export const TakeBackSchema = Type.Object({ cards: Cards }, closed);

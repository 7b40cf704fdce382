import { SLIP_STATES } from '../../core/storage/slips/slip-line.ts';
import { BoxKindSchema } from '../compute-boxes.ts';
import { HolderKindSchema } from '../compute-holders.ts';
import { type Static, Type } from 'typebox';
import { ShelfSchema } from '../shelf.ts';
import { closed, idOf, list, orNull } from '../vocabulary.ts';
import { PricesFormSchema } from './binders.ts';
import { Key, Line, Name, asTyped, lines, shelfId } from './fields.ts';

/* Forms of boxes, shelves, slips, holders and supplies. */

export const BoxFormSchema = Type.Object({
	name: Name,
	kind: Key,
	use: Name,
	shelfId,
	/** "12/3": in row 3 of a larger box; empty: in none. */
	inside: Type.String({
		pattern: '^(\\d{1,15}/\\d{1,3})?$',
		description: 'Choose a box and a row.'
	})
});
export const ShiftFormSchema = Type.Object({ by: Type.Enum(['left', 'right']) });
export const NewDividerFormSchema = Type.Object({
	row: Type.Integer({ minimum: 1, maximum: 50, description: 'Name a row of the box.' }),
	label: Name,
	release: Key
});
export const DividerFormSchema = Type.Object({ divider: idOf('dividers', 'Reload the page.') });
export const RenameFormSchema = Type.Object({ ...DividerFormSchema.properties, label: Name });
export const RespaceFormSchema = Type.Object({ step: Type.String({ maxLength: 2000 }) });
export const CheckFormSchema = Type.Object({
	...DividerFormSchema.properties,
	release: Type.Optional(orNull(Key)),
	line: Type.Optional(orNull(Line))
});
export const MovesFormSchema = Type.Object({
	move: list(Type.String({ pattern: '^\\d{1,15} \\d{1,15}$' }), 10_000, {
		minItems: 1,
		description: 'Name a box and a shelf.'
	})
});
export const ShelfFormSchema = Type.Object({
	id: Type.Optional(orNull(idOf('shelves', 'Reload the page.'))),
	...Type.Omit(ShelfSchema, ['ratingG']).properties,
	ratingKg: orNull(Type.Number({ minimum: 0.001, maximum: 5000, description: 'Up to 5,000 kg.' }))
});
export const ShelfIdFormSchema = Type.Object({ id: idOf('shelves', 'Reload the page.') });
export const PlaceBinderFormSchema = Type.Object({
	binder: idOf('binders', 'Reload the page.'),
	shelfId
});
export const BoxKindFormSchema = Type.Omit(BoxKindSchema, ['key', 'isForHolders', 'isSmall']);
export const BoxKindIdFormSchema = Type.Object({ key: Key });
export const ThemeFormSchema = Type.Object({ release: Key, theme: Name });
export const NewSlipFormSchema = Type.Object({
	sort: Type.Enum(['put away', 'pull']),
	of: Type.Enum(['homeless', 'to sell', 'binder', 'line', 'misplaced']),
	name: Type.Optional(Name),
	binder: Type.Optional(orNull(idOf('binders', 'Choose a binder.'))),
	release: Type.Optional(Key),
	line: Type.Optional(Line)
});
export type NewSlip = Static<typeof NewSlipFormSchema>;
export const SlipIdFormSchema = Type.Object({ slip: idOf('slips', 'Reload the page.') });
/** What was done with a line of a slip: `POST /api/slips/<slip>/lines/<line>`. */
export const SlipAnswerSchema = Type.Object(
	{
		state: Type.Enum([...SLIP_STATES], { description: 'Say done, skipped or not there.' }),
		divider: Type.Optional(orNull(idOf('dividers', 'The divider that was shown.')))
	},
	closed
);
export const SortingFormSchema = Type.Object({
	slip: asTyped(2_000_000),
	finished: Type.Optional(orNull(Type.Integer({ minimum: 0, maximum: 10_000 })))
});
export const AnswerFormSchema = Type.Object({
	question: idOf('discrepancies', 'Reload the page.'),
	key: Key
});
export const TiersFormSchema = Type.Object({
	currency: Type.Optional(Type.String({ maxLength: 10 })),
	tier: lines,
	from: lines,
	holder: lines,
	word: lines,
	named: lines
});
export const RatesFormSchema = Type.Object({ rates: asTyped(20_000) });
export const HolderMovesFormSchema = Type.Object({
	all: Type.Optional(Type.String()),
	copy: list(idOf('copies', 'Reload the page.'), 10_000)
});
export const SuppliesFormSchema = Type.Object({
	...PricesFormSchema.properties,
	onHand: lines
});
/** Line by line: how many are there, and from which number on they are few; empty: not counted, never few. */
export const StockFormSchema = Type.Object({ key: lines, count: lines, least: lines });
export const AsideFormSchema = Type.Object({
	holder: Key,
	count: Type.Integer({ minimum: 1, maximum: 1_000_000, description: 'Say how many.' })
});
export const HolderKindFormSchema = Type.Object({
	...Type.Omit(HolderKindSchema, ['key', 'addsUm']).properties,
	/** What it adds to the thickness of a card. */
	addsMm: Type.Number({ minimum: 0, maximum: 100, description: 'Up to 100 mm.' })
});

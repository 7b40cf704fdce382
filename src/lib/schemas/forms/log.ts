import { CONDITIONS } from '../../core/copies/condition.ts';
import { COPY_STATUSES } from '../../core/copies/copy-record.ts';
import { OUTING_KINDS } from '../../core/copies/outing.ts';
import { SPREADS } from '../../core/copies/spread-cost.ts';
import { HAND_TO } from '../../core/pile/hand-to.ts';
import { PILE_KINDS } from '../../core/pile/next-pile.ts';
import { TRAYS } from '../../core/pile/tray.ts';
import { Type } from 'typebox';
import { idOf, list, orNull } from '../vocabulary.ts';
import { Key, Name, shelfId } from './fields.ts';

/* Forms of the log. */

export const PileFormSchema = Type.Object({
	/** The pile that is changed; empty: a new one. */
	pile: orNull(idOf('tray_piles', 'Reload the page.')),
	tray: Type.Enum([...TRAYS]),
	name: Name,
	amount: Type.String({ maxLength: 40, description: 'Say how many: 400, about 400, 350 mm.' }),
	shelfId: shelfId,
	place: Name
});
/** Copies that go out; without a day nobody has said when they are due. */
export const OutFormSchema = Type.Object({
	copy: list(idOf('copies', 'Reload the page.'), 2000),
	kind: Type.Enum([...OUTING_KINDS]),
	to: Type.String({ maxLength: 200 }),
	dueOn: orNull(Type.String({ format: 'date', description: 'Write a date as 1994-10-05.' }))
});
export const BackFormSchema = Type.Object({ outing: idOf('outings', 'Reload the page.') });
/** Of many copies at once; what is empty stays as it is. */
export const ManyFormSchema = Type.Object({
	copy: list(idOf('copies', 'Reload the page.'), 2000),
	status: orNull(Type.Enum([...COPY_STATUSES])),
	condition: orNull(Type.Enum([...CONDITIONS])),
	holder: orNull(Key),
	place: Name,
	source: Name,
	mark: Name,
	unmark: Name,
	/** What one is worth, and what all cost together: "12.50 EUR". */
	value: Name,
	cost: Name,
	by: Type.Enum([...SPREADS])
});
export const HandFormSchema = Type.Object({
	pile: idOf('tray_piles', 'Reload the page.'),
	kind: Type.Enum([...PILE_KINDS]),
	name: Type.String({ maxLength: 420 }),
	to: Type.Enum([...HAND_TO])
});
export const PileIdFormSchema = Type.Object({ pile: idOf('tray_piles', 'Reload the page.') });
export const UnmatchedFormSchema = Type.Object({ row: idOf('unmatched_rows', 'Reload the page.') });
/** A waiting row, or all of them. */
export const MakeFormSchema = Type.Object({
	row: orNull(idOf('unmatched_rows', 'Reload the page.'))
});
export const SettleFormSchema = Type.Object({
	...UnmatchedFormSchema.properties,
	release: Key,
	line: Name
});
export const StepFormSchema = Type.Object({ step: idOf('journal', 'Reload the page.') });

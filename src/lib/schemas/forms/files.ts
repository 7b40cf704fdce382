import { Type } from 'typebox';
import { idOf, list } from '../vocabulary.ts';
import { Key, Name, asTyped } from './fields.ts';

/* What is chosen for the columns of a table. */

const table = {
	sheet: Type.Optional(Type.String({ maxLength: 200 })),
	column: list(Type.String({ maxLength: 200 }), 500),
	/** Pasted, where no file is chosen. */
	text: Type.Optional(asTyped(64_000_000))
};
export const ChecklistFileFormSchema = Type.Object({
	...table,
	/** A whole checklist, or a list of cards that are added to those that are there. Left out: a checklist. */
	as: Type.Optional(Type.Enum(['checklist', 'list'])),
	name: Type.Optional(Name),
	maker: Type.Optional(Name),
	year: Type.Optional(Name),
	/** The fingerprint of the checklist that the preview went over; `not there`: there was none. */
	seen: Type.Optional(Name)
});
export const HoldingsFileFormSchema = Type.Object({
	...table,
	currency: Type.Optional(
		Type.String({ pattern: '^([A-Za-z]{3})?$', description: 'Three letters, as EUR or USD.' })
	),
	/** Sets as the list names them, and the releases chosen for them, one by one. */
	set: list(Type.String({ maxLength: 5000 }), 10_000),
	release: list(Key, 10_000)
});

/** A seller's list, with what was chosen for its columns and sets. */
export const OffersFileFormSchema = Type.Object({
	...table,
	seller: idOf('sellers', 'Reload the page.'),
	/** The release that rows are of which name none. */
	usualSet: Type.String({ maxLength: 420 }),
	set: list(Type.String({ maxLength: 5000 }), 10_000),
	release: list(Key, 10_000)
});

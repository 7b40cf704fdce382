import { Type } from 'typebox';
import { SEALED_TRUSTS } from '../../core/packs/sealed/compare-sealed.ts';
import { SEALED_UNITS } from '../../core/packs/sealed/sealed-unit.ts';
import { closed, Currency, idOf, orNull } from '../vocabulary.ts';
import { asTyped, Key, Line, Name } from './fields.ts';

/* Forms and bodies of packs: openings, sealed stock. */

const Percent = (least: number, most: number) =>
	Type.Number({ minimum: least, maximum: most, description: `From ${least} to ${most} percent.` });

export const OpeningFormSchema = Type.Object({ pack: Key, name: Name, price: Name });
export const OpeningChangeFormSchema = Type.Object({ name: Name, price: Name });
export const SharesFormSchema = Type.Object({ rules: asTyped(10_000), keeper: Name });
export const OpenedPileFormSchema = Type.Object({
	pile: idOf('opened_piles', 'Reload the page.')
});
/** What some packs held: `POST /api/openings/{opening}/piles`. */
export const OpenedPileSchema = Type.Object(
	{
		packs: Type.Integer({ minimum: 1, maximum: 10_000, description: 'From 1 to 10,000 packs.' }),
		line: Line,
		/** They are in the collection already. */
		isLogged: Type.Optional(Type.Boolean())
	},
	closed
);

export const SealedFormSchema = Type.Object({
	/** The lot that is changed; empty: a new one. */
	lot: orNull(idOf('sealed_lots', 'Reload the page.')),
	pack: Key,
	unit: Type.Enum([...SEALED_UNITS], { description: 'Packs, boxes or cases.' }),
	quantity: Type.Integer({ minimum: 1, maximum: 100_000, description: 'From 1.' }),
	cost: Name,
	value: Name,
	trust: Type.Enum([...SEALED_TRUSTS], { description: 'Choose how sure it is.' }),
	source: Name,
	place: Name,
	acquiredOn: orNull(Type.String({ format: 'date', description: 'Write a date as 1994-10-05.' }))
});
export const SealedIdFormSchema = Type.Object({
	lot: idOf('sealed_lots', 'Reload the page.')
});
export const SealedRulesFormSchema = Type.Object({
	fee: Percent(0, 100),
	send: Name,
	yearly: Percent(-50, 100),
	years: Type.Integer({ minimum: 0, maximum: 50, description: 'From 0 to 50 years.' }),
	elsewhere: Percent(-50, 100),
	likely: Percent(0, 100),
	doubtful: Percent(0, 100)
});

/** What sealed stock is compared by, as it is kept. */
export const SealedRulesSchema = Type.Object(
	{
		feePercent: Percent(0, 100),
		sendMinor: Type.Integer({ minimum: 0, maximum: 1e12 }),
		/** Of what sending costs. */
		currency: Currency,
		yearlyPercent: Percent(-50, 100),
		years: Type.Integer({ minimum: 0, maximum: 50 }),
		elsewherePercent: Percent(-50, 100),
		likelyPercent: Percent(0, 100),
		doubtfulPercent: Percent(0, 100)
	},
	closed
);

/** A copy with a hidden tile is opened; without a tile it was gone. */
export const TileFormSchema = Type.Object({
	copy: idOf('copies', 'Reload the page.'),
	tile: orNull(Key)
});

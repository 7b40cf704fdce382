import { Type } from 'typebox';
import {
	BINDER_ORDERS,
	BLOCK_STARTS,
	MISSING_CHOICES,
	PARALLEL_PLACES,
	PULLED_CHOICES,
	VARIANT_PLACES
} from '../core/binder/binder-layout.ts';
import { POCKET_LOADINGS } from '../core/binder/page-kind.ts';
import { closed } from './vocabulary.ts';

const Key = Type.String({
	minLength: 1,
	maxLength: 60,
	pattern: '^[\\p{Ll}\\p{Lo}\\p{Lm}\\p{M}\\p{N}.-]+$'
});
const Name = Type.String({ minLength: 1, maxLength: 60, pattern: '\\S' });
const Few = Type.Integer({ minimum: 0, maximum: 1000 });
/** A length that a hand can hold, in millimetres. */
const Length = Type.Number({ minimum: 5, maximum: 1000 });

export const PageKindSchema = Type.Object(
	{
		key: Key,
		name: Name,
		rows: Type.Integer({ minimum: 1, maximum: 12 }),
		columns: Type.Integer({ minimum: 1, maximum: 12 }),
		pocketWidthMm: Length,
		pocketHeightMm: Length,
		loading: Type.Enum([...POCKET_LOADINGS]),
		thickestPt: Type.Integer({ minimum: 1, maximum: 1000 })
	},
	closed
);

export const BinderKindSchema = Type.Object(
	{
		key: Key,
		name: Name,
		mostLeaves: Type.Integer({ minimum: 1, maximum: 1000 }),
		spineDepthMm: Length,
		hasSewnLeaves: Type.Optional(Type.Boolean())
	},
	closed
);

/** What a pack costs, in minor units of the currency. */
export const SupplyPriceSchema = Type.Object(
	{
		key: Type.String({ minLength: 1, maxLength: 100 }),
		priceMinor: Type.Integer({ minimum: 0, maximum: 100_000_000 }),
		currency: Type.String({ pattern: '^[A-Z]{3}$' }),
		packOf: Type.Integer({ minimum: 1, maximum: 100_000 })
	},
	closed
);

const layout = {
	pageKind: Key,
	order: Type.Enum([...BINDER_ORDERS]),
	blockStart: Type.Enum([...BLOCK_STARTS]),
	cardsAPocket: Type.Enum([1, 2]),
	titlePocket: Type.Boolean(),
	missing: Type.Enum([...MISSING_CHOICES]),
	reserve: Few,
	slack: Few,
	variants: Type.Enum([...VARIANT_PLACES]),
	parallels: Type.Enum([...PARALLEL_PLACES]),
	pulled: Type.Enum([...PULLED_CHOICES]),
	binderKind: Key,
	ownOrder: Type.Array(Type.String({ maxLength: 420 }), { maxItems: 200_000 })
};

/** A layout as it is stored and sent: page kind, order and where blocks begin, and what is not usual. */
export const BinderLayoutSchema = Type.Object(
	{
		...Type.Partial(Type.Object(layout)).properties,
		pageKind: layout.pageKind,
		order: layout.order,
		blockStart: layout.blockStart
	},
	closed
);

/** A change of layout: anything of it. */
export const LayoutChangeSchema = Type.Partial(Type.Object(layout), closed);

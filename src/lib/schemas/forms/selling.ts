import { Type } from 'typebox';
import { LISTING_KINDS, LISTING_STEPS } from '../../core/selling/listings/listing.ts';
import { idOf, list } from '../vocabulary.ts';
import { asTyped, Key, Name } from './fields.ts';

/* Forms of selling: rules, listings, building sets, parcels. */

const Reload = 'Reload the page.';
const Percent = Type.Number({ minimum: 0, maximum: 1000, description: '0 to 1,000 %.' });
const Yes = Type.Optional(Type.Literal('yes'));
const Hours = Type.Number({ minimum: 0, maximum: 10_000, description: 'Hours, at least 0.' });

export const SellingRulesFormSchema = Type.Object({
	...{ channels: asTyped(4000), bands: asTyped(4000), sellsInserts: Yes, sellsDoubles: Yes },
	...{ askPercent: Percent, floorPercent: Percent, lotPercent: Percent, unpriced: Name }
});
/** Lots that are ticked, each with its cards ("12 1, 14 2": copy and how many) and what is asked. */
export const LotsFormSchema = Type.Object({
	lot: Type.Optional(list(Type.Integer({ minimum: 0, maximum: 1000 }), 500)),
	as: list(Type.Enum([...LISTING_KINDS]), 500),
	channel: list(Name, 500),
	cards: list(Type.String({ maxLength: 200_000 }), 500),
	asking: list(Name, 500),
	floor: list(Name, 500)
});
/** Copies that are offered together. */
export const ListingFormSchema = Type.Object({
	...{ kind: Type.Enum([...LISTING_KINDS]), channel: Name, asking: Name, floor: Name, title: Name },
	copy: Type.Optional(list(idOf('copies', Reload), 2000)),
	quantity: Type.Optional(
		list(
			Type.Integer({ minimum: 1, maximum: 1_000_000, description: 'How many, at least 1.' }),
			2000
		)
	)
});
/** The copies that fill a set of a goal. */
export const SetListingFormSchema = Type.Object({
	...{ goal: idOf('goals', 'Choose a goal.'), channel: Name, asking: Name, floor: Name },
	set: Type.Integer({ minimum: 1, maximum: 1000, description: 'Which set: 1, 2 …' })
});
export const ListingStepFormSchema = Type.Object({
	listing: idOf('listings', Reload),
	step: Type.Enum([...LISTING_STEPS]),
	...{ buyer: Name, price: Name, charged: Name, postage: Name, supplies: Name, fee: Name }
});
export const ListingIdFormSchema = Type.Object({ listing: idOf('listings', Reload) });
/** What of a listing is written anew. */
export const ListingEditFormSchema = Type.Object({
	listing: idOf('listings', Reload),
	...{ title: Name, channel: Name, asking: Name, floor: Name, text: asTyped(10_000) }
});
export const BuildFormSchema = Type.Object({
	...{ release: Key, parts: asTyped(40_000), sales: Name },
	feePercent: Type.Number({ minimum: 0, maximum: 100, description: '0 to 100 %.' }),
	...{ supplies: Name, packing: Name, postage: Name, fixed: Name },
	...{ hoursFixed: Hours, hoursPerSet: Hours },
	mostSets: Type.Integer({ minimum: 1, maximum: 200, description: '1 to 200 sets.' })
});
export const BuildReleaseFormSchema = Type.Object({ release: Key });
export const BuildGoalFormSchema = Type.Object({
	release: Key,
	sets: Type.Integer({ minimum: 1, maximum: 200, description: '1 to 200 sets.' })
});
export const ParcelKindsFormSchema = Type.Object({ kinds: asTyped(10_000) });

import { Type, type Static } from 'typebox';
import { SUPPLY_SORTS } from '../core/binder/supplies.ts';
import { LayoutChangeSchema, SupplyPriceSchema } from './binder.ts';
import { planned } from './compute-binder.ts';
import { closed, list, said, Whole, Word } from './vocabulary.ts';

export const SuppliesInput = Type.Object(
	{
		...planned,
		prices: said(Type.Optional(list(SupplyPriceSchema, 1000)), 'What packs cost.'),
		whatIf: said(
			Type.Optional(list(LayoutChangeSchema, 30)),
			'Changes of layout to try; left out: those people ask about.'
		)
	},
	closed
);
const SupplyListSchema = Type.Object(
	{
		lines: said(
			Type.Array(
				Type.Object(
					{
						key: said(Word, 'What prices are kept by.'),
						sort: said(
							Type.Enum([...SUPPLY_SORTS]),
							'sleeve: one a card. page: leaves of pockets. binder: a cover a volume. divider: one a block. holder: for single cards.'
						),
						name: said(Word, 'What it is called.'),
						count: said(Whole, 'How many when everything is there.'),
						today: said(
							Type.Optional(Whole),
							'How many for what is there; left out where that makes no difference.'
						),
						packs: said(Type.Optional(Whole), 'Whole packs to buy; left out without a price.'),
						costMinor: said(Type.Optional(Whole), 'What those cost, in minor units.'),
						currency: said(Type.Optional(Word), 'ISO 4217: EUR.')
					},
					closed
				)
			),
			'What the binder takes.'
		),
		totals: said(
			Type.Array(
				Type.Object(
					{ currency: said(Word, 'ISO 4217: EUR.'), costMinor: said(Whole, 'In minor units.') },
					closed
				)
			),
			'One sum a currency.'
		),
		unpriced: said(Type.Array(Word), 'Names of what has no price, so that the sums lack it.')
	},
	closed
);
export const SuppliesOutput = Type.Object(
	{
		...SupplyListSchema.properties,
		whatIf: said(
			Type.Array(
				Type.Object(
					{
						change: said(LayoutChangeSchema, 'The change.'),
						cardPages: said(Whole, 'Pages that would show cards.'),
						leaves: said(Whole, 'Leaves it would take.'),
						volumes: said(Whole, 'Volumes it would take.'),
						supplies: said(SupplyListSchema, 'What it would take and cost.')
					},
					closed
				)
			),
			'The same under each change.'
		)
	},
	closed
);

export type SuppliesRequest = Static<typeof SuppliesInput>;

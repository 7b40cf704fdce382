import { Type, type Static } from 'typebox';
import { CONDITIONS } from '../core/copies/condition.ts';
import { PostageRuleSchema } from './buying-problem.ts';
import { closed, Count, list, Minor, said, Whole, Word } from './vocabulary.ts';

const ConditionSchema = Type.Enum([...CONDITIONS]);
const Grade = Type.Number({ minimum: 1, maximum: 10, multipleOf: 0.5 });

/** What came of a line of an order. */
export const ArrivalSchema = Type.Object(
	{
		line: said(Word, 'Key of the line.'),
		came: said(
			list(
				Type.Object(
					{
						quantity: said(Whole, 'How many came.'),
						condition: Type.Optional(said(ConditionSchema, 'As they are; left out: as ordered.'))
					},
					closed
				),
				10
			),
			'Cards that came, by condition; an empty list: none.'
		),
		askedMinor: Type.Optional(
			said(Minor, 'What is asked back. Left out: the price of what did not come.')
		),
		refundMinor: Type.Optional(said(Minor, 'What was given back already. Left out: nothing.')),
		isSettled: Type.Optional(
			said(Type.Boolean(), 'Nothing more is expected back. Left out: false.')
		)
	},
	closed
);
const OrderLineSchema = Type.Object(
	{
		key: said(Word, 'Name of the line.'),
		version: said(Word, 'Version key.'),
		quantity: said(Count, 'How many were ordered.'),
		minor: said(Minor, 'What all of them cost.'),
		condition: Type.Optional(said(ConditionSchema, 'As it was offered.')),
		grade: Type.Optional(said(Grade, '1 to 10 in halves.'))
	},
	closed
);
export const CheckInInput = Type.Object(
	{
		lines: said(list(OrderLineSchema, 5000, { minItems: 1 }), 'What was ordered.'),
		postageMinor: said(Minor, 'What sending it cost, to a hub and on.'),
		arrivals: said(list(ArrivalSchema, 5000), 'What came; lines left out came as ordered.')
	},
	closed
);
const ClaimSchema = Type.Object(
	{
		line: said(Type.String(), 'Key of the line.'),
		short: said(Type.Integer(), 'Cards that did not come.'),
		worse: said(
			Type.Array(
				Type.Object(
					{
						quantity: said(Type.Integer(), 'How many.'),
						ordered: said(Type.String(), 'The condition they were ordered in.'),
						arrived: said(Type.String(), 'The condition they are in.')
					},
					closed
				)
			),
			'Cards in a worse condition than ordered.'
		),
		askedMinor: said(Type.Integer(), 'What is asked back.'),
		refundMinor: said(Type.Integer(), 'What came back.'),
		isSettled: said(Type.Boolean(), 'Whether nothing more is expected.')
	},
	closed
);
export const CheckInOutput = Type.Object(
	{
		cards: said(
			Type.Array(
				Type.Object(
					{
						line: said(Type.String(), 'Key of the line.'),
						version: said(Type.String(), 'Version key.'),
						quantity: said(Type.Integer(), 'How many.'),
						costMinor: said(Type.Integer(), 'What one of them cost, postage in it.'),
						condition: Type.Optional(said(Type.String(), 'As they are.')),
						grade: Type.Optional(said(Type.Number(), '1 to 10 in halves.'))
					},
					closed
				)
			),
			'Cards that are here. What was paid, less what came or is asked back, goes to them by share of the price.'
		),
		claims: said(Type.Array(ClaimSchema), 'What is not as ordered.'),
		openMinor: said(Type.Integer(), 'Asked back and not given yet.'),
		refundMinor: said(Type.Integer(), 'What came back.'),
		costMinor: said(Type.Integer(), 'What the cards that are here cost together.')
	},
	closed
);
export type CheckInRequest = Static<typeof CheckInInput>;

export const ShipNowInput = Type.Object(
	{
		forwarding: said(PostageRuleSchema, 'What the hub asks.'),
		parcels: said(
			list(
				Type.Object(
					{
						key: said(Word, 'Name of the order.'),
						cards: said(Count, 'How many cards it is.'),
						grams: said(Type.Number({ minimum: 0, maximum: 1e7 }), 'What it weighs.'),
						amountMinor: said(Minor, 'What its cards cost.'),
						days: said(
							Type.Union([Type.Integer({ minimum: 0, maximum: 3650 }), Type.Null()]),
							'Days until it is at the hub; 0: it lies there; null: nobody knows.'
						)
					},
					closed
				),
				1000
			),
			'Orders at the hub, and on their way to it.'
		)
	},
	closed
);
const OrNoParcel = Type.Union([Type.Integer(), Type.Null()]);
export const ShipNowOutput = Type.Object(
	{
		nowMinor: said(
			OrNoParcel,
			'Forwarding what lies there now; null: the hub takes no such parcel.'
		),
		laterMinor: said(OrNoParcel, 'Forwarding the rest afterwards, by itself.'),
		waits: said(
			Type.Array(
				Type.Object(
					{
						days: said(Type.Integer(), 'How long is waited.'),
						parcels: said(Type.Array(Type.String()), 'What goes together then.'),
						totalMinor: said(OrNoParcel, 'That parcel, and the rest in another.')
					},
					closed
				)
			),
			'Each time something arrives.'
		),
		bestDays: said(Type.Integer(), 'The cheapest wait, of equal ones the shortest; 0: ship now.'),
		savesMinor: said(OrNoParcel, 'What it saves against shipping now; null: now is not possible.'),
		unknown: said(Type.Array(Type.String()), 'Orders that nobody knows the day of.')
	},
	closed
);
export type ShipNowRequest = Static<typeof ShipNowInput>;

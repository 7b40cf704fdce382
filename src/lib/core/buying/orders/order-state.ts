/** How an order comes: straight from the seller, gathered at the hub, or taken along on the spot. */
export const ORDER_WAYS = ['direct', 'hub', 'in hand'] as const;
export type OrderWay = (typeof ORDER_WAYS)[number];

/** Where an order is. `trouble`: something is wrong with it, wherever it is. */
export const ORDER_STATES = [
	'awaiting payment',
	'being filled',
	'on the way to the hub',
	'at the hub',
	'shipment asked for',
	'shipped',
	'here',
	'trouble'
] as const;
export type OrderState = (typeof ORDER_STATES)[number];

const BY_WAY: Readonly<Record<OrderWay, readonly OrderState[]>> = {
	direct: ['awaiting payment', 'being filled', 'shipped', 'here'],
	hub: ORDER_STATES.filter((state) => state !== 'trouble'),
	'in hand': ['here']
};

/** The states that an order goes through by its way, in their order; trouble is none of them. */
export const statesOf = (way: OrderWay): readonly OrderState[] => BY_WAY[way];

/**
 * What an order is likely to be next; null: it is here, or in trouble, and nobody can tell.
 *
 * @example nextState({ way: 'direct', state: 'being filled' }) // 'shipped'
 */
export function nextState({
	way,
	state
}: {
	readonly way: OrderWay;
	readonly state: OrderState;
}): OrderState | null {
	const states = statesOf(way);
	const i = states.indexOf(state);
	return i < 0 ? null : (states[i + 1] ?? null);
}

/** Whether an order may be said to be in a state: one of its way, or trouble; it comes here by checking it in alone. */
export const mayBe = (way: OrderWay, state: OrderState): boolean =>
	state === 'trouble' || (state !== 'here' && statesOf(way).includes(state));

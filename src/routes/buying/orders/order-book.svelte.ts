import type { Arrival } from '$lib/core/buying/orders/check-in';
import type { OrderState } from '$lib/core/buying/orders/order-state';
import { parseAmount } from '$lib/core/money/amount';
import { createReport } from '$lib/ui/change-report.svelte';
import { refreshCopies } from '$lib/ui/refresh';
import { send } from '$lib/ui/send';

/** What is said after a check-in. */
export const CHECKED_IN = 'Checked in';

/** What is done with orders, bids and pick-ups, and what the server says of it. */
export function createOrderBook() {
	const report = createReport();

	async function change(
		part: string,
		method: 'POST' | 'PATCH' | 'DELETE',
		path: string,
		body: object,
		said: string
	): Promise<boolean> {
		const outcome = await report.of(send(method, path, body), { said: () => said, part });
		await refreshCopies();
		return outcome.ok;
	}
	const ofOrder = (id: number) => `order ${id}`;

	return {
		/** The problems of a part of the page. */
		problemsOf: report.problemsOf,
		ofOrder,
		get told() {
			return report.told;
		},
		move: (id: number, state: OrderState) =>
			change(ofOrder(id), 'PATCH', `/api/orders/${id}`, { state }, `Now: ${state}`),
		expect: (id: number, expectedOn: string | null) =>
			change(ofOrder(id), 'PATCH', `/api/orders/${id}`, { expectedOn }, 'Kept'),
		/** What sending it costs in fact; the seller's rule said it so far. */
		postage(id: number, text: string, currency: string) {
			const read = parseAmount(text, currency);
			if (!read.ok) {
				report.refuse(read.problems, ofOrder(id));
				return Promise.resolve(false);
			}
			const body = { postageMinor: read.value.minor };
			return change(ofOrder(id), 'PATCH', `/api/orders/${id}`, body, 'Kept');
		},
		cancel: (id: number) =>
			change(ofOrder(id), 'DELETE', `/api/orders/${id}`, {}, 'Taken back; undo brings it again.'),
		checkIn: (id: number, arrivals: readonly Arrival[]) =>
			change(ofOrder(id), 'POST', `/api/orders/${id}/check-in`, { arrivals }, CHECKED_IN),
		settle: (id: number, line: number, refundMinor: number) =>
			change(ofOrder(id), 'PATCH', `/api/orders/${id}/check-in`, { line, refundMinor }, 'Settled'),
		ship: (orders: readonly number[]) =>
			change('hub', 'POST', '/api/orders/shipment', { orders }, 'Shipment asked for'),
		pickUp: (body: object) => change('pick-up', 'POST', '/api/pick-ups', body, 'Recorded'),
		bid: (body: object) => change('bid', 'POST', '/api/bids', body, 'Recorded'),
		endBid: (id: number, wonMinor: number | null) =>
			change(
				`bid ${id}`,
				'PATCH',
				`/api/bids/${id}`,
				{ wonMinor },
				wonMinor === null ? 'Lost: its card is wanted as before.' : 'Won: it is an order now.'
			)
	};
}
export type OrderBook = ReturnType<typeof createOrderBook>;

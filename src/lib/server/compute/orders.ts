import { checkIn } from '../../core/buying/orders/check-in.ts';
import { shipNow } from '../../core/buying/orders/ship-now.ts';
import { checkPostageRule } from '../../core/buying/offers/postage-rule.ts';
import { bad, good } from '../../core/problem.ts';
import {
	CheckInInput,
	CheckInOutput,
	ShipNowInput,
	ShipNowOutput,
	type CheckInRequest,
	type ShipNowRequest
} from '../../schemas/compute-orders.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

export const checkInComputation = defineComputation({
	name: 'check-in',
	summary:
		'What came of an order, what is short or worse, what is asked back, and what each card cost.',
	input: CheckInInput,
	output: CheckInOutput,
	run({ arrivals, ...order }: CheckInRequest) {
		const problems = repeated('lines', 'key', order.lines);
		return problems.length > 0 ? bad(problems) : checkIn(order, arrivals);
	}
});

export const shipNowComputation = defineComputation({
	name: 'ship-now',
	summary: 'Whether a hub should forward what lies there, or wait for what is on its way.',
	input: ShipNowInput,
	output: ShipNowOutput,
	run({ forwarding, parcels }: ShipNowRequest) {
		const problems = [
			...repeated('parcels', 'key', parcels),
			...checkPostageRule(forwarding).map((problem) => ({
				...problem,
				pointer: `/forwarding${problem.pointer ?? ''}`
			}))
		];
		if (problems.length > 0) return bad(problems);
		const advice = shipNow(forwarding, parcels);
		const orNone = (minor: number) => (Number.isFinite(minor) ? minor : null);
		return good({
			...advice,
			...{ nowMinor: orNone(advice.nowMinor), laterMinor: orNone(advice.laterMinor) },
			savesMinor: orNone(advice.savesMinor),
			waits: advice.waits.map((wait) => ({ ...wait, totalMinor: orNone(wait.totalMinor) }))
		});
	}
});

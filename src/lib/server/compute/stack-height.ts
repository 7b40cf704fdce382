import { chooseHolder } from '../../core/storage/holders/choose-holder.ts';
import { gaugePt, stackHeightUm } from '../../core/storage/room/stack-height.ts';
import { good } from '../../core/problem.ts';
import {
	StackHeightInput,
	StackHeightOutput,
	type StackHeightRequest
} from '../../schemas/compute-holders.ts';
import { defineComputation } from './define-computation.ts';

export const stackHeightComputation = defineComputation({
	name: 'stack-height',
	summary: 'How high cards stand, and the stock of a card out of a measure.',
	input: StackHeightInput,
	output: StackHeightOutput,
	run({ parts = [], gauge }: StackHeightRequest) {
		const stack = {
			heightMm: stackHeightUm(parts) / 1000,
			cards: parts.reduce((sum, { count }) => sum + count, 0)
		};
		if (!gauge) return good(stack);
		const stockPt = gaugePt(gauge.value, gauge.unit, gauge.count);
		const { holder } = chooseHolder({ tier: 'valuables', format: { stockPt } });
		return good({ ...stack, stockPt, topLoader: holder });
	}
});

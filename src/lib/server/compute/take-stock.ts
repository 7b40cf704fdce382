import { takeStock } from '../../core/storage/stock-take/take-stock.ts';
import { good } from '../../core/problem.ts';
import {
	TakeStockInput,
	TakeStockOutput,
	type TakeStockRequest
} from '../../schemas/compute-storage.ts';
import { defineComputation } from './define-computation.ts';

export const takeStockComputation = defineComputation({
	name: 'take-stock',
	summary: 'What differs between what is recorded behind a divider and what was found there.',
	input: TakeStockInput,
	output: TakeStockOutput,
	run: ({ recorded, found }: TakeStockRequest) => good({ differences: takeStock(recorded, found) })
});

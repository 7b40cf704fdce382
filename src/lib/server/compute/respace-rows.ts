import { respaceSlip } from '../../core/storage/rows/respace-slip.ts';
import { good } from '../../core/problem.ts';
import {
	RespaceRowsInput,
	RespaceRowsOutput,
	type RespaceRowsRequest
} from '../../schemas/compute-storage.ts';
import { defineComputation } from './define-computation.ts';

export const respaceRowsComputation = defineComputation({
	name: 'respace-rows',
	summary: 'Which cards go into which row where one is too full, the farthest first.',
	input: RespaceRowsInput,
	output: RespaceRowsOutput,
	run({ rows, rowUm }: RespaceRowsRequest) {
		return good(respaceSlip(rows, rowUm));
	}
});

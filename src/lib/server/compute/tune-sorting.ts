import { tuneTimes } from '../../core/storage/sorting/tune-times.ts';
import { good } from '../../core/problem.ts';
import {
	TuneSortingInput,
	TuneSortingOutput,
	type TuneSortingRequest
} from '../../schemas/compute-sorting.ts';
import { defineComputation } from './define-computation.ts';

export const tuneSortingComputation = defineComputation({
	name: 'tune-sorting',
	summary: 'A person’s own times of a card and a pile, out of timed passes.',
	input: TuneSortingInput,
	output: TuneSortingOutput,
	run: ({ passes, usual }: TuneSortingRequest) => good({ ...tuneTimes(passes, usual) })
});

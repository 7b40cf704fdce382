import { adviseShelves } from '../../core/storage/shelves/advise-shelves.ts';
import { good } from '../../core/problem.ts';
import {
	AdviseShelvesInput,
	AdviseShelvesOutput,
	type AdviseShelvesRequest
} from '../../schemas/compute-storage.ts';
import { defineComputation } from './define-computation.ts';

export const adviseShelvesComputation = defineComputation({
	name: 'advise-shelves',
	summary: 'Where boxes should stand: heavy ones low, on shelves that bear them.',
	input: AdviseShelvesInput,
	output: AdviseShelvesOutput,
	run: ({ boxes, shelves }: AdviseShelvesRequest) => good(adviseShelves(boxes, shelves))
});

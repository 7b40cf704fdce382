import { MOST_POCKETS_OF_BINDER, whatFits } from '../../core/binder/what-fits.ts';
import { bad, good } from '../../core/problem.ts';
import {
	WhatFitsInput,
	WhatFitsOutput,
	type WhatFitsRequest
} from '../../schemas/compute-what-fits.ts';
import { defineComputation } from './define-computation.ts';
import { repeated } from './repeated.ts';

export const whatFitsComputation = defineComputation({
	name: 'what-fits',
	summary: 'For given binders: whether what they hold fits, what room is left, and what may join.',
	input: WhatFitsInput,
	output: WhatFitsOutput,
	run({ binders, candidates = [], start = 'own page' }: WhatFitsRequest) {
		const problems = [
			...repeated('binders', 'key', binders),
			...repeated('candidates', 'key', candidates),
			...binders.flatMap(({ pages, pocketsPerPage }, i) =>
				pages * pocketsPerPage > MOST_POCKETS_OF_BINDER
					? {
							pointer: `/binders/${i}/pages`,
							field: 'pages',
							message: `a binder of ${pages * pocketsPerPage} pockets is none; at most ${MOST_POCKETS_OF_BINDER} are reckoned with`,
							remedy: 'Name each volume as a binder.'
						}
					: []
			)
		];
		if (problems.length > 0) return bad(problems);
		const whole = binders.map((binder) => ({ ...binder, holds: binder.holds ?? [] }));
		return good({ binders: whatFits(whole, candidates, start) });
	}
});

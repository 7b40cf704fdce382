import { answer } from '$lib/server/answer';
import { theCollection } from '$lib/server/collection';
import { pageTask } from '$lib/server/workers/file-task';
import { takeEstimates } from '$lib/server/worth/value/take-estimates';
import { countOf } from '$lib/ui/numerals';
import { readScope } from './read-scope';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { now } = await theCollection();
	const scope = readScope(url.searchParams.get('of') ?? '');
	return pageTask('valueView', { scope, today: now().slice(0, 10) }, request.signal);
};

export const actions = {
	/** Copies take the price book's values over. */
	take: async () => {
		const done = await takeEstimates(await theCollection());
		const told = done.ok
			? done.value.copies === 0
				? 'No copy has another value in the price book.'
				: `${countOf(done.value.copies, 'copy', 'copies')} valued by the price book.`
			: '';
		return answer('take', done, told);
	}
};

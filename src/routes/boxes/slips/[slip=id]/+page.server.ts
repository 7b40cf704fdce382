import { error } from '@sveltejs/kit';
import { walkSlip } from '$lib/core/storage/slips/slip-walk';
import { readSlip } from '$lib/server/storage/slips/slips';
import { theCollection } from '$lib/server/collection';
import { rowId } from '$lib/core/row-id';

/** Lines after the present one that come with the page, so that one goes on without a network; lines without a place that are named. */
const ALONG = 150;
const NAMED = 25;

export const load = async ({ params, url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	/** To be printed: every line with its neighbours. */
	const isWhole = url.searchParams.has('whole');
	const slip = await readSlip(db, rowId(Number(params.slip)), isWhole ? Infinity : ALONG);
	if (!slip) error(404, 'There is no such slip.');
	const { lines, ...head } = slip;
	const { todo, placeless, ...counts } = walkSlip(lines);
	const missing = Number(url.searchParams.get('missing'));
	return {
		slip: { ...head, ...counts, lines: lines.length },
		isWhole,
		left: todo.length,
		todo: isWhole ? todo : todo.slice(0, 1 + ALONG),
		placeless: { count: placeless.length, some: placeless.slice(0, NAMED) },
		missing: Number.isInteger(missing) ? missing : 0
	};
};

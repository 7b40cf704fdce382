import { error, fail } from '@sveltejs/kit';
import { walkSlip } from '$lib/core/storage/slips/slip-walk';
import { answerLine } from '$lib/server/storage/slips/change-slips';
import { readSlip } from '$lib/server/storage/slips/slips';
import { theCollection } from '$lib/server/collection';
import { SlipAnswerFormSchema } from '$lib/schemas/forms/boxes';
import { readFormOf } from '$lib/server/read-form';
import { rowId } from '$lib/core/row-id';

/** Lines after the present one that are shown, and lines without a place that are named. */
const SHOWN = 25;

export const load = async ({ params, url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	/** To be printed: every line with its neighbours. */
	const isWhole = url.searchParams.has('whole');
	const slip = await readSlip(db, rowId(Number(params.slip)), isWhole ? Infinity : undefined);
	if (!slip) error(404, 'There is no such slip.');
	const { lines, ...head } = slip;
	const { todo, placeless, ...counts } = walkSlip(lines);
	const missing = Number(url.searchParams.get('missing'));
	return {
		slip: { ...head, ...counts, lines: lines.length },
		isWhole,
		left: todo.length,
		todo: isWhole ? todo : todo.slice(0, 1 + SHOWN),
		placeless: { count: placeless.length, some: placeless.slice(0, SHOWN) },
		missing: Number.isInteger(missing) ? missing : 0
	};
};

export const actions = {
	answer: async ({ params, request }) => {
		const form = await readFormOf(request, SlipAnswerFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { line, state, divider = null } = form.value;
		const done = await answerLine(
			await theCollection(),
			rowId(Number(params.slip)),
			line,
			state,
			divider
		);
		return done.ok ? { line } : fail(409, { problems: done.problems });
	}
};

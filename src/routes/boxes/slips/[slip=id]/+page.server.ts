import { error, fail } from '@sveltejs/kit';
import { SLIP_STATES } from '$lib/core/boxes/slip-line';
import { answerLine } from '$lib/server/boxes/change-slips';
import { readSlip } from '$lib/server/boxes/slips';
import { theCollection } from '$lib/server/collection';
import { formFields } from '$lib/server/form-fields';

export const load = async ({ params, url, depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	/** To be printed: every line with its neighbours. */
	const isWhole = url.searchParams.has('whole');
	const slip = await readSlip(db, Number(params.slip), isWhole ? Infinity : undefined);
	if (!slip) error(404, 'There is no such slip.');
	const missing = Number(url.searchParams.get('missing'));
	return { slip, isWhole, missing: Number.isInteger(missing) ? missing : 0 };
};

export const actions = {
	answer: async ({ params, request }) => {
		const { word, id } = formFields(await request.formData());
		const state = SLIP_STATES.find((one) => one === word('state'));
		if (!state) return fail(400, { problems: [{ message: 'say done, skipped or not there' }] });
		const collection = await theCollection();
		const divider = id('divider') || null;
		const done = await answerLine(collection, Number(params.slip), id('line'), state, divider);
		return done.ok ? { line: id('line') } : fail(409, { problems: done.problems });
	}
};

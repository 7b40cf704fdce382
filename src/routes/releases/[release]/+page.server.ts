import { error, fail, redirect } from '@sveltejs/kit';
import { applyMend } from '$lib/core/checklist/doctor/apply-mend';
import { examine } from '$lib/core/checklist/doctor/examine';
import { theCollection } from '$lib/server/collection';
import { listGoals } from '$lib/server/goals/read-goals';
import { loadRelease } from '$lib/server/releases/load-release';
import { saveRelease } from '$lib/server/releases/save-release';
import { removeRelease } from '$lib/server/releases/remove-release';

export const load = async ({ params }) => {
	const { db } = await theCollection();
	const stored = await loadRelease(db, params.release);
	if (!stored) error(404, 'This release is not in the collection.');
	const goals = await listGoals(db);
	return {
		release: stored.release,
		goals: goals.filter(({ releaseKey }) => releaseKey === params.release)
	};
};

export const actions = {
	/** Puts right what the doctor found: the finding is worked out anew and must still be there. */
	mend: async ({ params, request }) => {
		const wanted = String((await request.formData()).get('message') ?? '');
		let isFound = false;
		const outcome = await saveRelease(
			await theCollection(),
			params.release,
			`mend: ${wanted}`,
			(release) => {
				const mend = examine(release).find(({ message }) => message === wanted)?.mend;
				isFound = mend !== undefined;
				return mend ? applyMend(release, mend) : release;
			}
		);
		if (!outcome.ok) return fail(400, { problems: outcome.problems });
		if (!isFound) return fail(400, { problems: [{ message: 'this finding is no longer there' }] });
		return { problems: [] };
	},
	remove: async ({ params }) => {
		if (!(await removeRelease(await theCollection(), params.release))) {
			error(404, 'This release is not in the collection.');
		}
		redirect(303, '/releases');
	}
};

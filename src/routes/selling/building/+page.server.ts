import { redirect } from '@sveltejs/kit';
import {
	BuildFormSchema,
	BuildGoalFormSchema,
	BuildReleaseFormSchema
} from '$lib/schemas/forms/selling';
import { answer } from '$lib/server/answer';
import { theCollection } from '$lib/server/collection';
import { makeGoal } from '$lib/server/goals/make-goal';
import { readFormOf } from '$lib/server/read-form';
import { readQuery } from '$lib/server/read-query';
import { dropBuild, keepBuild } from '$lib/server/selling/building/keep-build';
import { pageTask } from '$lib/server/workers/file-task';
import { countOf } from '$lib/ui/numerals';

/** `?release=key&sets=4` */
export const load = async ({ url, depends, request }) => {
	depends('jade:copies');
	const { now } = await theCollection();
	const { misread, text, number } = readQuery(url.searchParams, 'EUR');
	const sets = number('sets', 1, 200);
	const ask = {
		release: text('release').slice(0, 420) || null,
		sets: sets === undefined ? null : Math.round(sets),
		today: now().slice(0, 10)
	};
	return { ...(await pageTask('buildView', ask, request.signal)), misread };
};

export const actions = {
	keep: async ({ request }) => {
		const form = await readFormOf(request, BuildFormSchema);
		if (!form.ok) return answer('keep', form);
		return answer('keep', await keepBuild(await theCollection(), form.value), 'Kept.');
	},
	drop: async ({ request }) => {
		const form = await readFormOf(request, BuildReleaseFormSchema);
		if (!form.ok) return answer('keep', form);
		return answer('keep', await dropBuild(await theCollection(), form.value.release));
	},
	/** The sets become a goal that keeps its own copies: buying looks for them, and each has its box, divider and label. */
	goal: async ({ request }) => {
		const form = await readFormOf(request, BuildGoalFormSchema);
		if (!form.ok) return answer('goal', form);
		const { release, sets } = form.value;
		const done = await makeGoal(await theCollection(), {
			release,
			rules: { preset: 'complete', sets, keepsOwn: true },
			name: `To sell: ${countOf(sets, 'set')}`
		});
		if (!done.ok) return answer('goal', done);
		redirect(303, `/goals/${done.value.id}`);
	}
};

import { fail } from '@sveltejs/kit';
import { StepFormSchema } from '$lib/schemas/forms/log';
import { readFormOf } from '$lib/server/read-form';
import { moveJournal, theCollection } from '$lib/server/collection';
import { recentSteps } from '$lib/server/journal/undo';

export const load = async ({ depends }) => {
	depends('jade:journal');
	return { steps: await recentSteps((await theCollection()).db, 200) };
};

export const actions = {
	default: async ({ request }) => {
		const form = await readFormOf(request, StepFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems, label: '' });
		const outcome = await moveJournal({ move: 'step', id: form.value.step });
		return outcome.ok
			? { problems: [], label: outcome.value.label }
			: fail(400, { problems: outcome.problems, label: '' });
	}
};

import { fail } from '@sveltejs/kit';
import { formFields } from '$lib/server/form-fields';
import { theCollection } from '$lib/server/collection';
import { undoStep } from '$lib/server/journal/undo-step';
import { recentSteps } from '$lib/server/journal/undo';

export const load = async ({ depends }) => {
	depends('jade:journal');
	return { steps: await recentSteps((await theCollection()).db, 200) };
};

export const actions = {
	default: async ({ request }) => {
		const { id } = formFields(await request.formData());
		const outcome = await undoStep(await theCollection(), id('step'));
		return outcome.ok
			? { problems: [], label: outcome.value.label }
			: fail(400, { problems: outcome.problems, label: '' });
	}
};

import { fail } from '@sveltejs/kit';
import { match as isId } from '../../params/id';
import { theCollection } from '$lib/server/collection';
import { undoStep } from '$lib/server/journal/undo-step';
import { recentSteps } from '$lib/server/journal/undo';

export const load = async ({ depends }) => {
	depends('jade:journal');
	return { steps: await recentSteps((await theCollection()).db, 200) };
};

export const actions = {
	default: async ({ request }) => {
		const id = String((await request.formData()).get('step') ?? '');
		const outcome = await undoStep(await theCollection(), isId(id) ? Number(id) : 0);
		return outcome.ok
			? { problems: [], label: outcome.value.label }
			: fail(400, { problems: outcome.problems, label: '' });
	}
};

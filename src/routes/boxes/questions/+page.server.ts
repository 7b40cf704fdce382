import { fail } from '@sveltejs/kit';
import { answerDiscrepancy } from '$lib/server/storage/stock-take/answer-discrepancy';
import { nameVersions } from '$lib/server/releases/name-versions';
import { listDiscrepancies } from '$lib/server/storage/stock-take/stock-take';
import { theCollection } from '$lib/server/collection';
import { AnswerFormSchema } from '$lib/schemas/forms/boxes';
import { readFormOf } from '$lib/server/read-form';

export const load = async ({ depends }) => {
	depends('jade:copies');
	const { db } = await theCollection();
	const questions = await listDiscrepancies(db);
	const names = await nameVersions(
		db,
		questions.map(({ version }) => version)
	);
	return {
		questions: questions.map((question) => ({
			...question,
			...(names.get(question.version) ?? { card: question.version, release: '' })
		}))
	};
};

export const actions = {
	answer: async ({ request }) => {
		const form = await readFormOf(request, AnswerFormSchema);
		if (!form.ok) return fail(400, { problems: form.problems });
		const { question, key } = form.value;
		const done = await answerDiscrepancy(await theCollection(), question, key);
		return done.ok ? { answered: question } : fail(409, { problems: done.problems });
	}
};

import { fail } from '@sveltejs/kit';
import { answerDiscrepancy } from '$lib/server/storage/stock-take/answer-discrepancy';
import { nameVersions } from '$lib/server/releases/name-versions';
import { listDiscrepancies } from '$lib/server/storage/stock-take/stock-take';
import { theCollection } from '$lib/server/collection';
import { formFields } from '$lib/server/form-fields';

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
		const { word, id } = formFields(await request.formData());
		const done = await answerDiscrepancy(await theCollection(), id('question'), word('key'));
		return done.ok ? { answered: id('question') } : fail(409, { problems: done.problems });
	}
};

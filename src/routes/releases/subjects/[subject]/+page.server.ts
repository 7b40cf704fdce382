import { error } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { subjectView } from '$lib/server/subjects/subject-view';

export const load = async ({ params, depends }) => {
	depends('jade:copies');
	const { cards, untold } = await subjectView((await theCollection()).db, params.subject);
	if (cards.length === 0) error(404, 'No card shows this subject.');
	return { subject: params.subject, cards, untold };
};

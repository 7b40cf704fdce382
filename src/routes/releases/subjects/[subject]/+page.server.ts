import { error } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { readSubject } from '$lib/server/releases/read-subject';

export const load = async ({ params }) => {
	const cards = await readSubject((await theCollection()).db, params.subject);
	if (cards.length === 0) error(404, 'No card shows this subject.');
	return { subject: params.subject, cards };
};

import { json, type RequestHandler } from '@sveltejs/kit';
import { PileCardSchema } from '$lib/schemas/requests';
import { theCollection } from '$lib/server/collection';
import { logPileCard } from '$lib/server/pile/log-pile-card';
import { findForPile } from '$lib/server/pile/read-pile';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Releases with cards that `?line=` may mean, in `?year=`, of `?maker=`, without those that `?known=` names. */
export const GET: RequestHandler = async ({ url }) => {
	const text = (name: string) => (url.searchParams.get(name) ?? '').slice(0, 200);
	const { db } = await theCollection();
	const hint = { year: text('year'), maker: text('maker') };
	return json(await findForPile(db, text('line'), hint, url.searchParams.getAll('known')));
};

/** Logs a card that came off a pile; the answer names the step that takes it back. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, PileCardSchema);
	if (!body.ok) return body.response;
	const outcome = await logPileCard(await theCollection(), body.value);
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'The card was not logged.', outcome.problems);
};

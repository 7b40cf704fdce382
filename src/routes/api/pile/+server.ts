import { json, type RequestHandler } from '@sveltejs/kit';
import { LayingSchema, TakeBackSchema } from '$lib/schemas/pile';
import { theCollection } from '$lib/server/collection';
import { logPileCards } from '$lib/server/pile/log-pile-cards';
import { findForPile } from '$lib/server/pile/read-pile';
import { takeBackPileCards } from '$lib/server/pile/take-back';
import { problemResponse } from '$lib/server/problem-document';
import { readBody } from '$lib/server/read-json';

/** Releases with cards that `?line=` may mean, in `?year=`, of `?maker=`, without those that `?known=` names. */
export const GET: RequestHandler = async ({ url }) => {
	const text = (name: string) => (url.searchParams.get(name) ?? '').slice(0, 200);
	const { db } = await theCollection();
	const hint = { year: text('year'), maker: text('maker') };
	return json(await findForPile(db, text('line'), hint, url.searchParams.getAll('known')));
};

/** Logs cards that came off a pile; the answer names each with its copy, and the pile they lie in. */
export const POST: RequestHandler = async ({ request }) => {
	const body = await readBody(request, LayingSchema);
	if (!body.ok) return body.response;
	const outcome = await logPileCards(await theCollection(), body.value);
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'The card was not logged.', outcome.problems);
};

/** Takes cards back, whatever else was done since. */
export const DELETE: RequestHandler = async ({ request }) => {
	const body = await readBody(request, TakeBackSchema);
	if (!body.ok) return body.response;
	const outcome = await takeBackPileCards(await theCollection(), body.value.cards);
	return outcome.ok
		? json(outcome.value)
		: problemResponse(409, 'The card was not taken back.', outcome.problems);
};

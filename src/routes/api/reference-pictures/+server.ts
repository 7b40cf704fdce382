import { json, type RequestHandler } from '@sveltejs/kit';
import { PHOTO_SIDES } from '$lib/core/copies/photo-side';
import { theCollection } from '$lib/server/collection';
import { problemResponse } from '$lib/server/problem-document';
import { addReferencePicture } from '$lib/server/telling/reference-pictures';

/** Keeps a picture, sent as the body, of what `?of=` names: `?side=front|back`, `?source=` where it is from. */
export const POST: RequestHandler = async ({ url, request }) => {
	const named = url.searchParams.get('side') ?? 'front';
	const side = PHOTO_SIDES.find((each) => each === named);
	if (!side) {
		const remedy = 'front or back';
		return problemResponse(400, 'The picture was not kept.', [
			{ field: 'side', message: `there is no side "${named}"`, remedy }
		]);
	}
	const source = (url.searchParams.get('source') ?? '').slice(0, 200);
	const bytes = new Uint8Array(await request.arrayBuffer());
	const of = (url.searchParams.get('of') ?? '').slice(0, 420);
	const outcome = await addReferencePicture(await theCollection(), of, { side, source, bytes });
	return outcome.ok
		? json(outcome.value, { status: 201 })
		: problemResponse(400, 'The picture was not kept.', outcome.problems);
};

import type { RequestHandler } from '@sveltejs/kit';
import { problemResponse } from '$lib/server/problem-document';
import { fileTask } from '$lib/server/workers/file-task';

/** A drawn scan, of which it is known what it should measure. */
export const GET: RequestHandler = ({ params, request }) =>
	fileTask('sampleScan', { key: params.sample ?? '' }, request.signal, (bytes) =>
		bytes === null
			? problemResponse(404, 'There is no such drawn scan.')
			: new Response(bytes, { headers: { 'content-type': 'image/png' } })
	);

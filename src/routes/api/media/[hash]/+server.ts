import type { RequestHandler } from '@sveltejs/kit';
import { theCollection } from '$lib/server/collection';
import { readPicture } from '$lib/server/media/photos';
import { problemResponse } from '$lib/server/problem-document';

/** A picture by its content; `?size=thumbnail` gives the small one. It never changes. */
export const GET: RequestHandler = async ({ params, url }) => {
	const size = url.searchParams.get('size') === 'thumbnail' ? 'thumbnail' : 'whole';
	const bytes = await readPicture((await theCollection()).db, params.hash ?? '', size);
	if (!bytes) return problemResponse(404, 'There is no such picture.');
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': 'image/webp',
			'cache-control': 'private, max-age=31536000, immutable'
		}
	});
};

import type { Problem } from '../core/problem.ts';

const TITLES: Readonly<Record<number, string>> = {
	400: 'The request cannot be used',
	403: 'Not from this site',
	404: 'Not found',
	409: 'It cannot be done now',
	413: 'Too large',
	415: 'Not this type of content'
};

/** An error answer after RFC 9457, with every problem and its place. */
export function problemResponse(
	status: number,
	detail: string,
	problems: readonly Problem[] = []
): Response {
	const body = {
		type: 'about:blank',
		title: TITLES[status] ?? 'Something is wrong',
		status,
		detail,
		...(problems.length > 0 ? { errors: problems.map(toError) } : {})
	};
	return new Response(JSON.stringify(body), {
		status,
		headers: { 'content-type': 'application/problem+json' }
	});
}

function toError({ message, remedy, pointer = '', ...place }: Problem) {
	return {
		pointer,
		detail: remedy ? `${message}. ${remedy}` : message,
		message,
		...(remedy ? { remedy } : {}),
		...place
	};
}

import type { Problem } from '../core/problem.ts';

const TITLES: Readonly<Record<number, string>> = {
	400: 'The request cannot be used',
	403: 'Not from this site',
	404: 'Not found',
	409: 'It cannot be done now',
	413: 'Too large',
	405: 'Not this way',
	412: 'Changed meanwhile',
	415: 'Not this type of content',
	421: 'Not for this address',
	500: 'Something went wrong',
	507: 'No room left',
	503: 'Too much at once'
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

/** An answer of the API as it is, or, where the framework refused the request, as a problem document. */
export async function asProblem(response: Response): Promise<Response> {
	const type = response.headers.get('content-type') ?? '';
	if (response.status < 400 || type.startsWith('application/problem+json')) return response;
	const text = await response.text();
	return problemResponse(response.status, messageOf(text, type));
}

function messageOf(text: string, type: string): string {
	if (!type.includes('json'))
		return text && !text.startsWith('<') ? text : 'There is no such answer.';
	const { message } = JSON.parse(text) as { readonly message?: unknown };
	return typeof message === 'string' ? message : 'There is no such answer.';
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

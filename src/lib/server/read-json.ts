import type { Static, TSchema } from 'typebox';
import { checkAgainst } from '../schemas/validator.ts';
import { problemResponse } from './problem-document.ts';

/** The largest JSON body that the API reads, in bytes. */
const LARGEST_JSON_BYTES = 20 * 1024 * 1024;

export type Body<Value> =
	| { readonly ok: true; readonly value: Value }
	| { readonly ok: false; readonly response: Response };

/** The JSON body of a request, whatever it holds, or the problem document to answer with. */
export async function readJson(request: Request): Promise<Body<unknown>> {
	const type = request.headers.get('content-type')?.split(';')[0]?.trim() ?? '';
	if (type !== 'application/json') {
		return refuse(415, 'Send JSON, with the content type application/json.');
	}
	const bytes = await request.arrayBuffer();
	if (bytes.byteLength > LARGEST_JSON_BYTES) return refuse(413, 'The body is larger than 20 MB.');
	try {
		const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
		return { ok: true, value: JSON.parse(text) as unknown };
	} catch (error) {
		return refuse(
			400,
			`The body is no JSON in UTF-8: ${error instanceof Error ? error.message : ''}`
		);
	}
}

/** The JSON body of a request, checked against a schema. */
export async function readBody<Schema extends TSchema>(
	request: Request,
	schema: Schema
): Promise<Body<Static<Schema>>> {
	const body = await readJson(request);
	if (!body.ok) return body;
	const problems = checkAgainst(schema, body.value);
	if (problems.length === 0) return { ok: true, value: body.value as Static<Schema> };
	return {
		ok: false,
		response: problemResponse(400, 'The body does not fit the schema.', problems)
	};
}

function refuse(status: number, detail: string): Body<never> {
	return { ok: false, response: problemResponse(status, detail) };
}

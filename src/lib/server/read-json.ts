import type { Static, TSchema } from 'typebox';
import { checkAgainst } from '../schemas/validator.ts';
import { problemResponse } from './problem-document.ts';

const MIB = 1024 * 1024;
/** The largest JSON body that the API reads, in bytes; files may be as large as the server takes any. */
const LARGEST_JSON_BYTES = 8 * MIB;

export type Body<Value> =
	| { readonly ok: true; readonly value: Value }
	| { readonly ok: false; readonly response: Response };

/**
 * The bytes of a JSON body as they came, not read yet, or the problem document to answer with. Stops
 * reading where the body is too large.
 */
export async function readJsonBytes(
	request: Request,
	largest = LARGEST_JSON_BYTES
): Promise<Body<Uint8Array>> {
	const type = request.headers.get('content-type')?.split(';')[0]?.trim() ?? '';
	if (type !== 'application/json') {
		return refuse(415, 'Send JSON, with the content type application/json.');
	}
	const tooLarge = () => refuse(413, `The body is larger than ${Math.floor(largest / MIB)} MB.`);
	if (Number(request.headers.get('content-length') ?? 0) > largest) return tooLarge();
	const chunks: Uint8Array[] = [];
	let length = 0;
	for await (const chunk of request.body ?? []) {
		length += chunk.byteLength;
		if (length > largest) return tooLarge();
		chunks.push(chunk);
	}
	return { ok: true, value: new Uint8Array(Buffer.concat(chunks)) };
}

/** The JSON body of a request, checked against a schema. */
export async function readBody<Schema extends TSchema>(
	request: Request,
	schema: Schema
): Promise<Body<Static<Schema>>> {
	const bytes = await readJsonBytes(request);
	if (!bytes.ok) return bytes;
	const body = parseJson(bytes.value);
	if (!body.ok) return body;
	const problems = checkAgainst(schema, body.value);
	if (problems.length === 0) return { ok: true, value: body.value as Static<Schema> };
	return {
		ok: false,
		response: problemResponse(400, 'The body does not fit the schema.', problems)
	};
}

function parseJson(bytes: Uint8Array): Body<unknown> {
	try {
		const text = new TextDecoder('utf-8', { fatal: true }).decode(bytes);
		return { ok: true, value: JSON.parse(text) as unknown };
	} catch (error) {
		return unreadable(error instanceof Error ? error.message : '');
	}
}

function unreadable(reason: string): Body<never> {
	return refuse(400, `The body is no JSON in UTF-8: ${reason}`);
}

function refuse(status: number, detail: string): Body<never> {
	return { ok: false, response: problemResponse(status, detail) };
}

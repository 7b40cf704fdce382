import { Ajv2020, type ErrorObject, type ValidateFunction } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import type { TSchema } from 'typebox';
import type { Problem } from '../core/problem.ts';

const ajv = new Ajv2020({ strict: true, allErrors: true, allowUnionTypes: true, verbose: true });
addFormats.default(ajv);
const compiled = new WeakMap<object, ValidateFunction>();

/** The most problems one document reports: past that, a person mends the first ones and tries again. */
const MOST_PROBLEMS = 200;

/**
 * Checks a document against a schema, compiled once. Returns every problem with its JSON Pointer;
 * none when the document is valid. Ajv compiles with `new Function`: server and tests only.
 */
export function checkAgainst(schema: TSchema, document: unknown): readonly Problem[] {
	let validate = compiled.get(schema);
	if (!validate) {
		validate = ajv.compile(schema);
		compiled.set(schema, validate);
	}
	if (validate(document)) return [];
	return mergeTypes(validate.errors ?? [])
		.map(describe)
		.slice(0, MOST_PROBLEMS);
}

/** A field that may be of several types fails each of them: one problem that names them all. */
function mergeTypes(errors: readonly ErrorObject[]): readonly ErrorObject[] {
	const types = new Map<string, ErrorObject>();
	return errors.flatMap((error) => {
		if (error.keyword === 'anyOf' || error.keyword === 'oneOf') return [];
		if (error.keyword !== 'type') return [error];
		const first = types.get(error.instancePath);
		if (!first) {
			const own = { ...error };
			types.set(error.instancePath, own);
			return [own];
		}
		first.message = `${first.message ?? ''} or ${String(error.params.type)}`;
		return [];
	});
}

function describe(error: ErrorObject): Problem {
	const { instancePath, keyword, params, message = 'is not valid' } = error;
	const field = instancePath
		.split('/')
		.filter((word) => !/^\d*$/.test(word))
		.at(-1);
	const at = (name: string) =>
		`${instancePath}/${name.replaceAll('~', '~0').replaceAll('/', '~1')}`;
	switch (keyword) {
		case 'required': {
			const missing = String(params.missingProperty);
			return {
				pointer: instancePath,
				field: missing,
				message: `"${missing}" is missing`,
				remedy: 'Add it.'
			};
		}
		case 'additionalProperties': {
			const extra = String(params.additionalProperty);
			return {
				pointer: at(extra),
				field: extra.slice(0, 60),
				message: `"${extra.slice(0, 60)}" is not a known field`,
				remedy: 'Remove it, or check its spelling.'
			};
		}
		case 'enum':
			return {
				pointer: instancePath,
				field,
				message: 'is none of the known words',
				remedy: `Use one of: ${(params.allowedValues as unknown[]).join(', ')}.`
			};
		case 'const':
			return {
				pointer: instancePath,
				field,
				message: `is not ${JSON.stringify(params.allowedValue)}`,
				remedy: `Write ${JSON.stringify(params.allowedValue)}.`
			};
		default:
			return { pointer: instancePath, field, message, ...describedRemedy(error.parentSchema) };
	}
}

/** What the schema itself says of the field, as the thing to do. */
function describedRemedy(schema: unknown): { readonly remedy?: string } {
	const description = (schema as { readonly description?: unknown } | undefined)?.description;
	return typeof description === 'string' ? { remedy: description } : {};
}

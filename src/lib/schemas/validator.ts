import { Ajv2020, type ErrorObject, type ValidateFunction } from 'ajv/dist/2020.js';
import formats from 'ajv-formats';
import type { TSchema } from 'typebox';
import type { Problem } from '../core/problem.ts';

/** Its types name a default where Node sees the function itself. */
const addFormats = formats.default as (ajv: Ajv2020) => void;

/** Stops at the first problem, so that any document is judged in the time it takes to walk over it. */
const first = makeAjv(false);
/** Finds all problems; of a document that is wrong everywhere these are more than it has values. */
const all = makeAjv(true);

/** The most problems one document reports: past that, a person mends the first ones and tries again. */
const MOST_PROBLEMS = 50;
/** Of a document with more values than these only the first problem is told. */
const MOST_VALUES = 20_000;

/**
 * Checks a document against a schema, compiled once. Returns its problems with their JSON Pointers
 * (at most fifty; of a very large document the first); none when the document is valid. Ajv compiles
 * with `new Function`: server and tests only.
 */
export function checkAgainst(schema: TSchema, document: unknown): readonly Problem[] {
	const errors = first.errorsOf(schema, document);
	if (errors.length === 0) return [];
	const isLarge = hasMoreValuesThan(MOST_VALUES, document);
	return mergeTypes(isLarge ? errors : all.errorsOf(schema, document))
		.slice(0, MOST_PROBLEMS)
		.map(describe);
}

function makeAjv(allErrors: boolean) {
	const ajv = new Ajv2020({ strict: true, allErrors, allowUnionTypes: true, verbose: true });
	addFormats(ajv);
	// Ajv compares every two entries; of 30,000 that takes a minute.
	ajv.removeKeyword('uniqueItems');
	ajv.addKeyword({
		keyword: 'uniqueItems',
		type: 'array',
		schemaType: 'boolean',
		error: { message: 'must NOT have duplicate items' },
		validate: (isSet: boolean, entries: readonly unknown[]) =>
			!isSet || new Set(entries.map((entry) => JSON.stringify(entry))).size === entries.length
	});
	const compiled = new WeakMap<object, ValidateFunction>();
	return {
		errorsOf(schema: TSchema, document: unknown): readonly ErrorObject[] {
			let validate = compiled.get(schema);
			if (!validate) {
				validate = ajv.compile(schema);
				compiled.set(schema, validate);
			}
			return validate(document) ? [] : (validate.errors ?? []);
		}
	};
}

/** Counts values no further than asked; lists and objects count, and what is in them. */
function hasMoreValuesThan(most: number, document: unknown): boolean {
	let left = most;
	const waiting: unknown[] = [document];
	while (waiting.length > 0) {
		const value = waiting.pop();
		if (--left < 0) return true;
		if (typeof value !== 'object' || value === null) continue;
		const inside: unknown[] = Array.isArray(value) ? value : Object.values(value);
		if (inside.length > left) return true;
		for (const each of inside) waiting.push(each);
	}
	return false;
}

/** A field that may be of several types fails each of them: one problem that names them all. */
function mergeTypes(errors: readonly ErrorObject[]): readonly ErrorObject[] {
	const types = new Map<string, ErrorObject>();
	return errors.flatMap((error) => {
		if (error.keyword === 'anyOf' || error.keyword === 'oneOf') return [];
		if (error.keyword !== 'type') return [error];
		const first = types.get(error.instancePath);
		if (!first) {
			const kept = { ...error };
			types.set(error.instancePath, kept);
			return [kept];
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

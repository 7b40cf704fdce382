import { performance } from 'node:perf_hooks';
import { Type, type TSchema } from 'typebox';
import { describe, expect, test } from 'vitest';
import { COMPUTATIONS } from '../server/compute/registry.ts';
import { ChecklistSchema } from './checklist.ts';
import * as requests from './requests.ts';
import { checkAgainst } from './validator.ts';

interface Node {
	readonly type?: string;
	readonly [keyword: string]: unknown;
}

/** Where in a schema something may be as large as anyone likes. */
function unboundedIn(schema: unknown, at = ''): string[] {
	if (typeof schema !== 'object' || schema === null) return [];
	const node = schema as Node;
	const inner = Object.entries(node).flatMap(([name, value]) =>
		unboundedIn(value, `${at}/${name}`)
	);
	const lacks = (...keywords: string[]) => keywords.every((name) => node[name] === undefined);
	const isUnbounded =
		(node.type === 'array' && lacks('maxItems')) ||
		(node.type === 'object' && node.patternProperties !== undefined && lacks('maxProperties')) ||
		(node.type === 'string' && lacks('maxLength', 'enum', 'const', 'format', 'pattern')) ||
		((node.type === 'integer' || node.type === 'number') && lacks('maximum', 'enum', 'const'));
	return isUnbounded ? [at, ...inner] : inner;
}

const READ: readonly (readonly [string, TSchema])[] = [
	...COMPUTATIONS.map(({ name, input }) => [name, input] as const),
	...Object.entries(requests).map(([name, schema]) => [name, schema as TSchema] as const)
];

describe('everything that is read has a bound', () => {
	test.each(READ)('%s', (_, schema) => expect(unboundedIn(schema)).toEqual([]));
});

describe('a document that is wrong everywhere is judged in the time of walking over it', () => {
	const numbers = Array.from({ length: 2_000_000 }, () => -1);
	const names = Array.from({ length: 30_000 }, (_, i) => `r${i}`);
	const cards = Array.from({ length: 50_000 }, () => ({ number: 5, odd: true }));
	test.each<[string, TSchema, unknown]>([
		['numbers out of range', Type.Array(Type.Integer({ minimum: 0 })), numbers],
		['too many of a set', Type.Array(Type.String(), { maxItems: 100, uniqueItems: true }), names],
		['a set', Type.Array(Type.String(), { uniqueItems: true }), [...names, 'r0']],
		['cards', ChecklistSchema, { sections: [{ name: 'B', cards }] }]
	])('%s', (_, schema, document) => {
		const begun = performance.now();
		const problems = checkAgainst(schema, document);
		const took = performance.now() - begun;
		expect(problems.length).toBeGreaterThan(0);
		expect(problems.length).toBeLessThanOrEqual(50);
		// A hang, not a figure: the same took over a minute where entries were compared in pairs.
		expect(took).toBeLessThan(10_000);
	});
});

test('for any list, it is a set exactly when no two entries are equal', () => {
	const schema = Type.Array(Type.String(), { uniqueItems: true });
	for (const list of [[], ['a'], ['a', 'b'], ['a', 'b', 'a'], ['', ''], ['1', '1 ']]) {
		expect(checkAgainst(schema, list).length === 0).toBe(new Set(list).size === list.length);
	}
});

import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';

/** Every `@example call // answer` of a core file, with the names that its file gives. */
const modules = import.meta.glob<Record<string, unknown>>(
	['./**/*.ts', '!./**/*.{test,fixture,arbitrary}.ts'],
	{
		eager: true
	}
);
const examples = Object.entries(modules).flatMap(([path, names]) =>
	[
		...readFileSync(new URL(path, import.meta.url), 'utf8').matchAll(
			/@example ([^\n]+?) \/\/ ([^\n]+)\n/g
		)
	].map(([, call = '', answer = '']) => ({ call, answer, names }))
);

test.each(examples)('$call is $answer', ({ call, answer, names }) => {
	const run = new Function(...Object.keys(names), `return [${call}, ${answer}]`) as (
		...args: unknown[]
	) => [unknown, unknown];
	const [given, wanted] = run(...Object.values(names));
	expect(given).toEqual(wanted);
});

test('the examples are found', () => {
	expect(examples.length).toBeGreaterThan(30);
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { mergeRuleSheet } from './merge-rule-sheet.ts';
import type { RuleSheet, SheetRow } from './rule-sheet.ts';

const row = (key: string, name: string, rest: Record<string, string> = {}): SheetRow => ({
	key,
	cells: { name, kind: 'base', ...rest }
});
const sheet = (sections: readonly SheetRow[], more: Partial<RuleSheet> = {}): RuleSheet => ({
	...{ sections, parallels: [], runs: [], variants: [], packTypes: [] },
	...more
});
const base = sheet([row('a', 'Base'), row('b', 'Dogs')]);

describe('rules that two windows write at once', () => {
	test.each<[string, RuleSheet, RuleSheet, RegExp | readonly string[]]>([
		[
			'other rows and other cells: all of it holds',
			sheet([row('a', 'Base set'), row('b', 'Dogs')]),
			sheet([row('a', 'Base', { kind: 'subset' }), row('b', 'Hounds')]),
			['a Base set subset', 'b Hounds base']
		],
		[
			'each adds a row',
			sheet([row('a', 'Base'), row('', 'Mine'), row('b', 'Dogs')]),
			sheet([row('a', 'Base'), row('b', 'Dogs'), row('c', 'Theirs')]),
			['a Base base', ' Mine base', 'b Dogs base', 'c Theirs base']
		],
		[
			'one takes away what the other left alone',
			sheet([row('a', 'Base')]),
			sheet([row('a', 'Base set'), row('b', 'Dogs')]),
			['a Base set base']
		],
		[
			'the same cell',
			sheet([row('a', 'Mine'), row('b', 'Dogs')]),
			sheet([row('a', 'Theirs'), row('b', 'Dogs')]),
			/^Theirs was changed meanwhile: its name is "Theirs" now, in another window$/
		],
		[
			'written here, taken away there',
			sheet([row('a', 'Base'), row('b', 'Mine')]),
			sheet([row('a', 'Base')]),
			/^Mine was taken away meanwhile/
		],
		[
			'taken away here, written there',
			sheet([row('a', 'Base')]),
			sheet([row('a', 'Base'), row('b', 'Theirs')]),
			/^Theirs was changed meanwhile/
		],
		[
			'print runs',
			{ ...base, runs: [row('', 'x')] },
			{ ...base, runs: [row('', 'y')] },
			/^the print runs were changed meanwhile/
		]
	])('%s', (_, mine, now, holds) => {
		const merged = mergeRuleSheet(base, mine, now);
		if (holds instanceof RegExp)
			expect(merged.ok ? '' : merged.problems[0]?.message).toMatch(holds);
		else
			expect(
				merged.ok &&
					merged.value.sections.map(({ key, cells }) => `${key} ${cells['name']} ${cells['kind']}`)
			).toEqual(holds);
	});

	test('for all: nobody else wrote, it is what is sent; this one wrote nothing, it is what is there', () => {
		const some = fc
			.uniqueArray(fc.tuple(fc.constantFrom('a', 'b', 'c', 'd'), fc.string({ maxLength: 2 })), {
				selector: ([key]) => key
			})
			.map((rows) => sheet(rows.map(([key, name]) => row(key, name))));
		fc.assert(
			fc.property(some, some, (seen, other) => {
				const mine = mergeRuleSheet(seen, other, seen);
				expect(mine.ok && mine.value).toEqual(other);
				const theirs = mergeRuleSheet(seen, seen, other);
				expect(theirs.ok && theirs.value).toEqual(other);
			})
		);
	});
});

import { describe, expect, test } from 'vitest';
import { scopeGoal } from '../goal/scope-goal.ts';
import { contextOf } from '../shorthand/entry-context.fixture.ts';
import { readShorthand } from '../shorthand/read-shorthand.ts';
import type { ReleaseDraft } from './draft/draft.ts';
import { expand } from './versions/expand.ts';

describe('a section without a base finish', () => {
	const draft: ReleaseDraft = {
		release: { name: 'Foils', maker: 'M', year: '1994' },
		sections: [
			{ key: 'base', name: 'Base', cards: [{ number: '1' }] },
			{
				key: 'tilt',
				name: 'Tilt',
				kind: 'extra',
				noBaseFinish: true,
				cards: ['T1', 'T2', 'T3'].map((number) => ({ number }))
			}
		],
		parallels: [
			{ key: 'red', name: 'Red', runs: [{ sections: ['tilt'], printRun: 50 }] },
			{
				key: 'blue',
				name: 'Blue',
				runs: [
					{ sections: ['base', 'tilt'], from: '1', to: '1' },
					{ sections: ['tilt'], cards: ['T2'] }
				]
			}
		],
		variants: [
			{ key: 'thin', kind: 'error', name: 'Thin', cards: ['T1', 'T2'], inParallels: ['red'] }
		]
	};
	const context = contextOf(draft);
	const foils = context.release;

	test('has its parallels only, with variants in these', () => {
		expect(
			expand(foils).map(({ key, printRun }) => [key.replace(/^[^/]*\//, ''), printRun])
		).toEqual([
			['base-1', null],
			['base-1~blue', null],
			['tilt-t1~red', 50],
			['tilt-t1~red!thin', 50],
			['tilt-t2~red', 50],
			['tilt-t2~red!thin', 50],
			['tilt-t2~blue', null],
			['tilt-t3~red', 50]
		]);
	});

	test.each<[string, Parameters<typeof scopeGoal>[1], string[]]>([
		[
			'each card once, whichever finish comes',
			{ preset: 'base', kinds: ['base', 'extra'] },
			['base-1', 'tilt-t1~red', 'tilt-t2~red|tilt-t2~blue', 'tilt-t3~red']
		],
		[
			'a finish asked for by itself is not asked for twice',
			{ preset: 'complete', kinds: ['extra'], finishes: 'base-and-chosen', parallels: ['blue'] },
			['tilt-t1~red', 'tilt-t2~blue', 'tilt-t3~red']
		],
		[
			'errors by themselves, in whichever finish',
			{ preset: 'base', kinds: ['extra'], errors: 'both' },
			[
				'tilt-t1~red',
				'tilt-t1~red!thin',
				'tilt-t2~red|tilt-t2~blue',
				'tilt-t2~red!thin',
				'tilt-t3~red'
			]
		],
		[
			'each finish for the strict',
			{ preset: 'strict-master', errors: 'none', kinds: ['extra'] },
			['tilt-t1~red', 'tilt-t2~red', 'tilt-t2~blue', 'tilt-t3~red']
		]
	])('in a goal: %s', (_, choice, slots) => {
		const key = (version: string) => version.replace(/^[^/]*\//, '');
		expect(scopeGoal(foils, choice).map(({ versions }) => versions.map(key).join('|'))).toEqual(
			slots
		);
	});

	test.each<[string, string[], RegExp | null]>([
		['T1', ['tilt-t1~red'], null],
		['1 T3', ['base-1', 'tilt-t3~red'], null],
		['T2 blue', ['tilt-t2~blue'], null],
		['T2', [], /no base finish of T2 \(Tilt\).*Say which finish: Red, Blue/],
		['T3 blue', [], /Blue was not made of T3/]
	])('in an entry line: %s', (line, versions, problem) => {
		const { additions, problems } = readShorthand(line, context);
		expect(additions.map(({ version }) => version.replace(/^[^/]*\//, ''))).toEqual(versions);
		const said = problems.map(({ message, remedy }) => `${message}. ${remedy ?? ''}`).join();
		expect(said).toMatch(problem ?? /^$/);
	});
});

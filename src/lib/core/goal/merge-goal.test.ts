import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { resolveRules, type GoalChoice } from './goal-rules.ts';
import { mergeGoal, type DecidedGoal } from './merge-goal.ts';
import { PRESETS } from './preset.ts';

const goal = (name: string, rules: GoalChoice): DecidedGoal => ({ name, rules });
const base = goal('G', { preset: 'complete' });

describe('a goal decided in two windows', () => {
	test.each<[string, DecidedGoal, DecidedGoal, object]>([
		[
			'different rules: both hold',
			goal('G', { preset: 'complete', sets: 2 }),
			goal('G', { preset: 'complete', errors: 'either' }),
			{ ok: true, value: { name: 'G', rules: { preset: 'complete', sets: 2, errors: 'either' } } }
		],
		[
			'name here, rule there',
			goal('Mine', { preset: 'complete' }),
			goal('G', { preset: 'complete', sets: 3 }),
			{ ok: true, value: { name: 'Mine', rules: { preset: 'complete', sets: 3 } } }
		],
		[
			'the same rule, decided alike',
			goal('G', { preset: 'complete', sets: 2 }),
			goal('G', { preset: 'complete', sets: 2 }),
			{ ok: true, value: { rules: { preset: 'complete', sets: 2 } } }
		],
		[
			'the same rule, decided otherwise: told',
			goal('G', { preset: 'complete', sets: 2 }),
			goal('G', { preset: 'complete', sets: 3 }),
			{ ok: false, problems: [{ field: 'sets', message: /^how many sets was decided otherwise/ }] }
		],
		[
			'both names',
			goal('Mine', { preset: 'complete' }),
			goal('Theirs', { preset: 'complete' }),
			{ ok: false, problems: [{ field: 'name' }] }
		]
	])('%s', (_, wanted, present, holds) => {
		const merged = mergeGoal(base, wanted, present);
		const { problems, ...rest } = holds as { problems?: { field: string; message?: RegExp }[] };
		expect(merged).toMatchObject(rest);
		for (const [i, { field, message = /./ }] of (problems ?? []).entries()) {
			const found = merged.ok ? undefined : merged.problems[i];
			expect(found?.field).toBe(field);
			expect(found?.message).toMatch(message);
		}
	});

	const choice = fc.record(
		{
			preset: fc.constantFrom(...PRESETS.map(({ key }) => key)),
			sets: fc.integer({ min: 1, max: 3 }),
			errors: fc.constantFrom('none', 'either', 'both'),
			leastRun: fc.integer({ min: 0, max: 2 }),
			series: fc.constantFrom([], ['I'])
		},
		{ requiredKeys: ['preset'] }
	) as fc.Arbitrary<GoalChoice>;

	test('for all: where nobody else did anything it is what is wanted; where this one changed nothing, what is there', () => {
		fc.assert(
			fc.property(choice, choice, (a, b) => {
				const [seen, other] = [goal('G', a), goal('H', b)];
				const first = mergeGoal(seen, other, seen);
				expect(first.ok && first.value).toEqual(other);
				const second = mergeGoal(seen, seen, other);
				expect(second.ok && resolveRules(second.value.rules)).toEqual(resolveRules(b));
			})
		);
	});
});

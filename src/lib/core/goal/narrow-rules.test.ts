import { describe, expect, test } from 'vitest';
import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { Release } from '../checklist/release.ts';
import { checkGoal } from './check-goal.ts';
import { explainUnfit } from './explain-copies.ts';
import { fillSlots } from './fill-slots.ts';
import type { GoalChoice } from './goal-rules.ts';
import { scopeGoal } from './scope-goal.ts';

function resolved(draft: ReleaseDraft): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

describe('rules of single cards and versions', () => {
	const lamps = resolved({
		release: { name: 'Lamps', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				series: [
					{ name: 'Series 1', from: '1', to: '3' },
					{ name: 'Series 2', from: '4', to: '6' }
				],
				cards: [
					{ number: '1', tags: { role: ['keeper'], school: ['Marram'] } },
					{ number: '2', tags: { role: ['pilot'] } },
					{ number: '3', confidence: 'not seen yet' as const },
					{ number: '4', tags: { role: ['keeper', 'pilot'] } },
					{ number: '6', tags: { ['__proto__']: ['x'] } }
				]
			},
			{
				name: 'Dogs',
				kind: 'subset',
				numberedIn: 'base',
				cards: [{ number: '5', confidence: 'likely' as const }]
			},
			{ name: 'Ink', kind: 'insert', confidence: 'doubtful', cards: [{ number: 'K1' }] }
		],
		parallels: [
			{
				name: 'Red',
				runs: [
					{ sections: ['base'], cards: ['1'], printRun: 90, confidence: 'likely' },
					{ sections: ['base'], cards: ['2'], confidence: 'not seen yet' }
				]
			}
		],
		variants: [{ kind: 'error', name: 'back', cards: ['1', '4'], confidence: 'likely' }]
	});
	const all: GoalChoice = { preset: 'with-inserts' };

	test.each<[string, GoalChoice, string[]]>([
		['a series', { ...all, series: ['Series 2'] }, ['base-4', 'base-5', 'base-6']],
		[
			'two series',
			{ ...all, series: ['Series 1', 'Series 2'] },
			['base-1', 'base-2', 'base-3', 'base-4', 'base-5', 'base-6']
		],
		['a tag', { ...all, tags: { role: ['keeper'] } }, ['base-1', 'base-4']],
		[
			'either word of a family',
			{ ...all, tags: { role: ['keeper', 'pilot'] } },
			['base-1', 'base-2', 'base-4']
		],
		[
			'a word of each family',
			{ ...all, tags: { role: ['keeper'], school: ['Marram'] } },
			['base-1']
		],
		[
			'a family without words asks for nothing',
			{ ...all, tags: { role: [] } },
			['base-1', 'base-2', 'base-3', 'base-4', 'base-5', 'base-6', 'ink-k1']
		],
		['a family that is no family', { ...all, tags: { constructor: ['keeper'] } }, []],
		[
			'what is at least likely',
			{ ...all, finishes: 'all', leastConfidence: 'likely' },
			['base-1', 'base-1~red', 'base-2', 'base-4', 'base-5', 'base-6']
		],
		[
			'what is certain',
			{ ...all, finishes: 'all', errors: 'both', leastConfidence: 'certain' },
			['base-1', 'base-1~red', 'base-2', 'base-4', 'base-6']
		],
		[
			'one version by hand',
			{ preset: 'hand-picked', versions: ['lamps-1994/base-4!back'] },
			['base-4!back']
		],
		[
			'a version beside what the rules ask for, once',
			{
				...all,
				series: ['Series 1'],
				errors: 'none',
				versions: ['lamps-1994/base-1!back', 'lamps-1994/base-1']
			},
			['base-1', 'base-1!back', 'base-2', 'base-3']
		]
	])('%s', (_, choice, slots) => {
		expect(checkGoal([lamps], choice)).toEqual([]);
		expect(scopeGoal(lamps, choice).map(({ key }) => key.replace(/^[^/]*\//, ''))).toEqual(slots);
	});

	test('graded copies only, in every set', () => {
		const slots = scopeGoal(lamps, { ...all, series: ['Series 2'], sets: 2, graded: { least: 5 } });
		expect(slots.map(({ graded }) => graded?.least)).toEqual([5, 5, 5, 5, 5, 5]);
		const copy = { version: 'lamps-1994/base-4', quantity: 1 };
		const filling = fillSlots(slots, [
			{ ...copy, key: 'raw', condition: 'mint' },
			{ ...copy, key: 'low', grade: 4.5 },
			{ ...copy, key: 'word', isAuthentic: true },
			{ ...copy, key: 'six', grade: 6 }
		]);
		expect(filling.placements.map((placement) => placement.copy)).toEqual(['six']);
	});

	test('why copies do not count: not graded, below the grade, another house', () => {
		const graded = { least: 5, houses: ['Pier'] };
		const slots = scopeGoal(lamps, { ...all, series: ['Series 2'], graded });
		const copies = [
			{ key: 'raw', condition: 'mint' as const },
			{ key: 'low', grade: 4.5, house: 'Pier' },
			{ key: 'other', grade: 9, house: 'Quay' },
			// Its regular side is asked for, whatever else it shows.
			{
				key: 'twice',
				grade: 9,
				house: 'Quay',
				version: 'lamps-1994/base-1',
				alsoVersions: ['lamps-1994/base-4']
			}
		].map((copy) => ({ version: 'lamps-1994/base-4', quantity: 1, ...copy }));
		expect(
			explainUnfit(slots, copies, fillSlots(slots, copies)).map(
				({ copy, reason }) => `${copy}: ${reason}`
			)
		).toEqual([
			'raw: not graded',
			'low: graded below 5, the least that counts',
			'other: not graded by Pier',
			'twice: not graded by Pier'
		]);
	});

	test.each<[GoalChoice, RegExp]>([
		[{ preset: 'base', series: ['Series 9'] }, /no "Series 9"/],
		[{ preset: 'base', versions: ['lamps-1994/base-2!back'] }, /no "lamps-1994\/base-2!back"/],
		[{ preset: 'hand-picked' }, /needs a card/]
	])('%j is refused', (choice, message) => {
		expect(checkGoal([lamps], choice)[0]?.message).toMatch(message);
	});
});

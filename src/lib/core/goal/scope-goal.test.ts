import { describe, expect, test } from 'vitest';
import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { Release } from '../checklist/release.ts';
import { checkGoal } from './check-goal.ts';
import { explainUnfit } from './explain-copies.ts';
import { fillSlots } from './fill-slots.ts';
import type { GoalChoice } from './goal-rules.ts';
import { missingList } from './missing-list.ts';
import { obtainableOf } from './obtainable.ts';
import { scopeGoal, scopeGoals } from './scope-goal.ts';

function resolved(draft: ReleaseDraft): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

/**
 * Five base cards, two of a subset, two inserts, a re-issue of the base; Slate of all seven numbered
 * (/90, the subset /20), Chalk of card 1 only (/5); card 1 in two pictures, card 2 with an error put
 * right, card 3 with a corrected printing recorded, card 4 wrong on all copies.
 */
const gulls = resolved({
	release: { name: 'Gulls', maker: 'M', year: '1996' },
	sections: [
		{
			name: 'Base',
			cards: [1, 2, 3, 4, 5].map((n) => ({
				number: String(n),
				title: `Gull ${n}`,
				group: n < 3 ? 'North' : 'South',
				subjects: n === 5 ? ['Ada', 'Bram'] : ['Bram']
			}))
		},
		{
			name: 'Dogs',
			kind: 'subset',
			numberedIn: 'base',
			cards: [{ number: '6' }, { number: '7', subjects: ['Ada'] }]
		},
		{ name: 'Log', kind: 'insert', cards: [{ title: 'Bread' }, { title: 'Fog' }] },
		{ name: 'Premium', kind: 'base', edition: { of: ['base'], without: ['5'] }, cards: [] }
	],
	parallels: [
		{
			name: 'Slate',
			runs: [
				{ sections: ['base'], printRun: 90 },
				{ sections: ['dogs'], printRun: 20 }
			]
		},
		{ name: 'Chalk', runs: [{ sections: ['base'], cards: ['1'], printRun: 5 }] }
	],
	variants: [
		{ kind: 'image variation', name: 'at night', sections: ['base'], cards: ['1'] },
		{ kind: 'error', name: 'no eye', sections: ['base'], cards: ['2'] },
		{ kind: 'corrected', name: 'right name', sections: ['base'], cards: ['3'] },
		{ kind: 'uncorrected', name: 'wrong back', sections: ['base'], cards: ['4'] }
	]
});
const key = (release: string) => (slot: { readonly key: string }) =>
	slot.key.replace(`${release}/`, '');

describe('counts, worked by hand', () => {
	test.each<[string, GoalChoice, number]>([
		['base', { preset: 'base' }, 5],
		['base with the re-issue', { preset: 'base', editions: true }, 5 + 4],
		['complete', { preset: 'complete' }, 7],
		['with inserts', { preset: 'with-inserts' }, 9],
		['without one section', { preset: 'with-inserts', sectionsOut: ['gulls-1996/dogs'] }, 7],
		['with one section more', { preset: 'base', sectionsIn: ['gulls-1996/log'] }, 7],
		['a parallel run', { preset: 'parallel-run', parallel: 'slate' }, 7],
		[
			'base and chosen',
			{ preset: 'complete', finishes: 'base-and-chosen', parallels: ['chalk'] },
			8
		],
		['all finishes', { preset: 'complete', finishes: 'all' }, 7 + 7 + 1],
		['only runs of 20 or more', { preset: 'complete', finishes: 'all', leastRun: 20 }, 7 + 7],
		['only runs of 21 or more', { preset: 'complete', finishes: 'all', leastRun: 21 }, 7 + 5],
		['any variation', { preset: 'complete', variants: 'any' }, 7],
		['each variation', { preset: 'complete', variants: 'each' }, 8],
		[
			'both of each error; uncorrected never doubles',
			{ preset: 'complete', errors: 'both' },
			7 + 2
		],
		['either printing', { preset: 'complete', errors: 'either' }, 7],
		['three sets', { preset: 'complete', sets: 3 }, 21],
		['rainbow of card 1', { preset: 'rainbow', picked: ['gulls-1996/base-1'] }, 3],
		['a subject; a card may show several', { preset: 'subject', subject: 'Ada' }, 2],
		// Its four repeated cards stand in the re-issue, too.
		['a group', { preset: 'group', group: 'North' }, 2 + 2],
		['hand-picked', { preset: 'hand-picked', picked: ['gulls-1996/log-fog', 'other/log-fog'] }, 1],
		['nothing picked', { preset: 'hand-picked', picked: [] }, 0],
		['strict master', { preset: 'strict-master' }, 7 + 7 + 1 + 2 + 4 + 3]
	])('%s', (_, choice, count) => {
		expect(scopeGoal(gulls, choice)).toHaveLength(count);
	});

	test('what is left out by the least print run is counted, for every set', () => {
		const choice: GoalChoice = { preset: 'complete', finishes: 'all', leastRun: 21, sets: 2 };
		expect(scopeGoals([gulls], choice)).toMatchObject({ skipped: 2 * 3 });
	});
});

describe('what may fill a slot', () => {
	const versionsOf = (choice: GoalChoice, card: string) =>
		scopeGoal(gulls, choice)
			.filter((slot) => slot.version.cardKey === card)
			.map(({ versions }) => versions.map((version) => version.replace('gulls-1996/', '')));

	test.each<[string, GoalChoice, string, string[][]]>([
		['variations ignored', { preset: 'base' }, 'base-1', [['base-1']]],
		[
			'any variation',
			{ preset: 'base', variants: 'any' },
			'base-1',
			[['base-1', 'base-1!at-night']]
		],
		[
			'each variation',
			{ preset: 'base', variants: 'each' },
			'base-1',
			[['base-1'], ['base-1!at-night']]
		],
		['an error put right, none', { preset: 'base' }, 'base-2', [['base-2']]],
		[
			'an error put right, corrected only',
			{ preset: 'base', errors: 'corrected' },
			'base-2',
			[['base-2']]
		],
		[
			'an error put right, either',
			{ preset: 'base', errors: 'either' },
			'base-2',
			[['base-2', 'base-2!no-eye']]
		],
		['a recorded correction, none', { preset: 'base' }, 'base-3', [['base-3']]],
		[
			'a recorded correction only',
			{ preset: 'base', errors: 'corrected' },
			'base-3',
			[['base-3!right-name']]
		],
		['uncorrected, both', { preset: 'base', errors: 'both' }, 'base-4', [['base-4']]]
	])('%s', (_, choice, card, versions) => {
		expect(versionsOf(choice, card)).toEqual(versions);
	});

	test('conditions by section, attributes and tiers stand in the slots', () => {
		const slots = scopeGoal(gulls, {
			preset: 'complete',
			sets: 2,
			cut: 'hand-cut',
			leastCondition: 'good',
			sectionConditions: { 'gulls-1996/dogs': 'mint' }
		});
		expect(slots[0]).toMatchObject({ leastCondition: 'good', needs: ['hand-cut'], set: 1 });
		expect(slots[6]).toMatchObject({ leastCondition: 'mint', version: { cardKey: 'base-7' } });
		expect(slots[7]).toMatchObject({ key: 'gulls-1996/base-1#2', tier: 1, set: 2 });
	});
});

test('panels: intact asks for the panel, singles for its cards; never for both', () => {
	const panels = resolved({
		release: { name: 'P', maker: 'M', year: '1948' },
		sections: [
			{ name: 'Base', cards: [1, 2, 3].map((n) => ({ number: String(n) })) },
			{ name: 'Panels', kind: 'extra', cards: [{ number: 'P1', panelOf: ['1', '2'] }] }
		]
	});
	const keys = (choice: GoalChoice) => scopeGoal(panels, choice).map(key('p-1948'));
	expect(keys({ preset: 'strict-master' })).toEqual(['base-1', 'base-2', 'base-3']);
	expect(keys({ preset: 'strict-master', panels: 'intact' })).toEqual(['base-3', 'panels-p1']);
	expect(keys({ preset: 'base', panels: 'intact' })).toEqual(['base-1', 'base-2', 'base-3']);
	expect(keys({ preset: 'strict-master', panels: 'both' })).toEqual([
		'base-1',
		'base-2',
		'base-3',
		'panels-p1'
	]);
	// An intact panel counts for both, also where its section is not asked for.
	const counts = scopeGoal(panels, { preset: 'base', panels: 'counts' });
	expect(counts.map(({ versions }) => versions)).toEqual([
		['p-1948/base-1', 'p-1948/panels-p1'],
		['p-1948/base-2', 'p-1948/panels-p1'],
		['p-1948/base-3']
	]);
	const panel = { key: 'x', version: 'p-1948/panels-p1', quantity: 1 };
	expect(fillSlots(counts, [panel]).missing).toEqual([{ slot: 'p-1948/base-3', quantity: 1 }]);
});

describe('checkGoal', () => {
	test.each<[string, GoalChoice, string[]]>([
		['a subject collection of nobody', { preset: 'subject' }, ['subject']],
		['a group collection of none', { preset: 'group' }, ['group']],
		['a rainbow of no card', { preset: 'rainbow' }, ['picked']],
		['nothing picked', { preset: 'hand-picked', picked: [] }, ['picked']],
		['a run of no parallel', { preset: 'parallel-run' }, ['parallels']],
		['chosen finishes, none chosen', { preset: 'base', finishes: 'chosen' }, ['parallels']],
		['an unknown parallel', { preset: 'parallel-run', parallel: 'tin' }, ['parallels']],
		['one that is there', { preset: 'parallel-run', parallel: 'chalk' }, []],
		['a card of nowhere', { preset: 'hand-picked', picked: ['gulls-1996/x'] }, ['picked']],
		['a section of nowhere', { preset: 'base', sectionsIn: ['gulls-1996/x'] }, ['sectionsIn']],
		['base', { preset: 'base' }, []]
	])('%s', (_, choice, fields) => {
		expect(checkGoal([gulls], choice).map(({ field }) => field)).toEqual(fields);
		// Until it is chosen, no card is taken.
		if (fields.length > 0 && choice.preset !== 'base') {
			expect(scopeGoal(gulls, choice)).toEqual([]);
		}
	});
});

test('a subject is found over releases, each with its own slots and lists', () => {
	const other = resolved({
		release: { name: 'Terns', maker: 'M', year: '1997' },
		sections: [{ name: 'Base', cards: [{ number: '9', subjects: ['Ada'] }, { number: '10' }] }]
	});
	const { slots } = scopeGoals([gulls, other], { preset: 'subject', subject: 'Ada' });
	expect(slots.map(({ release }) => release)).toEqual(['gulls-1996', 'gulls-1996', 'terns-1997']);
	const filling = fillSlots(slots, [
		{ key: 'x', version: 'gulls-1996/base-5', quantity: 1 },
		{ key: 'y', version: 'terns-1997/base-10', quantity: 1 }
	]);
	const lists = [gulls, other].map((release) =>
		missingList(release, slots, filling).map(({ name, have, need, text }) => [
			name,
			have,
			need,
			text
		])
	);
	expect(lists).toEqual([
		[
			['Base', 1, 1, ''],
			['Dogs', 0, 1, '7']
		],
		[['Base', 0, 1, '9']]
	]);
});

test('the missing list tells how often a number is wanted, and variants by name', () => {
	const choice: GoalChoice = { preset: 'complete', sets: 2, variants: 'each', sectionsOut: [] };
	const slots = scopeGoal(gulls, choice);
	const filling = fillSlots(slots, [
		{ key: 'a', version: 'gulls-1996/base-1', quantity: 2 },
		{ key: 'b', version: 'gulls-1996/base-4', quantity: 1 }
	]);
	expect(
		missingList(gulls, slots, filling).map(({ have, need, text }) => [have, need, text])
	).toEqual([
		[3, 12, '4, 2 x2, 3 x2, 5 x2, 1 (at night) x2'],
		[0, 4, '6 x2, 7 x2']
	]);
	const all = scopeGoal(gulls, { preset: 'complete', finishes: 'all' });
	// Chalk of card 1 and Slate of the two dogs were printed fewer than 25 times.
	expect(obtainableOf(all, fillSlots(all, []))).toEqual({ have: 0, need: 12, hard: 3 });
});

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

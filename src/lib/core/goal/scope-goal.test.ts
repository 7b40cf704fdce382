import { describe, expect, test } from 'vitest';
import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import type { Release } from '../checklist/release.ts';
import { checkGoal } from './check-goal.ts';
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

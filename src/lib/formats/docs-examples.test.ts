import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../core/checklist/draft/resolve-release.ts';
import { readOutline } from '../core/checklist/outline/read-outline.ts';
import { indexCards } from '../core/shorthand/card-index.ts';
import { readShorthand } from '../core/shorthand/read-shorthand.ts';
import { vocabularyOf } from '../core/shorthand/vocabulary.ts';
import { CSV_COLUMNS } from './checklist-csv-columns.ts';
import { readChecklistJson } from './checklist-json.ts';
import { HOLDING_COLUMNS } from './holdings-columns.ts';
import { GoalRulesSchema } from '../schemas/goal-rules.ts';

/** What docs/formats.md shows must be what the program reads. */
const formats = readFileSync('docs/formats.md', 'utf8');
const sectionOf = (title: string) => {
	const [, after = ''] = formats.split(`## ${title}`);
	return after.split(/^## /m)[0] ?? '';
};
const blockOf = (title: string, number = 0) =>
	[...sectionOf(title).matchAll(/```\w*\n([\s\S]*?)```/g)][number]?.[1] ?? '';

test('the checklist that is shown is read without a problem', () => {
	const outcome = readChecklistJson(blockOf('Checklist, JSON'));
	expect(outcome.ok ? [] : outcome.problems).toEqual([]);
	expect(outcome.ok && outcome.value.sections).toHaveLength(3);
});

test('the outline that is shown makes a release', () => {
	const { problems, cards, release } = readOutline(blockOf('The outline of a release', 1));
	expect(problems).toEqual([]);
	// 160 to 240 in one numbering, 15 Fresnel, ten more and the base without one repeated: by hand.
	expect(release.sections.map(({ name }) => name)).toEqual([
		'Base',
		'Storm Watch',
		'Fresnel',
		'Premium'
	]);
	expect(cards).toBe(240 + 15 + 10 + (240 - 8 - 1));
});

describe('the lines that are shown', () => {
	const numbers = (from: number, to: number, prefix = '') =>
		Array.from({ length: to - from + 1 }, (_, i) => ({ number: `${prefix}${from + i}` }));
	const outcome = resolveRelease({
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [
			{ name: 'Base', cards: numbers(1, 80) },
			{ name: 'Series', kind: 'insert', cards: numbers(1, 18, '2-') },
			{ name: 'Fresnel', kind: 'insert', cards: numbers(1, 5, 'F') },
			{ name: 'Log', kind: 'insert', cards: [{ title: 'Bread Before Dawn' }] }
		],
		parallels: [
			{ name: 'Verdigris', runs: [{ sections: ['base'], printRun: 65 }] },
			{ name: 'Brass', runs: [{ sections: ['base', 'fresnel'] }] }
		],
		variants: [{ kind: 'error', name: 'home town', sections: ['base'], cards: ['27'] }]
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	const release = outcome.value;
	const lines = [...sectionOf('The entry line').matchAll(/^\| `([^`]+)` +\|/gm)].map(
		([, line = '']) => line
	);
	/** Cards that each line adds, in the order of the table. */
	const ADDED = [21 + 2 + 4, 4, 1, 18, 1, 10, 3, 41, 5, 1, 2, 80 - 6];

	test('there are as many as are checked here', () => {
		expect(lines).toHaveLength(ADDED.length);
	});

	test.each(lines.map((line, i) => [line, ADDED[i] ?? 0] as const))('%s adds %i', (line, added) => {
		const { problems, additions } = readShorthand(line, {
			release,
			index: indexCards(release),
			vocabulary: vocabularyOf(release),
			numberingKey: line === '2-14' ? 'series' : 'base',
			parallelKey: null,
			owned: new Map()
		});
		expect(problems).toEqual([]);
		expect(additions.reduce((sum, { quantity }) => sum + quantity, 0)).toBe(added);
	});
});

describe('the columns and rules that are named are those that there are', () => {
	const namedIn = (text: string) =>
		[...text.matchAll(/`([a-z][a-zA-Z -]*)`/g)].map(([, name]) => name);

	test('of a checklist', () => {
		const named = namedIn(sectionOf('Checklist, CSV and XLSX'));
		for (const column of CSV_COLUMNS) expect(named).toContain(column);
	});

	test('of holdings', () => {
		const named = namedIn(sectionOf('Holdings, CSV and XLSX'));
		for (const column of HOLDING_COLUMNS) expect(named).toContain(column);
	});

	test('of goals', () => {
		const named = namedIn(sectionOf('What complete means'));
		for (const rule of Object.keys(GoalRulesSchema.properties)) {
			if (rule !== 'parallel') expect(named).toContain(rule);
		}
	});
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { resolveRelease } from '../draft/resolve-release.ts';
import type { ReleaseDraft } from '../draft/draft.ts';
import type { Release } from '../release.ts';
import { compareReleases } from './compare-releases.ts';
import { compareSheet } from './compare-sheet.ts';
import { meetSections, type Counterpart } from './meet-sections.ts';

function release(
	key: string,
	sections: ReleaseDraft['sections'],
	more: Partial<ReleaseDraft> = {}
) {
	const outcome = resolveRelease({
		release: { key, name: key, maker: 'M', year: '1994' },
		sections,
		...more
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}
const kinds = ['base', 'insert', 'extra'] as const;
const named = (key: string, names: readonly (readonly [string, number])[]): Release =>
	release(
		key,
		names.map(([name, kind], i) => ({
			key: `s${i}`,
			name,
			kind: kinds[kind] ?? 'base',
			cards: [{ number: `${String.fromCharCode(65 + i)}1`, title: name }]
		}))
	);
const drawnNames = fc.uniqueArray(
	fc.tuple(fc.constantFrom('Base', 'Fresnel', 'Storms', 'Dogs', 'Ink'), fc.nat(2)),
	{ minLength: 2, maxLength: 4, selector: ([name]) => name }
);
const side = (of: Release) => ({ release: of.key, sections: of.sections });
const drawnPairs = fc.array(
	fc.tuple(fc.constantFrom('a', 'b'), fc.nat(3), fc.constantFrom('b', 'c'), fc.nat(3)),
	{ maxLength: 3 }
);

describe('meetSections', () => {
	test('for all releases and pairs made by hand: each section lies once, the rules are kept', () => {
		fc.assert(
			fc.property(fc.tuple(drawnNames, drawnNames, drawnNames), drawnPairs, (lists, pairs) => {
				const releases = lists.map((names, i) => named('abc'[i] ?? '', names));
				const counterparts = pairs
					.filter(([first, , other]) => first !== other)
					.map(([first, i, other, j]): Counterpart => [
						{ release: first, section: `s${i}` },
						{ release: other, section: `s${j}` }
					]);
				const met = meetSections(releases.map(side), counterparts);
				releases.forEach((of, at) => {
					const laid = met.flatMap(({ sections }) => sections[at]?.key ?? []);
					expect([...laid].sort()).toEqual(of.sections.map(({ key }) => key).sort());
				});
				// Sections of one name lie together, unless a person said otherwise of one of them.
				const isPaired = (at: number, key: string) =>
					counterparts.some((pair) =>
						pair.some((name) => name.release === releases[at]?.key && name.section === key)
					);
				for (const { sections, byHand } of met) {
					const [first] = sections;
					if (!first || byHand || isPaired(0, first.key)) continue;
					for (const at of [1, 2]) {
						const twin = releases[at]?.sections.find(({ name }) => name === first.name);
						if (twin && !isPaired(at, twin.key)) expect(sections[at]?.key).toBe(twin.key);
					}
				}
			}),
			{ numRuns: 300 }
		);
	});

	test('what was paired by hand goes before names and kinds, and takes its name from none', () => {
		const [a, b] = [
			named('a', [
				['Base', 0],
				['Fresnel', 1],
				['Dogs', 1]
			]),
			named('b', [
				['Base', 0],
				['Fresnel', 1],
				['Ink', 1]
			])
		];
		const keys = (pairs: readonly Counterpart[]) =>
			meetSections([a, b].map(side), pairs).map(({ sections, byHand }) =>
				[...sections.map((section) => section?.name ?? '-'), ...(byHand ? ['by hand'] : [])].join(
					' '
				)
			);
		expect(keys([])).toEqual(['Base Base', 'Fresnel Fresnel', 'Dogs Ink']);
		const pair: Counterpart = [
			{ release: 'b', section: 's1' },
			{ release: 'a', section: 's2' }
		];
		// Ink is alone now, and of the kind of the Fresnel that has lost its own.
		expect(keys([pair])).toEqual(['Base Base', 'Fresnel Ink', 'Dogs Fresnel by hand']);
		expect(compareReleases(a, b, [pair])[2]).toMatchObject({
			left: { name: 'Dogs' },
			right: { name: 'Fresnel' }
		});
		// Two sections of a single release meet, whatever they are called; no side, nothing.
		const [first, , third] = a.sections;
		if (!first || !third) throw new RangeError('no section');
		expect(
			meetSections([
				{ release: 'a', sections: [first] },
				{ release: 'a', sections: [third] }
			]).map(({ sections }) => sections.map((section) => section?.name))
		).toEqual([['Base', 'Dogs']]);
		expect(meetSections([])).toEqual([]);
	});
});

describe('compareSheet', () => {
	const year = (key: string, run: number, more: object = {}) =>
		release(
			key,
			[
				{
					name: 'Base',
					howToTell: 'Lamp on the back.',
					cards: [{ number: '1' }, { number: '2' }],
					...more
				},
				{ name: 'Ink', kind: 'insert', noBaseFinish: true, cards: [{ number: 'K1' }] }
			],
			{
				parallels: [
					{
						name: 'Brass',
						look: 'yellow',
						stockPt: 35,
						shape: 'die cut',
						runs: [{ sections: ['base'], cards: ['1'], printRun: run }]
					},
					{ name: key === 'b' ? 'Zinc' : 'Slate', runs: [{ sections: ['ink'] }] }
				]
			}
		);
	test('lines tell cards, stock, tells and runs a side; only what differs is marked so', () => {
		const a = year('a', 120);
		const b = year('b', 60, { format: { widthMm: 63.5, heightMm: 88.9, stockPt: 20 } });
		const told = compareSheet([{ release: a }, { release: b }]).map(({ members, lines }) => [
			members.map((member) => member?.name).join(' | '),
			...lines.map(
				({ what, cells, differs }) => `${what}: ${cells.join(' | ')}${differs ? ' ≠' : ''}`
			)
		]);
		expect(told).toEqual([
			[
				'Base | Base',
				'Cards: 2 | 2',
				'Numbers: 1, 2 | 1, 2',
				'Stock and size:  | 63.5 × 88.9 mm, 20 pt ≠',
				'To know it: Lamp on the back. | Lamp on the back.',
				'Base finish: made | made',
				'Brass: 1 of 2 · /120 · 35 pt · die cut · yellow | 1 of 2 · /60 · 35 pt · die cut · yellow ≠'
			],
			[
				'Ink | Ink',
				'Cards: 1 | 1',
				'Numbers: K1 | K1',
				'Slate: made | not made ≠',
				'Zinc: not made | made ≠'
			]
		]);
		// A side that has no such section says nothing, and differs from none.
		const [only] = compareSheet([
			{ release: a, section: 'ink' },
			{ release: b },
			{ release: a }
		]).filter(({ members }) => members[0] === null);
		expect(only?.lines.find(({ what }) => what === 'Cards')).toEqual({
			what: 'Cards',
			cells: ['', '2', '2'],
			differs: false
		});
	});
});

import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readChecklistJson } from '../../../formats/checklist-json.ts';
import { recordedReleaseDraft } from '../draft/release.arbitrary.ts';
import type { Release } from '../release.ts';
import { resolveRelease } from '../draft/resolve-release.ts';
import { readRuleSheet, writeRuleSheet, type RuleSheet, type SheetName } from './rule-sheet.ts';

function resolved(draft: Parameters<typeof resolveRelease>[0]): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const small = resolved({
	release: { name: 'Gull Row', maker: 'M', year: '1996' },
	packTypes: [{ name: 'Hobby' }, { name: 'Retail' }],
	sections: [
		{ name: 'Base', cards: [1, 2, 3, 4].map((n) => ({ number: String(n), title: `Gull ${n}` })) },
		{ name: 'Log', kind: 'insert', cards: [{ number: '2-14' }, { title: 'Bread; fresh' }] }
	],
	parallels: [{ name: 'Brass', runs: [{ sections: ['base'], printRun: 50 }] }],
	variants: [{ kind: 'error', name: 'wrong back', cards: ['2'] }]
});

/** The sheet with one cell written anew; row −1 adds a row. */
function withCells(name: SheetName, row: number, cells: Record<string, string>): RuleSheet {
	const sheet = writeRuleSheet(small);
	const rows =
		row < 0
			? [...sheet[name], { key: '', cells }]
			: sheet[name].map((old, i) =>
					i === row ? { ...old, cells: { ...old.cells, ...cells } } : old
				);
	return { ...sheet, [name]: rows };
}

function edited(sheet: RuleSheet): Release {
	const outcome = readRuleSheet(small, sheet);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

describe('what is written is read back', () => {
	test('for all releases', () => {
		fc.assert(
			fc.property(recordedReleaseDraft, (draft) => {
				const release = resolved(draft);
				expect(readRuleSheet(release, writeRuleSheet(release))).toEqual({
					ok: true,
					value: release,
					notes: []
				});
			}),
			{ numRuns: 60 }
		);
	});

	test.each([
		'harbour-lights-1994',
		'harbour-lights-1995',
		'signal-year-2019',
		'tidewater-strips-1926',
		'regatta-almanac-1948',
		'the-drowned-bell',
		'moths-of-the-lamp'
	])('%s, with its editions, swatches, formats and errors', (name) => {
		const outcome = readChecklistJson(readFileSync(`demo/${name}.checklist.json`, 'utf8'));
		if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
		const read = readRuleSheet(outcome.value, writeRuleSheet(outcome.value));
		expect(read.ok && read.value).toEqual(outcome.value);
	});
});

test('for all releases, rows with the columns of before and without packs leave everything else', () => {
	const before = {
		sections: ['name', 'kind', 'numberedIn', 'statedTotal', 'printRun', 'odds', 'listed', 'note'],
		parallels: ['name', 'channel', 'howToTell'],
		variants: ['cards', 'sections', 'kind', 'name', 'howToTell', 'printRun', 'inParallels']
	};
	fc.assert(
		fc.property(recordedReleaseDraft, (draft) => {
			const release = resolved(draft);
			const sheet = writeRuleSheet(release);
			const only = (name: keyof typeof before) =>
				sheet[name].map(({ key, cells }) => ({
					key,
					cells: Object.fromEntries(before[name].map((column) => [column, cells[column] ?? '']))
				}));
			const sent = {
				sections: only('sections'),
				parallels: only('parallels'),
				runs: sheet.runs,
				variants: only('variants')
			};
			expect(readRuleSheet(release, sent)).toEqual({ ok: true, value: release, notes: [] });
		}),
		{ numRuns: 40 }
	);
});

describe('cells', () => {
	test.each<[SheetName, Record<string, string>, (release: Release) => unknown, unknown]>([
		[
			'sections',
			{ odds: 'hobby 1:6; Retail 2:24' },
			({ sections }) => sections[0]?.odds,
			[
				{ packType: 'hobby', cards: 1, packs: 6 },
				{ packType: 'retail', cards: 2, packs: 24 }
			]
		],
		[
			'sections',
			{ series: 'One: 1-2; Two: 3 – 4' },
			({ sections }) => sections[0]?.series,
			[
				{ name: 'One', from: '1', to: '2' },
				{ name: 'Two', from: '3', to: '4' }
			]
		],
		[
			'sections',
			{ format: '36x67 mm; 24 pt; die cut' },
			({ sections }) => sections[0]?.format,
			{ widthMm: 36, heightMm: 67, stockPt: 24, shape: 'die cut' }
		],
		[
			'sections',
			{ arrangement: 'strip 10x1' },
			({ sections }) => sections[0]?.arrangement,
			{ kind: 'strip', columns: 10, rows: 1 }
		],
		['runs', { cards: '3-4' }, ({ parallels }) => parallels[0]?.runs[0]?.to, '4'],
		['runs', { cards: '2-14' }, ({ parallels }) => parallels[0]?.runs[0]?.cards, ['2-14']],
		[
			'runs',
			{ cards: 'Bread\\; fresh' },
			({ parallels }) => parallels[0]?.runs[0]?.cards,
			['Bread; fresh']
		],
		['runs', { printRun: '/75' }, ({ parallels }) => parallels[0]?.runs[0]?.printRun, 75],
		['variants', { inParallels: 'brass' }, ({ variants }) => variants[0]?.inParallels, ['brass']]
	])('%s %j', (name, cells, of, wanted) => {
		expect(of(edited(withCells(name, 0, cells)))).toEqual(wanted);
	});

	test('a renamed section keeps its key, its cards, and the rules that still call it by its old name', () => {
		const release = edited(withCells('sections', 0, { name: 'Common cards' }));
		expect(release.sections[0]).toMatchObject({ key: 'base', name: 'Common cards' });
		expect(release.sections[0]?.cards).toHaveLength(4);
		expect(release.parallels[0]?.runs[0]?.sections).toEqual(['base']);
	});

	test('a new parallel and its rule come in one edit, with a key of its name', () => {
		const sheet = withCells('parallels', -1, { name: 'Night Blue' });
		const release = edited({
			...sheet,
			runs: [
				...sheet.runs,
				{ key: '', cells: { parallel: 'night blue', sections: 'Base; Log', printRun: '10' } }
			]
		});
		expect(release.parallels[1]).toEqual({
			key: 'night-blue',
			name: 'Night Blue',
			runs: [{ sections: ['base', 'log'], printRun: 10 }]
		});
	});

	test('everything that is not understood is named at once, with sheet, row and column', () => {
		const sheet = withCells('sections', 1, { name: ' ', odds: 'often', format: 'thick' });
		const outcome = readRuleSheet(small, {
			...sheet,
			runs: [{ key: '', cells: { parallel: 'Gold', printRun: 'many' } }],
			variants: [{ key: '', cells: { kind: 'blemish', name: 'x', inParallels: 'Brass; Tin' } }]
		});
		expect(outcome.ok ? [] : outcome.problems.map(({ pointer }) => pointer)).toEqual([
			'/runs/0/parallel',
			'/runs/0/printRun',
			'/sections/1/name',
			'/sections/1/odds',
			'/sections/1/format',
			'/variants/0/kind',
			'/variants/0/inParallels'
		]);
		expect(outcome.ok ? '' : outcome.problems[0]?.remedy).toContain('Brass');
	});
});

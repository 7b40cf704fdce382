import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { oddReleaseDraft } from '../draft/release.arbitrary.ts';
import { resolveRelease } from '../draft/resolve-release.ts';
import type { ReleaseDraft } from '../draft/draft.ts';
import { expand } from '../versions/expand.ts';
import { countByKnowledge, rarityScale } from './rarity-scale.ts';

function scaleOf(draft: ReleaseDraft) {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return { ...rarityScale(outcome.value), release: outcome.value };
}

const cards = (count: number, prefix = '') =>
	Array.from({ length: count }, (_, i) => ({ number: `${prefix}${i + 1}` }));

/** 100 base in packs of ten; Lens 10 at 1:5; Ink 12 at 1:96, numbered /500; Foil of base 1:20; Tin without odds. */
const draft: ReleaseDraft = {
	release: { name: 'R', maker: 'M', year: '1994' },
	packTypes: [{ key: 'hobby', name: 'Hobby', cardsPerPack: 10 }],
	sections: [
		{ name: 'Base', cards: cards(100), difficulty: { level: 'easy' } },
		{ name: 'Lens', kind: 'insert', odds: { hobby: '1:5' }, cards: cards(10, 'L') },
		{
			name: 'Ink',
			kind: 'insert',
			odds: { hobby: '1:96' },
			printRun: 500,
			cards: cards(12, 'K'),
			difficulty: { level: 'hardest' }
		},
		{ name: 'Tin', kind: 'extra', difficulty: { level: 'hard' }, cards: cards(2, 'T') },
		{ name: 'Gift', kind: 'extra', cards: cards(1, 'G') }
	],
	parallels: [
		{ name: 'Foil', runs: [{ sections: ['base'], odds: { hobby: '1:20' } }] },
		{ name: 'Beam', runs: [{ sections: ['lens'], printRun: 2000, confidence: 'likely' }] }
	],
	variants: [{ kind: 'short print', name: 'SP', cards: ['7'], printRun: 40 }]
};

/** "section finish: knowledge, packs for one, copies" */
const told = ({ rows }: ReturnType<typeof scaleOf>) =>
	rows.map(({ sectionKey, parallelKey, isShortPrint, knowledge, packsForOne, copiesEach, scale }) =>
		[
			`${sectionKey}${parallelKey ? ` ${parallelKey}` : ''}${isShortPrint ? ' SP' : ''}`,
			knowledge,
			packsForOne === null ? '' : packsForOne.toFixed(2),
			copiesEach ? `${Math.round(copiesEach.least)}–${Math.round(copiesEach.most)}` : scale
		].join(', ')
	);

describe('one scale', () => {
	test('worked by hand: the packs made follow from what has both odds and a run', () => {
		const scale = scaleOf(draft);
		// 500 copies of 12 cards, one card in 96 packs.
		expect(scale.packsMade).toEqual({ least: 576_000, most: 576_000 });
		// A pack of ten holds 1/5 + 1/96 + 1/20 inserts; the rest are 99 base cards that are no short print.
		const left = 10 - 1 / 5 - 1 / 96 - 1 / 20;
		expect(told(scale)).toEqual([
			'base SP, stamped run, , 40–40',
			`base foil, odds, 2000.00, 288–288`,
			'ink, stamped run, 1152.00, 500–500',
			'lens beam, estimated run, , 2000–2000',
			`tin, experience, , 500–${Math.round(576_000 / (99 / left))}`,
			'lens, odds, 50.00, 11520–11520',
			`base, packs, ${(99 / left).toFixed(2)}, ${Math.round(576_000 / (99 / left))}–${Math.round(576_000 / (99 / left))}`,
			'gift, nothing, , none'
		]);
	});

	test('● 1:3 means 33.3 in a hundred packs: common practice, no source', () => {
		const { rows } = scaleOf({
			...draft,
			sections: [{ name: 'Insert', kind: 'insert', odds: { hobby: '1:3' }, cards: cards(1) }],
			parallels: [],
			variants: []
		});
		expect(100 / (rows[0]?.packsForOne ?? 0)).toBeCloseTo(33.3, 1);
	});

	test('without anything that has both, runs and odds are not held against each other', () => {
		const [base, lens, ink, ...rest] = draft.sections;
		const { odds: _, ...numbered } = ink ?? { name: 'Ink', cards: [] };
		const scale = scaleOf({
			...draft,
			sections: [base, lens, numbered, ...rest].flatMap((section) => section ?? [])
		});
		expect(scale.packsMade).toBeNull();
		expect(scale.rows.map((row) => row.scale)).toEqual([
			'copies',
			'copies',
			'copies',
			'packs',
			'packs',
			'packs',
			'experience',
			'none'
		]);
	});

	test('several that have both give bounds; a second kind of pack makes the sum unknown', () => {
		const twice: ReleaseDraft = {
			...draft,
			sections: draft.sections.map((section) =>
				section.name === 'Lens' ? { ...section, printRun: 11_000 } : section
			)
		};
		expect(scaleOf(twice).packsMade).toEqual({ least: 550_000, most: 576_000 });
		const mixed: ReleaseDraft = {
			...draft,
			packTypes: [...(draft.packTypes ?? []), { key: 'retail', name: 'Retail', cardsPerPack: 8 }],
			sections: draft.sections.map((section) =>
				section.name === 'Lens' ? { ...section, odds: { hobby: '1:5', retail: '1:4' } } : section
			)
		};
		// Packs of a second kind hold base cards, too: what was made of these is not known.
		const beside = scaleOf({
			...draft,
			packTypes: [...(draft.packTypes ?? []), { key: 'retail', name: 'Retail', cardsPerPack: 12 }]
		});
		expect(beside.packsMade).toEqual({ least: 576_000, most: 576_000 });
		expect(beside.rows.find(({ knowledge }) => knowledge === 'packs')).toMatchObject({
			packType: 'retail',
			copiesEach: null
		});
		const scale = scaleOf(mixed);
		expect(scale.packsMade).toBeNull();
		expect(
			scale.rows.find(({ sectionKey, parallelKey }) => sectionKey === 'lens' && !parallelKey)
		).toMatchObject({
			packsForOne: 40,
			packType: 'retail'
		});
	});

	test('for all releases: each regular version stands in one row, and no row is out of order', () => {
		fc.assert(
			fc.property(oddReleaseDraft, (any) => {
				const { rows, packsMade, release } = scaleOf(any);
				const regular = expand(release).filter(({ variantKey }) => variantKey === null);
				const placed = rows.flatMap(({ cards: keys, parallelKey }) =>
					keys.map((key) => `${key}~${parallelKey ?? ''}`)
				);
				expect([...placed].sort()).toEqual(
					regular.map(({ cardKey, parallelKey }) => `${cardKey}~${parallelKey ?? ''}`).sort()
				);
				const middles = rows.flatMap(({ copiesEach, scale }) =>
					scale === 'copies' && copiesEach ? [Math.sqrt(copiesEach.least * copiesEach.most)] : []
				);
				expect(middles).toEqual([...middles].sort((a, b) => a - b));
				expect(
					countByKnowledge({ rows, packsMade }).reduce((all, { versions }) => all + versions, 0)
				).toBe(regular.length);
			}),
			{ numRuns: 60 }
		);
	});
});

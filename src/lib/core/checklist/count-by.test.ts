import fc from 'fast-check';
import { expect, test } from 'vitest';
import { countable, countByRelease, countBySection, rollCalls } from './count-by.ts';
import type { ReleaseDraft } from './draft/draft.ts';
import { recordedReleaseDraft } from './draft/release.arbitrary.ts';
import { resolveRelease } from './draft/resolve-release.ts';
import { wholeSections } from './edition.ts';

function resolved(draft: ReleaseDraft) {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const gulls = resolved({
	release: { name: 'Gulls', maker: 'M', year: '1996' },
	sections: [
		{
			name: 'Base',
			cards: [
				{ number: '1', group: 'North', subjects: ['Ada', 'Ada'] },
				{ number: '2', group: 'North', subjects: ['Ada', 'Bram'] },
				{ number: '3', group: 'South' }
			]
		},
		{
			name: 'Ink',
			kind: 'insert',
			cards: [
				{ number: 'K1', group: 'South', subjects: ['Cliff'], tags: { role: ['keeper'] } },
				{ number: 'K2', group: 'West' }
			]
		},
		{ name: 'Foreign', kind: 'extra', edition: { of: ['base'] }, cards: [] }
	]
});

test('by group and section, and the roll-call', () => {
	const table = countBySection(gulls, { kind: 'group' });
	expect(table).toEqual({
		columns: ['base', 'ink', 'foreign'],
		rows: [
			{ word: 'North', counts: [2, 0, 2], total: 4 },
			{ word: 'South', counts: [1, 1, 1], total: 3 },
			{ word: 'West', counts: [0, 1, 0], total: 1 }
		],
		without: [0, 0, 0]
	});
	expect(rollCalls(table).slice(0, 2)).toEqual([
		{ section: 'base', once: ['South'], repeated: [{ word: 'North', cards: 2 }], absent: ['West'] },
		{ section: 'ink', once: ['South', 'West'], repeated: [], absent: ['North'] }
	]);
});

test('by subject over releases: who is absent elsewhere', () => {
	const other = { ...gulls, key: 'other', sections: gulls.sections.slice(1, 2) };
	const { rows, without } = countByRelease([gulls, other], { kind: 'subject' });
	expect(rows.map(({ word, counts }) => [word, ...counts])).toEqual([
		['Ada', 2, 0],
		['Cliff', 1, 1],
		['Bram', 1, 0]
	]);
	expect(without).toEqual([2, 1]);
	expect(countable([gulls])).toEqual([
		{ kind: 'group' },
		{ kind: 'subject' },
		{ kind: 'tag', family: 'role' }
	]);
	expect(countBySection(gulls, { kind: 'tag', family: 'constructor' }).rows).toEqual([]);
});

test('for all releases, every card is counted: by each of its groups, or as one without', () => {
	fc.assert(
		fc.property(recordedReleaseDraft, (draft) => {
			const release = resolved(draft);
			const { rows, without } = countBySection(release, { kind: 'group' });
			const cards = wholeSections(release).map((section) => section.cards.length);
			expect(
				cards.map((_, i) =>
					rows.reduce((sum, { counts }) => sum + (counts[i] ?? 0), without[i] ?? 0)
				)
			).toEqual(cards);
		}),
		{ numRuns: 40 }
	);
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { pickDetails, CARD_DETAILS } from '../card-details.ts';
import { recordedReleaseDraft } from '../draft/release.arbitrary.ts';
import { resolveRelease } from '../draft/resolve-release.ts';
import { cardsOf } from '../release.ts';
import { CARD_COLUMNS, readCardRecord, writeCardRecord } from './card-columns.ts';
import { NO_NAMES } from './column.ts';
import { sheetNamesOf } from './rule-sheet.ts';

describe('what is known of a card, as cells', () => {
	test('for all cards, reading what was written gives it back; cells that are not there leave it', () => {
		fc.assert(
			fc.property(recordedReleaseDraft, (draft) => {
				const outcome = resolveRelease(draft);
				if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
				const names = sheetNamesOf(outcome.value);
				for (const { card } of cardsOf(outcome.value)) {
					const { format, ...rest } = pickDetails(card, CARD_DETAILS);
					// A format that says nothing is none.
					const known = format && Object.keys(format).length > 0 ? { ...rest, format } : rest;
					const cells = writeCardRecord(card, names);
					expect(readCardRecord({}, cells, names)).toMatchObject({ ok: true, value: known });
					expect(readCardRecord(card, {}, names)).toEqual(readCardRecord({}, cells, names));
					const emptied = Object.fromEntries(Object.keys(cells).map((key) => [key, '']));
					expect(readCardRecord(card, emptied, names)).toMatchObject({ ok: true, value: {} });
				}
			})
		);
	});

	test.each([
		['origin', 'Gift', { origin: { kind: 'gift' } }],
		[
			'origin',
			'magazine; Harbour Post 4/1994; on 1994-05',
			{ origin: { kind: 'magazine', name: 'Harbour Post 4/1994', date: '1994-05' } }
		],
		['origin', 'event; "on 1994"', { origin: { kind: 'event', name: 'on 1994' } }],
		[
			'tags',
			'role: keeper; role: mate; a\\\\:b: c: d',
			{ tags: { role: ['keeper', 'mate'], 'a:b': ['c: d'] } }
		],
		['format', '2.5 × 3.5 in; 20 pt', { format: { widthMm: 63.5, heightMm: 88.9, stockPt: 20 } }],
		['odds', 'hobby 1:96', { odds: [{ packType: 'hobby', cards: 1, packs: 96 }] }],
		['difficulty', 'hard; the club', { difficulty: { level: 'hard', source: 'the club' } }],
		['looked', '3 of 400', { found: 3, lookedAt: 400 }],
		['sameAs', 'other/base-1; other/base-2', { sameAs: ['other/base-1', 'other/base-2'] }]
	])('%s: %s', (key, text, value) => {
		expect(readCardRecord({}, { [key]: text }, NO_NAMES)).toMatchObject({ ok: true, value });
	});

	test('every cell that is not understood is named, with its remedy; a column that is not there, too', () => {
		const cells = {
			origin: 'shop; x',
			tags: 'keeper',
			format: 'large',
			odds: 'hobby',
			difficulty: 'odd',
			confidence: 'perhaps',
			looked: 'many',
			onlyIn: 'jumbo',
			colour: 'red'
		};
		const outcome = readCardRecord({ note: 'kept' }, cells, NO_NAMES);
		expect(outcome.ok ? [] : outcome.problems.map(({ field }) => field).sort()).toEqual(
			[
				'By experience',
				'Came from',
				'Format',
				'Found',
				'How sure',
				'Odds',
				'Only in',
				'Tags',
				'colour'
			].sort()
		);
		for (const remedy of outcome.ok ? [] : outcome.problems.map((problem) => problem.remedy)) {
			expect(remedy).toMatch(/\S/);
		}
		// "on" with a day that is none, two dates, two names: none is dropped.
		for (const origin of ['event; on Monday', 'event; on 1994; on 1995', 'event; a; b']) {
			expect(readCardRecord({}, { origin }, NO_NAMES)).toMatchObject({ ok: false });
		}
		expect(new Set(CARD_COLUMNS.map(({ key }) => key)).size).toBe(CARD_COLUMNS.length);
	});
});

import fc from 'fast-check';
import { CARD_DETAILS, pickDetails } from '../card-details.ts';
import { keepKeys } from './keep-keys.ts';
import { recordedReleaseDraft } from './release.arbitrary.ts';
import { completeDraft, resolveRelease } from './resolve-release.ts';
import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { formatChecklistCsv } from '../../../formats/checklist-csv.ts';
import { readChecklistJson } from '../../../formats/checklist-json.ts';
import { readChecklist } from '../../../formats/read-checklist.ts';
import { expand } from '../versions/expand.ts';
import type { Release } from '../release.ts';
import { keepUnsaid, releaseChanges } from './replace-release.ts';

function demo(name: string): Release {
	const outcome = readChecklistJson(readFileSync(`demo/${name}.checklist.json`, 'utf8'));
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

async function fromCsv(text: string): Promise<Release> {
	const { outcome } = await readChecklist(new TextEncoder().encode(text), {
		name: '',
		maker: '',
		year: ''
	});
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

describe('a table read over the release it was written from', () => {
	test.each([
		'harbour-lights-1994',
		'the-drowned-bell',
		'signal-year-2019',
		'tidewater-strips-1926'
	])('%s: loses nothing that tables do not carry', async (name) => {
		const before = demo(name);
		const read = await fromCsv(formatChecklistCsv(before));
		const after = keepUnsaid(before, read);
		const keys = (release: Release) => expand(release).map(({ key }) => key);
		expect(keys(after).sort()).toEqual([...keys(before)].sort());
		expect(after.variants).toEqual(before.variants);
		expect(after.sections.map(({ edition }) => edition)).toEqual(
			before.sections.map(({ edition }) => edition)
		);
		expect(after.sections.map(({ format }) => format)).toEqual(
			before.sections.map(({ format }) => format)
		);
		expect(releaseChanges(before, after).filter(({ kind }) => kind === 'cards')).toEqual([]);
	});

	test('for all releases, a title that the table changes takes nothing else of its card away', async () => {
		await fc.assert(
			fc.asyncProperty(recordedReleaseDraft, async (draft) => {
				const outcome = resolveRelease(draft);
				if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
				const before = outcome.value;
				const title = 'Quite another title';
				const changed = {
					...before,
					sections: before.sections.map((section, s) => ({
						...section,
						cards: section.cards.map((card, c) => (s === 0 && c === 0 ? { ...card, title } : card))
					}))
				};
				const after = keepUnsaid(before, await fromCsv(formatChecklistCsv(changed)));
				const details = (release: Release) =>
					release.sections
						.filter(({ edition }) => !edition)
						.flatMap(({ cards }) => cards.map((card) => pickDetails(card, CARD_DETAILS)));
				expect(details(after)).toEqual(details(before));
				expect(after.sections[0]?.cards[0]?.title).toBe(title);
				expect([after.collectibles, after.hunts]).toEqual([before.collectibles, before.hunts]);
			}),
			{ numRuns: 25 }
		);
	});

	test('what the table says differently counts', async () => {
		const before = demo('harbour-lights-1994');
		const text = formatChecklistCsv(before).replaceAll('/120', '/125');
		const after = keepUnsaid(before, await fromCsv(text));
		const runs = (release: Release) =>
			expand(release).filter(({ printRun }) => printRun === 125).length;
		expect([runs(before), runs(after)]).toEqual([0, 208]);
	});
});

test('changes are counted by key', () => {
	const before = demo('harbour-lights-1994');
	const [base, ...rest] = before.sections;
	if (!base) throw new RangeError('no base');
	const [first, second, ...others] = base.cards;
	if (!first || !second) throw new RangeError('no cards');
	const after = {
		...before,
		sections: [
			{
				...base,
				statedTotal: 241,
				cards: [{ ...first, title: 'New' }, ...others, { ...second, key: 'base-241' }]
			},
			...rest
		],
		variants: before.variants.slice(2)
	};
	expect(releaseChanges(before, after)).toEqual([
		{ kind: 'sections', added: 0, changed: 1, removed: 0 },
		{ kind: 'cards', added: 1, changed: 1, removed: 1 },
		{ kind: 'variants', added: 0, changed: 0, removed: 2 }
	]);
	expect(releaseChanges(before, before)).toEqual([]);
});

test('a file without keys keeps those that things have here, however they were made', () => {
	const names = ['Łódź', 'Маяк'];
	const sections = names.map((name, i) => ({
		name,
		cards: [1, 2].map((n) => ({ number: `${i}${n}`, title: `${name} ${n}` }))
	}));
	const draft = {
		release: { name: 'R', maker: 'M', year: '1994' },
		sections: [...sections, { name: 'Ink', numberedIn: 'old', cards: [{ title: 'Кит' }] }],
		parallels: [{ name: 'Медь', runs: [{ sections: ['old'] }] }]
	};
	// As keys were made before: of what is left of a name in plain letters.
	const before = completeDraft({
		...draft,
		sections: draft.sections.map((section, i) => ({
			...section,
			key: ['old', 'x', 'ink'][i],
			cards: section.cards.map((card, n) => ({ ...card, key: `k${i}${n}` }))
		})),
		parallels: [{ name: 'Медь', key: 'x', runs: [{ sections: ['old'] }] }]
	}).release;
	const read = completeDraft({
		...draft,
		sections: draft.sections.map((section) => ({
			...section,
			...('numberedIn' in section ? { numberedIn: 'łodz' } : {})
		})),
		parallels: [{ name: 'Медь', runs: [{ sections: ['łodz'] }] }]
	}).release;
	expect(read.sections.map(({ key }) => key)).toEqual(['łodz', 'маяк', 'ink']);
	expect(keepKeys(before, read)).toEqual(before);
	expect(keepKeys(before, before)).toEqual(before);
});

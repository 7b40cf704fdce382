import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { expand } from '../versions/expand.ts';
import { recordedReleaseDraft } from '../draft/release.arbitrary.ts';
import { cardsOf, type Release } from '../release.ts';
import { resolveRelease } from '../draft/resolve-release.ts';
import { chaptersOf } from './chapters-of.ts';
import { haveBySection } from './have-by-section.ts';

function resolved(draft: Parameters<typeof resolveRelease>[0]): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

describe('against the versions, one by one', () => {
	test('every card is told once, every finish with all of its cards, and what is there is counted by card', () => {
		fc.assert(
			fc.property(recordedReleaseDraft, fc.nat(), (draft, pick) => {
				const release = resolved(draft);
				const versions = expand(release);
				const owned = new Set(versions.filter((_, i) => i % 3 === pick % 3).map(({ key }) => key));
				const { parts, editions } = chaptersOf(release);
				const haves = haveBySection(release, owned);
				const chapters = [...parts, ...editions];
				expect(chapters).toHaveLength(release.sections.length);
				for (const chapter of chapters) {
					const listed = cardsOf(release).filter(({ section }) => section.key === chapter.key);
					expect(chapter.cards).toBe(listed.length);
					const living = cardsOf(release).filter(
						({ section }) => section.numberedIn === chapter.key || section.key === chapter.key
					);
					expect(chapter.inNumbering).toBe(living.length);
					const of = versions.filter(({ sectionKey }) => sectionKey === chapter.key);
					const have = listed.filter(({ card }) =>
						of.some(({ cardKey, key }) => cardKey === card.key && owned.has(key))
					);
					expect(haves.get(chapter.key)).toBe(have.length);
					for (const { parallelKey, cards, runs } of chapter.finishes) {
						const made = of.filter(
							(version) => version.parallelKey === parallelKey && version.variantKey === null
						);
						expect(cards).toBe(made.length);
						expect(runs.reduce((sum, run) => sum + run.cards, 0)).toBe(made.length);
						for (const run of runs) {
							const same = made.filter(({ printRun, estimatedRun }) =>
								run.isEstimate
									? estimatedRun === run.printRun
									: printRun === run.printRun && estimatedRun === null
							);
							expect(run.cards).toBe(same.length);
						}
					}
				}
			}),
			{ numRuns: 60 }
		);
	});
});

test('a release is told: packs by name, runs with their kind of knowledge, differences, what is omitted and doubted', () => {
	const release = resolved({
		release: { name: 'Gull Row', maker: 'M', year: '1996' },
		packTypes: [{ key: 'hobby', name: 'Hobby packs' }],
		sections: [
			{
				name: 'Base',
				howToTell: 'no mark on the back',
				cards: [1, 2, 3, 4].map((n) => ({
					number: String(n),
					title: `Gull ${n}`,
					...(n === 1 ? { marks: ['rookie' as const] } : {}),
					...(n === 4 ? { confidence: 'doubtful' as const, source: 'a letter' } : {})
				}))
			},
			{
				name: 'Foils',
				kind: 'extra',
				onlyIn: ['hobby'],
				odds: { hobby: '1:6' },
				swatch: 'with',
				cards: [{ title: 'Beam' }]
			},
			{
				name: 'Abroad',
				kind: 'extra',
				edition: { of: ['base'], without: ['2'], from: '89' },
				cards: []
			}
		],
		parallels: [
			{
				name: 'Brass',
				runs: [
					{ sections: ['base'], printRun: 50 },
					{ sections: ['base'], cards: ['3'], printRun: 2000, confidence: 'likely' }
				]
			}
		],
		variants: [
			{
				kind: 'print variation',
				name: 'red line',
				regularName: 'blue line',
				cards: ['1', '2'],
				believed: { least: 6, most: 8 },
				lookedAt: 400,
				found: 3
			}
		]
	});
	const { parts, editions, omitted, doubts } = chaptersOf(release);
	expect(parts[0]).toMatchObject({
		name: 'Base',
		numbers: '1–4',
		howToTell: 'no mark on the back',
		finishes: [
			{ name: 'Base finish', cards: 4, runs: [{ printRun: null, cards: 4 }] },
			{
				name: 'Brass',
				cards: 4,
				runs: [
					{ printRun: 2000, isEstimate: true, cards: 1 },
					{ printRun: 50, isEstimate: false, cards: 3 }
				]
			}
		],
		keyCards: [{ number: '1' }],
		quirks: [{ name: 'red line', regularName: 'blue line', cards: '1, 2', known: 2, found: 3 }]
	});
	expect(parts[1]).toMatchObject({
		onlyIn: ['Hobby packs'],
		odds: [{ pack: 'Hobby packs', cards: 1, packs: 6 }],
		numbers: '',
		finishes: [{ withSwatch: '"Beam"', swatchUnknown: '' }]
	});
	expect(editions).toMatchObject([
		{
			numbers: '89, 91, 92',
			edition: { of: ['Base'], without: ['2'], changes: 0, added: 0, from: '89' }
		}
	]);
	expect(omitted).toEqual(['Foils', 'Abroad']);
	expect(doubts).toEqual([
		{ what: 'Base, 4 Gull 4', confidence: 'doubtful', source: 'a letter' },
		{ what: 'Brass /2000', confidence: 'likely' },
		{
			what: 'Base 1, 2: red line; 6 to 8 believed to exist, 2 known',
			lookedAt: 400,
			found: 3
		}
	]);
});

test('an empty section is a chapter without finishes', () => {
	const release = resolved({
		release: { name: 'R', maker: 'M', year: '1996' },
		sections: [{ name: 'Base', cards: [] }]
	});
	expect(chaptersOf(release).parts).toMatchObject([{ cards: 0, numbers: '', finishes: [] }]);
});

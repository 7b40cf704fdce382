import fc from 'fast-check';
import { expect, test } from 'vitest';
import { releaseDraft } from '../draft/release.arbitrary.ts';
import { resolveRelease } from '../draft/resolve-release.ts';
import type { Release } from '../release.ts';
import { expand } from '../versions/expand.ts';
import { formatOutline } from './format-outline.ts';
import { linesOfRelease, nextYear } from './lines-of-release.ts';
import { readOutline } from './read-outline.ts';

/** What an outline can tell of a release: its sections with their numbers, and what was made of each with which run. */
function told(release: Release) {
	const sections = new Map(release.sections.map(({ key, name }) => [key, name]));
	const parallels = new Map(release.parallels.map(({ key, name }) => [key, name]));
	const cards = new Map(
		release.sections.flatMap((section) =>
			section.cards.map((card) => [card.key, card.number ?? 'unnumbered'])
		)
	);
	const versions = expand(release).filter(({ variantKey }) => variantKey === null);
	return {
		packs: release.packTypes.map(({ key: _, ...pack }) => pack),
		sections: release.sections.map(({ name, kind, odds, takesPlaceOf }) => [
			...[name, kind, odds.length, takesPlaceOf]
		]),
		versions: versions
			.map(({ cardKey, sectionKey, parallelKey, printRun }) =>
				[
					sections.get(sectionKey),
					cards.get(cardKey),
					parallels.get(parallelKey ?? ''),
					printRun
				].join()
			)
			.sort()
	};
}

test('for all releases, the outline of one makes another with the same parts', () => {
	fc.assert(
		fc.property(releaseDraft, (draft) => {
			const outcome = resolveRelease(draft);
			if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
			const text = formatOutline(linesOfRelease(outcome.value));
			const { release, problems } = readOutline(text);
			expect(problems, text).toEqual([]);
			expect(told(release)).toEqual(told(outcome.value));
		}),
		{ numRuns: 200 }
	);
});

test.each([
	[
		['Lights 1994', '1994'],
		['Lights 1995', '1995']
	],
	[
		['Lights', '1999-00'],
		['Lights', '2000-01']
	],
	[
		['1994 Lights 1994-95', '1994-95'],
		['1995 Lights 1995-96', '1995-96']
	]
])('%j, a year on', ([name = '', year = ''], next) => {
	const line = nextYear({ kind: 'release' as const, name, maker: 'M', year });
	expect([line.name, line.year]).toEqual(next);
});

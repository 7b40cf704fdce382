import fc from 'fast-check';
import { expect, test } from 'vitest';
import { oddReleaseDraft } from '../draft/release.arbitrary.ts';
import { resolveRelease } from '../draft/resolve-release.ts';
import { cardsOf, type Release } from '../release.ts';
import { expand } from '../versions/expand.ts';
import { readOutline } from './read-outline.ts';

const number = fc.integer({ min: 1, max: 30 });
const run = fc
	.tuple(number, fc.integer({ min: 0, max: 5 }))
	.map(([from, more]) => `${from}-${from + more}`);

/** Lines that take nothing over: what is there can only grow by them. */
const growing = fc.oneof(
	run.map((numbers) => `insert Fresh: N${numbers}`),
	run.map((numbers) => `base BASE: ${numbers}`),
	fc.integer({ min: 1, max: 4 }).map((count) => `insert Loose: ${count} cards`),
	run.map((numbers) => `key ${numbers} in BASE`),
	run.map((numbers) => `tag role = keeper: ${numbers} in BASE`),
	run.map((numbers) => `error ${numbers} in BASE: turned up`),
	fc.constantFrom(
		'parallel Newest: BASE /77',
		'pack Late: 3 cards, 2.50 EUR',
		'extra Again of BASE: from 501',
		'panels Pairs of BASE: 2 in a row',
		'# nothing'
	)
);
const taking = run.map((numbers) => `subset Taken in BASE: ${numbers}`);

function resolved(draft: Parameters<typeof resolveRelease>[0]): Release {
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const keysOf = (release: Release) =>
	new Set(release.sections.flatMap(({ cards }) => cards.map(({ key }) => key)));

test('for all releases and lines that only add: no version goes, and a second time adds no card', () => {
	let applied = 0;
	fc.assert(
		fc.property(
			oddReleaseDraft,
			fc.uniqueArray(growing, { minLength: 1, maxLength: 4 }),
			(draft, lines) => {
				const before = resolved(draft);
				const { release: after, problems } = readOutline(lines.join('\n'), before);
				if (problems.length > 0) return;
				applied++;
				const made = new Set(expand(after).map(({ key }) => key));
				for (const { key } of expand(before)) expect(made).toContain(key);
				const once = lines
					.filter((line) => !/^(error|parallel|insert Loose)/.test(line))
					.join('\n');
				const again = readOutline(once, after);
				expect(again.problems).toEqual([]);
				expect(cardsOf(again.release).length).toBe(cardsOf(after).length);
			}
		),
		{ numRuns: 150 }
	);
	// Lines that fit nothing are refused: most of them fit.
	expect(applied).toBeGreaterThan(20);
});

test('for all releases and lines that take numbers over: no card goes, and each stands in one section', () => {
	let applied = 0;
	fc.assert(
		fc.property(oddReleaseDraft, taking, (draft, line) => {
			const before = resolved(draft);
			const { release: after, problems } = readOutline(line, before);
			if (problems.length > 0) return;
			applied++;
			const keys = keysOf(after);
			for (const key of keysOf(before)) expect(keys).toContain(key);
			const all = after.sections.flatMap(({ cards }) => cards.map(({ key }) => key));
			expect(new Set(all).size).toBe(all.length);
			const taken = after.sections.find(({ name }) => name === 'Taken')?.cards ?? [];
			const base = after.sections.find(({ name }) => name === 'BASE')?.cards ?? [];
			for (const card of taken)
				expect(base.map((other) => other.number)).not.toContain(card.number);
		}),
		{ numRuns: 100 }
	);
	expect(applied).toBeGreaterThan(20);
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { CONFIDENCES, type Confidence } from '../checklist/confidence.ts';
import type { ReleaseDraft } from '../checklist/draft/draft.ts';
import { resolveRelease } from '../checklist/draft/resolve-release.ts';
import { cardsOf, type Release } from '../checklist/release.ts';
import { expand } from '../checklist/versions/expand.ts';
import { fillSlots } from './fill-slots.ts';
import type { GoalChoice } from './goal-rules.ts';
import { nextRings } from './next-ring.ts';
import { progressBy } from './progress-by.ts';
import { scopeGoal } from './scope-goal.ts';

const sure = fc.constantFrom(undefined, undefined, ...CONFIDENCES);
const words = fc.constantFrom<string[] | undefined>(undefined, ['a'], ['b'], ['a', 'b']);

/** Twelve base cards in two series, an insert; a parallel of some, an error; all as sure as drawn. */
const drawn = fc.record({
	cards: fc.array(
		fc.record({ confidence: sure, role: words, group: fc.constantFrom(undefined, 'X', 'Y') }),
		{
			minLength: 12,
			maxLength: 12
		}
	),
	section: sure,
	finish: fc.constantFrom(undefined, 'doubtful' as const, 'not seen yet' as const),
	variant: sure,
	noBase: fc.boolean()
});
type Drawn = typeof drawn extends fc.Arbitrary<infer Value> ? Value : never;

function releaseOf({ cards, section, finish, variant, noBase }: Drawn): Release {
	const sureness = (confidence: Confidence | undefined) => (confidence ? { confidence } : {});
	const draft: ReleaseDraft = {
		release: { key: 'r', name: 'R', maker: 'M', year: '1994' },
		sections: [
			{
				name: 'Base',
				series: [
					{ name: 'One', from: '1', to: '6' },
					{ name: 'Two', from: '7', to: '12' }
				],
				cards: cards.map(({ confidence, role, group }, i) => ({
					number: String(i + 1),
					...sureness(confidence),
					...(role ? { tags: { role } } : {}),
					...(group ? { group } : {})
				}))
			},
			{
				name: 'Ink',
				kind: 'insert',
				...sureness(section),
				...(noBase ? { noBaseFinish: true as const } : {}),
				cards: [{ number: 'K1' }, { number: 'K2' }]
			}
		],
		parallels: [
			{
				name: 'Red',
				runs: [
					{ sections: ['base'], from: '1', to: '8', ...sureness(finish) },
					{ sections: ['ink'] }
				]
			},
			{ name: 'Blue', runs: [{ sections: ['ink'], cards: ['K1'] }] }
		],
		variants: [{ key: 'v', kind: 'error', name: 'back', cards: ['2', '9'], ...sureness(variant) }]
	};
	const outcome = resolveRelease(draft);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
}

const choice = fc.record(
	{
		finishes: fc.constantFrom('base' as const, 'all' as const),
		errors: fc.constantFrom('none' as const, 'both' as const),
		series: fc.subarray(['One', 'Two']),
		tags: fc.constantFrom<Readonly<Record<string, string[]>>>(
			{},
			{ role: ['a'] },
			{ role: ['a', 'b'] },
			{ role: [] }
		),
		group: fc.constantFrom('X', 'Y'),
		leastConfidence: fc.constantFrom(...CONFIDENCES)
	},
	{ requiredKeys: [] }
);

/** The versions that may fill a slot, asked one by one by what the rules say in words. */
function wantedByHand(release: Release, given: Drawn, rules: Partial<GoalChoice>): string[] {
	const place = (confidence: Confidence | undefined) =>
		CONFIDENCES.indexOf(confidence ?? 'certain');
	const most = rules.leastConfidence === undefined ? 3 : place(rules.leastConfidence);
	const sectionOf = new Map(cardsOf(release).map(({ card, section }) => [card.key, section.key]));
	return expand(release)
		.filter(({ cardKey, parallelKey, variantKey }) => {
			const isInk = sectionOf.get(cardKey) === 'ink';
			const card = isInk ? undefined : given.cards[Number(cardKey.replace('base-', '')) - 1];
			const doubts = [
				card?.confidence,
				isInk ? given.section : undefined,
				!isInk && parallelKey === 'red' ? given.finish : undefined,
				variantKey ? given.variant : undefined
			];
			if (doubts.some((confidence) => place(confidence) > most)) return false;
			if (rules.group !== undefined && card?.group !== rules.group) return false;
			const roles = rules.tags?.['role'] ?? [];
			if (roles.length > 0 && !roles.some((role) => card?.role?.includes(role))) return false;
			const series = isInk ? '' : Number(cardKey.replace('base-', '')) <= 6 ? 'One' : 'Two';
			if (rules.series?.length && !rules.series.includes(series)) return false;
			if (variantKey && rules.errors !== 'both') return false;
			const isOnlyFinish = isInk && given.noBase;
			return parallelKey === null || rules.finishes === 'all' || isOnlyFinish;
		})
		.map(({ key }) => key)
		.sort();
}

describe('rules that narrow a goal', () => {
	test('for all small releases and rules, the versions that are taken are those that the words say', () => {
		fc.assert(
			fc.property(drawn, choice, (given, rules) => {
				const release = releaseOf(given);
				const slots = scopeGoal(release, { preset: 'with-inserts', ...rules });
				const taken = slots.flatMap(({ versions }) => versions);
				expect(new Set(taken).size, 'a version in two slots').toBe(taken.length);
				// Where the regular card is not sure enough, its error alone makes no slot by rule.
				const wanted = new Set(wantedByHand(release, given, rules));
				for (const version of taken) expect(wanted).toContain(version);
				for (const version of wanted) {
					const regular = version.replace(/!.*$/, '');
					if (wanted.has(regular)) expect(taken, version).toContain(version);
				}
			}),
			{ numRuns: 300 }
		);
	});

	test('for all small releases, each way to part a goal sums to the whole, and rings bring what they say', () => {
		fc.assert(
			fc.property(
				drawn,
				choice,
				fc.integer({ min: 1, max: 3 }),
				fc.nat(40),
				(given, rules, sets, every) => {
					const release = releaseOf(given);
					const asked: GoalChoice = { preset: 'complete', ...rules, sets };
					const slots = scopeGoal(release, asked);
					const copies = expand(release)
						.filter((_, i) => i % (every + 1) === 0)
						.map(({ key }) => ({ key, version: key, quantity: 2 }));
					const filling = fillSlots(slots, copies);
					const lacking = filling.missing.reduce((sum, { quantity }) => sum + quantity, 0);
					for (const { by, parts } of progressBy([release], slots, filling)) {
						const need = parts.reduce((sum, part) => sum + part.need, 0);
						// A card with two words of a family counts in each.
						if (by === 'role') expect(need).toBeGreaterThanOrEqual(slots.length);
						else
							expect([by, need, need - parts.reduce((sum, part) => sum + part.have, 0)]).toEqual([
								by,
								slots.length,
								lacking
							]);
					}
					for (const ring of nextRings([release], asked)) {
						expect([ring.key, scopeGoal(release, ring.rules).length - slots.length]).toEqual([
							ring.key,
							ring.more
						]);
					}
				}
			),
			{ numRuns: 150 }
		);
	});
});

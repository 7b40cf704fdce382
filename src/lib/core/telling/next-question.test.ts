import fc from 'fast-check';
import { sum } from 'd3-array';
import { describe, expect, test } from 'vitest';
import { LOOK_NAMES, LOOKS, RELIABILITIES, type Candidate, type Tell } from '../checklist/tell.ts';
import { nextQuestion, type Answer, type Telling } from './next-question.ts';

const ask = (
	candidates: readonly Candidate[],
	answers?: readonly Answer[],
	sure?: number
): Telling => {
	const outcome = nextQuestion(candidates, answers, sure);
	if (!outcome.ok) throw new RangeError(JSON.stringify(outcome.problems));
	return outcome.value;
};
const thing = (key: string, tells: readonly Tell[], weight = 1): Candidate => ({
	key,
	weight,
	tells
});

describe('nextQuestion', () => {
	test('base or parallel: turn it over, a name on the back settles it (common practice, no source)', () => {
		const candidates = [
			thing('base', [{ feature: 'shine', value: 'dull', where: 'light', reliability: 'fair' }], 9),
			thing('brass', [
				{ feature: 'Name on the back', value: 'BRASS', otherwise: 'none', where: 'back' },
				{ feature: 'shine', value: 'bright', where: 'light', reliability: 'fair' }
			])
		];
		const begun = ask(candidates);
		expect(begun).toMatchObject({
			isSettled: false,
			isExact: true,
			seconds: 2,
			question: {
				feature: 'Name on the back',
				where: 'back',
				values: [
					{ value: 'none', chance: 0.9, leaves: ['base'] },
					{ value: 'BRASS', chance: 0.1, leaves: ['brass'] }
				]
			},
			settles: ['Name on the back', 'shine']
		});
		const settled = ask(candidates, [{ feature: 'name on  the BACK', value: 'brass' }]);
		expect(settled).toMatchObject({ isSettled: true, question: null, seconds: 0 });
		expect(settled.candidates[0]).toEqual({ key: 'brass', chance: 1 });
		// "Don't know" is an answer: the next best look follows.
		expect(ask(candidates, [{ feature: 'name on the back', value: null }]).question?.feature).toBe(
			'shine'
		);
	});

	test('sister issues: the mark before the ruler, of hand-cut cards (common practice, no source)', () => {
		const issue = (key: string, mark: string, size: string) =>
			thing(key, [
				{ feature: 'size', value: size, where: 'ruler', reliability: 'poor' },
				{ feature: "maker's mark", value: mark }
			]);
		const telling = ask([issue('first', 'a lamp', '34 mm'), issue('sister', 'none', '36 mm')]);
		expect(telling.question?.feature).toBe("maker's mark");
		expect(telling.settles).toEqual(["maker's mark", 'size']);
	});

	test('of two tells the likelier split a second decides; weights count', () => {
		const colours = ['red', 'blue', 'green', 'grey'].map((value, i) =>
			thing(value, [
				{ feature: 'colour', value, where: 'light' },
				{ feature: 'edge', value: i === 0 ? 'bright' : 'dull' }
			])
		);
		expect(ask(colours).question?.feature).toBe('colour');
		const mostlyRed = colours.map((each, i) => ({ ...each, weight: i === 0 ? 17 : 1 }));
		expect(ask(mostlyRed).question?.feature).toBe('edge');
	});

	test.each<[string, readonly Candidate[], readonly Answer[], object]>([
		['no candidate', [], [], { field: 'candidates' }],
		['none with a weight', [thing('a', [], 0)], [], { field: 'candidates' }],
		[
			'a feature nobody tells of',
			[thing('a', [])],
			[{ feature: 'x', value: 'y' }],
			{ pointer: '/answers/0' }
		],
		[
			'the same twice',
			[thing('a', [{ feature: 'x', value: 'y' }])],
			[
				{ feature: 'x', value: 'y' },
				{ feature: 'X', value: null }
			],
			{ pointer: '/answers/1' }
		],
		[
			'what none shows',
			[thing('a', [{ feature: 'x', value: 'y' }])],
			[{ feature: 'x', value: 'z' }],
			{ pointer: '/answers/0' }
		]
	])('%s is a problem', (_, candidates, answers, problem) => {
		expect(nextQuestion(candidates, answers)).toMatchObject({ ok: false, problems: [problem] });
	});

	test('what is too much to compare is said so at once, not after a while', () => {
		const wide = Array.from({ length: 1000 }, (_, c) =>
			thing(
				String(c),
				Array.from({ length: 50 }, (__, f) => ({ feature: `f${c} ${f}`, value: 'x' }))
			)
		);
		const deep = Array.from({ length: 1000 }, (_, c) =>
			thing(
				String(c),
				Array.from({ length: 50 }, (__, f) => ({ feature: `f${f}`, value: `v${c}` }))
			)
		);
		for (const candidates of [wide, deep]) {
			expect(nextQuestion(candidates)).toMatchObject({
				ok: false,
				problems: [{ pointer: '/candidates' }]
			});
		}
	});

	test('what cannot be told apart is not settled, and nothing is asked', () => {
		const twin = [{ feature: 'x', value: 'y' }];
		expect(ask([thing('a', twin), thing('b', twin)])).toMatchObject({
			isSettled: false,
			question: null,
			seconds: 0,
			settles: []
		});
	});

	test('five hundred candidates: a question that halves them comes before one that names few', () => {
		const many = Array.from({ length: 500 }, (_, i) =>
			thing(
				String(i),
				Array.from({ length: 9 }, (__, bit) => ({
					feature: `bit ${bit}`,
					value: String((i >> bit) & 1)
				})).concat([{ feature: 'rare', value: i < 3 ? 'yes' : 'no' }])
			)
		);
		const telling = ask(many);
		expect(telling.isExact).toBe(false);
		expect(telling.question?.feature).toMatch(/^bit/);
		expect(telling.question?.gain).toBeCloseTo(1, 1);
		expect(telling.seconds).toBeLessThanOrEqual(10);
	});
});

/** Candidates, features and values drawn small: what is shown, from where, and how sure. */
const drawn = fc
	.record({
		features: fc.array(
			fc.record({
				where: fc.constantFrom(...LOOK_NAMES),
				reliability: fc.constantFrom('certain', 'certain', 'good', 'fair', 'poor') as fc.Arbitrary<
					keyof typeof RELIABILITIES
				>
			}),
			{ minLength: 1, maxLength: 4 }
		),
		shown: fc.array(fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 4, maxLength: 4 }), {
			minLength: 2,
			maxLength: 4
		}),
		weights: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 4, maxLength: 4 })
	})
	.map(({ features, shown, weights }) =>
		shown.map((values, c) =>
			thing(
				String(c),
				// 3: nobody knows what it shows there.
				features.flatMap((look, f): Tell[] =>
					values[f] === 3 ? [] : [{ feature: `f${f}`, value: `v${values[f]}`, ...look }]
				),
				weights[c]
			)
		)
	);

/**
 * The same by brute force, written from the definition: every feature first, every value that may be seen
 * after it, by Bayes' rule; the fewest seconds on average until one is sure or nothing tells more.
 */
function fewestSeconds(candidates: readonly Candidate[], sure: number): number {
	const names = [
		...new Set(candidates.flatMap(({ tells }) => tells.map(({ feature }) => feature)))
	];
	const tellOf = (candidate: Candidate, name: string) =>
		candidate.tells.find(({ feature }) => feature === name);
	const go = (weights: readonly number[], left: readonly string[]): number => {
		const all = sum(weights);
		if (Math.max(...weights) / all >= sure - 1e-9) return 0;
		let fewest = Infinity;
		for (const name of left) {
			const said = candidates.flatMap((candidate) => tellOf(candidate, name) ?? []);
			const values = [...new Set(said.map(({ value }) => value))];
			const seconds = Math.max(...said.map(({ where = 'front' }) => LOOKS[where].seconds));
			const chance = Math.min(
				...said.map(({ reliability = 'certain' }) => RELIABILITIES[reliability].chance)
			);
			const branches = [...values, 'another'].map((seen) =>
				weights.map((weight, c) => {
					const shown = tellOf(candidates[c] as Candidate, name)?.value;
					if (shown === undefined) return weight / (values.length + 1);
					return weight * (shown === seen ? chance : (1 - chance) / values.length);
				})
			);
			const bits = (some: readonly number[]) => {
				const total = sum(some);
				return -sum(some, (part) => (part > 0 ? (part / total) * Math.log2(part / total) : 0));
			};
			const possible = branches.filter((branch) => sum(branch) / all > 1e-9);
			const after = sum(possible, (branch) => (sum(branch) / all) * bits(branch));
			if (bits(weights) - after <= 1e-9) continue;
			const rest = left.filter((other) => other !== name);
			const cost = seconds + sum(possible, (branch) => (sum(branch) / all) * go(branch, rest));
			fewest = Math.min(fewest, cost);
		}
		return fewest === Infinity ? 0 : fewest;
	};
	return go(
		candidates.map(({ weight = 1 }) => weight),
		names
	);
}

test('for all small sets: the order is the one with the fewest seconds, and chances follow Bayes', () => {
	fc.assert(
		fc.property(drawn, fc.constantFrom(0.8, 0.95, 1), (candidates, sure) => {
			const telling = ask(candidates, [], sure);
			expect(telling.isExact).toBe(true);
			expect(telling.seconds).toBeCloseTo(fewestSeconds(candidates, sure), 6);
			expect(telling.question === null).toBe(telling.seconds === 0);
			const { question } = telling;
			if (!question) return;
			expect(sum(question.values, ({ chance }) => chance)).toBeCloseTo(1, 9);
			// What is on average after the answer is what was before it.
			for (const { key, chance } of telling.candidates) {
				const after = sum(question.values, (seen) => {
					const left = ask(candidates, [
						{ feature: question.feature, value: seen.value ?? 'something else' }
					]);
					return seen.chance * (left.candidates.find((each) => each.key === key)?.chance ?? 0);
				});
				expect(after).toBeCloseTo(chance, 6);
			}
		}),
		{ numRuns: 300 }
	);
});

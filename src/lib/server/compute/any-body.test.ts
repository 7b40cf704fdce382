import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { nearly } from '../../schemas/mutate.fixture.ts';
import { checkAgainst } from '../../schemas/validator.ts';
import { EXAMPLES } from './registry-examples.fixture.ts';
import { compute, COMPUTATIONS } from './registry.ts';

/** So many bodies each; JADE_FUZZ_RUNS for a long search, JADE_SEED for another one. */
const RUNS = Number(process.env.JADE_FUZZ_RUNS ?? 40);
const SEED = Number(process.env.JADE_SEED ?? 1996);

describe('for any body that is nearly right', () => {
	test.each(COMPUTATIONS)(
		'$name answers as its schema says, or says what is wrong',
		{ timeout: 600_000 },
		async ({ name, output }) => {
			await fc.assert(
				fc.asyncProperty(nearly(EXAMPLES[name]?.body), async (body) => {
					// What arrives is JSON: no -0, no undefined.
					const answer = await compute(name, JSON.parse(JSON.stringify(body)));
					if (answer.kind === 'done') {
						expect(checkAgainst(output, JSON.parse(JSON.stringify(answer.value)))).toEqual([]);
					} else {
						expect(answer.kind).toBe('invalid');
						if (answer.kind !== 'invalid') return;
						expect(answer.problems.length).toBeGreaterThan(0);
						for (const { message } of answer.problems) expect(message).toMatch(/\w{2}/);
					}
				}),
				{ numRuns: RUNS, seed: SEED }
			);
		}
	);
});

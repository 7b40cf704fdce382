import fc from 'fast-check';
import { expect, test } from 'vitest';
import { oneLoadAtATime } from './one-load-at-a-time';

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

test('for all changes, what is shown after a load is not older than the change before it', async () => {
	const part = fc.constantFrom('copies', 'journal', 'page');
	const call = fc.record({ parts: fc.uniqueArray(part, { minLength: 1 }), wait: fc.nat(5) });
	await fc.assert(
		fc.asyncProperty(fc.array(call, { maxLength: 12 }), async (calls) => {
			/** The server's state counts up; a load shows the state at its start when it is through. */
			let state = 0;
			let underWay = 0;
			let loads = 0;
			const shown = new Map<string, number>();
			const load = oneLoadAtATime<string>(async (parts) => {
				expect(++underWay).toBe(1);
				loads += 1;
				const read = state;
				await pause(3);
				for (const name of parts) shown.set(name, read);
				underWay -= 1;
			});
			const done = calls.map(async ({ parts, wait }, i) => {
				await pause(calls.slice(0, i).reduce((sum, { wait }) => sum + wait, 0) + wait);
				const changed = ++state;
				await load(...parts);
				for (const name of parts) expect(shown.get(name), name).toBeGreaterThanOrEqual(changed);
			});
			await Promise.all(done);
			expect(loads).toBeLessThanOrEqual(calls.length);
		}),
		{ numRuns: 30 }
	);
});

test('a load that fails is told to those who asked for it, and the next is made all the same', async () => {
	let fails = true;
	const load = oneLoadAtATime<string>(async () => {
		if (fails) throw new Error('the line is down');
	});
	await expect(load('copies')).rejects.toThrow('the line is down');
	fails = false;
	await expect(load('copies')).resolves.toBeUndefined();
});

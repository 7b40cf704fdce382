import { expect, test } from 'vitest';
import { bad, good, type Outcome } from '$lib/core/problem';
import { createReport } from './change-report.svelte';

/** An answer that comes when it is told to. */
function later<Value>() {
	let answer: (outcome: Outcome<Value>) => void = () => {};
	const promise = new Promise<Outcome<Value>>((resolve) => (answer = resolve));
	return { promise, answer };
}
const refused = { message: 'refused' };

test('the answer to an earlier change takes away nothing that was said since', async () => {
	const report = createReport();
	const first = later<number>();
	const told = report.of(first.promise, { said: (value) => `${value} moved`, part: 'order 1' });
	report.refuse([{ message: '-2 is less than nothing' }], 'order 2');
	first.answer(good(3));
	await told;
	expect(report.problemsOf('order 2')).toEqual([{ message: '-2 is less than nothing' }]);
	expect(report.problemsOf('order 1')).toEqual([]);
});

test('what is refused is told although a later change went well; the next change clears it', async () => {
	const report = createReport();
	const [first, second] = [later(), later()];
	const both = [report.of(first.promise, { part: 'a' }), report.of(second.promise)];
	first.answer(bad([refused]));
	second.answer(good(null));
	await Promise.all(both);
	expect(report.problemsOf('a')).toEqual([refused]);
	await report.of(Promise.resolve(good(1)), { said: () => 'Kept' });
	expect([report.problems, report.told]).toEqual([[], 'Kept']);
});

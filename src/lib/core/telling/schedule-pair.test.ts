import { describe, expect, test } from 'vitest';
import { schedulePair, type PairMemory } from './schedule-pair.ts';

const BEGIN = '2022-11-29T12:30:00.000Z';
const later = (at: string, days: number) =>
	new Date(Date.parse(at) + days * 86_400_000).toISOString();
const daysFrom = (from: string, to: string) =>
	Math.round((Date.parse(to) - Date.parse(from)) / 86_400_000);

/** Answers at the day on which each is due, or after the days that are given. */
function answer(answers: readonly boolean[], gaps?: readonly number[]) {
	let memory: PairMemory | null = null;
	let at = BEGIN;
	const days: number[] = [];
	for (const [i, isRight] of answers.entries()) {
		if (gaps) at = later(at, gaps[i] ?? 0);
		const next: ReturnType<typeof schedulePair> = schedulePair(memory, isRight, at);
		days.push(daysFrom(at, next.dueAt));
		if (!gaps) at = next.dueAt;
		// As it comes back out of the database.
		memory = JSON.parse(JSON.stringify(next.memory)) as PairMemory;
	}
	return { days, memory };
}

describe('the scheduler gives its published vectors', () => {
	// The test vectors of the open FSRS-6 implementations (open-spaced-repetition, py-fsrs 6: test_review_card
	// and test_memo_state), from memory; default parameters, no fuzz.
	test('days between thirteen answers', () => {
		const answers = [
			...Array<boolean>(6).fill(true),
			false,
			false,
			...Array<boolean>(5).fill(true)
		];
		expect(answer(answers).days).toEqual([0, 2, 11, 46, 163, 498, 0, 0, 2, 4, 7, 12, 21]);
	});

	test('stability and difficulty after six', () => {
		const { memory } = answer([false, true, true, true, true, true], [0, 0, 1, 3, 8, 21]);
		expect(memory?.stability).toBeCloseTo(53.62691, 3);
		expect(memory?.difficulty).toBeCloseTo(6.3574867, 4);
	});
});

test('the same answers give the same day; a right answer is asked for later than a wrong one', () => {
	const [once, again] = [schedulePair(null, true, BEGIN), schedulePair(null, true, BEGIN)];
	expect(once).toEqual(again);
	expect(
		schedulePair(once.memory, true, once.dueAt).dueAt >
			schedulePair(once.memory, false, once.dueAt).dueAt
	).toBe(true);
});

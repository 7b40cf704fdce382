import { createEmptyCard, fsrs, generatorParameters, Rating } from 'ts-fsrs';

/** What is kept of how well a pair is known; plain data, dates in ISO 8601. */
export type PairMemory = Readonly<Record<string, unknown>>;

/** Without chance: the same answers give the same days. */
const SCHEDULER = fsrs(generatorParameters({ enable_fuzz: false }));

/**
 * When a pair of look-alikes is asked again: spaced repetition by the FSRS-6 scheduler with its published
 * parameters. A right answer is "good", a wrong one "again".
 *
 * @param memory as it was given back before; null: never asked
 * @param now ISO 8601
 */
export function schedulePair(
	memory: PairMemory | null,
	isRight: boolean,
	now: string
): { readonly memory: PairMemory; readonly dueAt: string } {
	const card = { ...createEmptyCard(now), ...memory };
	const { card: next } = SCHEDULER.next(card, now, isRight ? Rating.Good : Rating.Again);
	const { due, last_review: last, ...rest } = next;
	const dueAt = due.toISOString();
	return { memory: { ...rest, due: dueAt, last_review: last?.toISOString() ?? now }, dueAt };
}

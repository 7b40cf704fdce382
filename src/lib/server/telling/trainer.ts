import { and, asc, eq } from 'drizzle-orm';
import { wholeSections } from '../../core/checklist/edition.ts';
import { good, type Outcome } from '../../core/problem.ts';
import { schedulePair } from '../../core/telling/schedule-pair.ts';
import type { LookAlike } from '../../core/telling/look-alike.ts';
import { trainerRound, type TrainerRound } from '../../core/telling/trainer-round.ts';
import type { Collection, Reader } from '../database/open.ts';
import { goals, trainedPairs } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { loadReleases } from '../releases/load-release.ts';
import { listLookAlikes, readLookAlikes } from './look-alikes.ts';

type Pair = readonly [string, string];

/** Questions of one sitting. */
const ROUNDS = 10;
/** Pairs that are looked through for new ones. */
const MOST_PAIRS = 400;

/** How well a pair is known. */
export interface PairScore {
	readonly first: LookAlike;
	readonly second: LookAlike;
	readonly asked: number;
	readonly right: number;
	/** ISO 8601; null: never asked. */
	readonly dueAt: string | null;
}

/** The smaller key first, so that a pair has one name. */
const inOrder = (a: string, b: string): Pair => (a < b ? [a, b] : [b, a]);

/**
 * A sitting: pairs that are due, the most overdue first, then new ones; and how well each pair is known.
 *
 * @param chance a number in [0, 1) at each call
 */
export async function readSitting(
	db: Reader,
	now: string,
	chance: () => number
): Promise<{
	readonly rounds: readonly TrainerRound[];
	readonly scores: readonly PairScore[];
	readonly due: number;
}> {
	const known = await db.select().from(trainedPairs).orderBy(asc(trainedPairs.dueAt));
	const nameOf = ([first, second]: Pair) => `${first} ${second}`;
	const rows = new Map(known.map((row) => [nameOf([row.first, row.second]), row]));
	const fresh = (await pairsOf(db)).filter((pair) => !rows.has(nameOf(pair)));
	const due = known.filter(({ dueAt }) => dueAt <= now);
	const wanted: readonly Pair[] = [
		...due.map(({ first, second }): Pair => [first, second]),
		...fresh
	];
	const alikes = await readLookAlikes(db, [
		...new Set(
			[...wanted.slice(0, 4 * ROUNDS), ...known.map((row): Pair => [row.first, row.second])].flat()
		)
	]);
	const byKey = new Map(alikes.map((each) => [each.key, each]));
	const rounds: TrainerRound[] = [];
	for (const [first, second] of wanted) {
		const [a, b] = [byKey.get(first), byKey.get(second)];
		const round = a && b && trainerRound(a, b, Array.from({ length: 8 }, chance));
		if (round) rounds.push(round);
		if (rounds.length === ROUNDS) break;
	}
	const scores = known.flatMap((row): PairScore[] => {
		const [first, second] = [byKey.get(row.first), byKey.get(row.second)];
		const { asked, right, dueAt } = row;
		return first && second ? [{ first, second, asked, right, dueAt }] : [];
	});
	return { rounds, scores, due: due.length };
}

/** Pairs of the collector's own look-alikes: those kept as easily mistaken, then finishes and variants of the releases of goals. */
async function pairsOf(db: Reader): Promise<readonly Pair[]> {
	const pairs = new Map<string, Pair>();
	const add = (a: string, b: string) => {
		if (a !== b && pairs.size < MOST_PAIRS) pairs.set(inOrder(a, b).join(' '), inOrder(a, b));
	};
	for (const { keys } of await listLookAlikes(db)) {
		keys.forEach((key, i) => keys.slice(i + 1).forEach((other) => add(key, other)));
	}
	const homes = await db.selectDistinct({ id: goals.releaseId }).from(goals).limit(8);
	const stored = await loadReleases(
		db,
		homes.map(({ id }) => id)
	);
	for (const { release } of stored) {
		const sections = wholeSections(release);
		const main = sections.find(({ kind, tells }) => kind === 'base' && tells);
		const told = release.parallels.filter(({ tells }) => tells);
		if (main) {
			const base = `${release.key}/${main.key}`;
			for (const { key } of told) add(base, `${base}~${key}`);
			told.forEach(({ key }, i) =>
				told.slice(i + 1).forEach((other) => add(`${base}~${key}`, `${base}~${other.key}`))
			);
		}
	}
	return [...pairs.values()];
}

/** An answer of the trainer: the pair comes again when the scheduler says so. */
export function practisePair(
	collection: Collection,
	keys: Pair,
	isRight: boolean
): Promise<Outcome<{ readonly dueAt: string }>> {
	return makeChange(collection, async (record, tx) => {
		const alikes = await readLookAlikes(tx, keys);
		if (alikes.length < 2) {
			const remedy = 'Reload the page: the checklist may have changed.';
			return refused([{ message: 'these are not in the collection', remedy }]);
		}
		const [first, second] = inOrder(...keys);
		const [row] = await tx
			.select()
			.from(trainedPairs)
			.where(and(eq(trainedPairs.first, first), eq(trainedPairs.second, second)));
		const { memory, dueAt } = schedulePair(row?.memory ?? null, isRight, collection.now());
		const right = (row?.right ?? 0) + (isRight ? 1 : 0);
		const said = { asked: (row?.asked ?? 0) + 1, right, memory, dueAt };
		if (row) await record.update(trainedPairs, row.id, said);
		else await record.insert(trainedPairs, [{ first, second, ...said }]);
		const names = alikes.map(({ name }) => name).join(' or ');
		return { value: good({ dueAt }), label: `Trainer: ${names}, ${isRight ? 'right' : 'wrong'}` };
	});
}

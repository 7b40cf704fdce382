import { and, eq } from 'drizzle-orm';
import { checkRelease } from '../../core/checklist/draft/check-release.ts';
import { addToRelease } from '../../core/checklist/draft/add-to-release.ts';
import { releaseChanges, type ChangeCount } from '../../core/checklist/draft/replace-release.ts';
import { cardsOf, type Release } from '../../core/checklist/release.ts';
import { freeKey, slug } from '../../core/checklist/slug.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Reader } from '../database/open.ts';
import { releases } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { findRelease, loadRelease, type StoredRelease } from '../releases/load-release.ts';
import { insertRelease, writeRelease } from './write-release.ts';

/** A release that a list of cards has a part of. */
interface ListedRelease {
	/** As it is in the collection; null where it is not there. */
	readonly stored: StoredRelease | null;
	readonly after: Release;
}

/** What a list of cards comes to for a release. */
export interface ListedChange {
	readonly name: string;
	readonly maker: string;
	readonly year: string;
	readonly isNew: boolean;
	/** Cards that the list has of it. */
	readonly cards: number;
	readonly changes: readonly ChangeCount[];
}

/** Finds the releases of a list: by name, maker and year. New ones get keys that are free. */
async function findListed(db: Reader, list: readonly Release[]): Promise<readonly ListedRelease[]> {
	const listed: ListedRelease[] = [];
	const taken = new Set<string>();
	for (const part of list) {
		const { name, maker, year } = part;
		const [same] = await db
			.select({ key: releases.key })
			.from(releases)
			.where(and(eq(releases.name, name), eq(releases.maker, maker), eq(releases.year, year)))
			.limit(1);
		const stored = same ? await loadRelease(db, same.key) : null;
		if (stored) {
			listed.push({ stored, after: addToRelease(stored.release, part) });
			continue;
		}
		const byMaker = `${part.key}-${slug(maker)}`;
		for (const key of [part.key, byMaker])
			if ((await findRelease(db, key)) !== null) taken.add(key);
		const key = freeKey(taken.has(part.key) ? byMaker : part.key, taken);
		listed.push({ stored: null, after: { ...part, key } });
	}
	return listed;
}

/** What adding a list of cards would change, release by release. */
export async function cardListChanges(
	db: Reader,
	list: readonly Release[]
): Promise<readonly ListedChange[]> {
	return (await findListed(db, list)).map(({ stored, after }, i) => ({
		name: after.name,
		maker: after.maker,
		year: after.year,
		isNew: stored === null,
		cards: list[i] ? cardsOf(list[i]).length : 0,
		changes: stored ? releaseChanges(stored.release, after) : []
	}));
}

/** Adds a list of cards: to the releases that are there, and as part of those that are not, in one step. */
export function importCardList(
	collection: Collection,
	list: readonly Release[]
): Promise<Outcome<{ readonly keys: readonly string[] }>> {
	return makeChange(collection, async (record, tx) => {
		const listed = await findListed(tx, list);
		const problems = listed.flatMap(({ after }) =>
			checkRelease(after).map((problem): Problem => ({
				...problem,
				message: `${after.name}: ${problem.message}`
			}))
		);
		if (problems.length > 0) return refused(problems);
		for (const { stored, after } of listed) {
			if (stored) await writeRelease(record, tx, stored.id, after);
			else await insertRelease(record, tx, after);
		}
		const cards = list.reduce((sum, part) => sum + cardsOf(part).length, 0);
		return {
			value: good({ keys: listed.map(({ after }) => after.key) }),
			label: `Add a list: ${cards} ${cards === 1 ? 'card' : 'cards'}, ${list.length} ${list.length === 1 ? 'release' : 'releases'}`
		};
	});
}

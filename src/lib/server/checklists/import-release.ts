import { and, eq, or } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import { keepKeys } from '../../core/checklist/draft/keep-keys.ts';
import { keepUnsaid } from '../../core/checklist/draft/replace-release.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Reader } from '../database/open.ts';
import { releases } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { loadRelease, type StoredRelease } from '../releases/load-release.ts';
import { changedSince } from './fingerprint.ts';
import { saveRelease } from './save-release.ts';
import { insertRelease } from './write-release.ts';

/**
 * The release of the collection that an imported one is: under the same key; of a table, which carries
 * no key, also of the same name, maker and year.
 */
export async function findSameRelease(
	db: Reader,
	{ key, name, maker, year }: Release,
	isTable: boolean
): Promise<StoredRelease | null> {
	const [same] = await db
		.select({ key: releases.key })
		.from(releases)
		.where(
			isTable
				? or(
						eq(releases.key, key),
						and(eq(releases.name, name), eq(releases.maker, maker), eq(releases.year, year))
					)
				: eq(releases.key, key)
		)
		.limit(1);
	return same ? loadRelease(db, same.key) : null;
}

/** Adds a release whole, or not at all. */
export async function importRelease(
	collection: Collection,
	release: Release
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const same = await findSameRelease(tx, release, false);
		if (same) {
			const problem: Problem = {
				field: 'release',
				message: `"${same.release.name}" is already in the collection under the key ${same.release.key}`,
				remedy: 'Replace its checklist, or give this one another name, year or key.'
			};
			return refused([problem]);
		}
		await insertRelease(record, tx, release);
		return {
			value: good({ key: release.key }),
			label: `Import ${release.name}`
		};
	});
}

/** The release as it will be when an imported checklist replaces it; a table leaves standing what it does not carry. */
export function replacement(before: Release, imported: Release, isTable: boolean): Release {
	const named = keepKeys(before, imported);
	return isTable ? keepUnsaid(before, named) : { ...named, key: before.key };
}

/** Replaces the checklist of a release; copies stay attached, or it is refused. */
export function replaceRelease(
	collection: Collection,
	key: string,
	imported: Release,
	isTable: boolean,
	/** The fingerprint of the checklist that was looked at; left out: whatever is there is replaced. */
	seen?: string
): Promise<Outcome<{ readonly key: string }>> {
	return saveRelease(collection, key, 'replace the checklist', (before) => {
		const problems = changedSince(seen, before);
		return problems.length > 0 ? bad(problems) : good(replacement(before, imported, isTable));
	});
}

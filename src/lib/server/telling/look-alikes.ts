import { asc, eq, inArray } from 'drizzle-orm';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { LookAlikesId } from '../../core/row-id.ts';
import { lookAlike, type LookAlike } from '../../core/telling/look-alike.ts';
import type { Collection, Reader } from '../database/open.ts';
import { insertOne } from '../database/record.ts';
import { lookAlikes, releases } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { loadReleases } from '../releases/load-release.ts';

/** More side by side fit on no screen and no card. */
export const MOST_ALIKE = 12;

/** What keys name, in their order; those that name nothing here are left out. */
export async function readLookAlikes(
	db: Reader,
	keys: readonly string[]
): Promise<readonly LookAlike[]> {
	const asked = [...new Set(keys)].slice(0, 500);
	const of = [...new Set(asked.map(releaseOf))];
	const rows = await db
		.select({ id: releases.id, key: releases.key })
		.from(releases)
		.where(inArray(releases.key, of));
	const stored = await loadReleases(
		db,
		rows.map(({ id }) => id)
	);
	const byKey = new Map(stored.map(({ release }) => [release.key, release]));
	return asked.flatMap((key) => {
		const release = byKey.get(releaseOf(key));
		return (release && lookAlike(release, key)) ?? [];
	});
}

/** The sets that are kept as easily mistaken; with `of`, those that name this release, or this card. */
export async function listLookAlikes(
	db: Reader,
	of?: { readonly release: string; readonly card?: string }
) {
	const rows = await db.select().from(lookAlikes).orderBy(asc(lookAlikes.id));
	return rows.filter(
		({ keys }) =>
			of === undefined ||
			keys.some(
				(key) =>
					releaseOf(key) === of.release &&
					(of.card === undefined || parseVersionKey(key)?.card === of.card)
			)
	);
}

/** Keeps a set of look-alikes: two or more things that are here. */
export function keepLookAlikes(
	collection: Collection,
	{
		name,
		keys,
		note
	}: { readonly name: string; readonly keys: readonly string[]; readonly note: string }
): Promise<Outcome<{ readonly id: LookAlikesId }>> {
	return makeChange(collection, async (record, tx) => {
		const found = await readLookAlikes(tx, keys);
		const lost = keys.filter((key) => !found.some((each) => each.key === key));
		const problems: readonly Problem[] = [
			...lost.map((key) => ({
				field: 'of',
				message: `"${key}" is nothing of this collection`,
				remedy: 'Choose it anew.'
			})),
			...(found.length < 2
				? [{ field: 'of', message: 'it takes two to be mistaken', remedy: 'Add another one.' }]
				: []),
			...(found.length > MOST_ALIKE
				? [
						{
							field: 'of',
							message: `${found.length} are too many side by side`,
							remedy: `Keep at most ${MOST_ALIKE}.`
						}
					]
				: [])
		];
		if (problems.length > 0) return refused(problems);
		const called =
			name.trim() ||
			found
				.map((each) => each.name)
				.join(' or ')
				.slice(0, 200);
		const row = await insertOne(record, lookAlikes, {
			name: called,
			keys: found.map(({ key }) => key),
			note: note.trim() || null
		});
		return { value: good({ id: row.id }), label: `Easily mistaken: ${called}` };
	});
}

/** Lets a set of look-alikes go. False where there is none. */
export function dropLookAlikes(collection: Collection, id: LookAlikesId): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [row] = await tx.select().from(lookAlikes).where(eq(lookAlikes.id, id));
		if (!row) return { value: false, label: '' };
		await record.remove(lookAlikes, [id]);
		return { value: true, label: `No longer mistaken: ${row.name}` };
	});
}

const releaseOf = (key: string) => parseVersionKey(key)?.release ?? key;

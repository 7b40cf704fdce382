import { checkRelease } from '../../core/checklist/draft/check-release.ts';
import { cardFinder } from '../../core/checklist/versions/find-version.ts';
import type { Release } from '../../core/checklist/release.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import { countOwned, readCopies } from '../copies/read-copies.ts';
import type { Collection, Reader } from '../database/open.ts';
import { makeChange, refused } from '../journal/change.ts';
import { loadRelease } from '../releases/load-release.ts';
import { writeRelease } from './write-release.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/**
 * Replaces the rules of a release by edited ones. Rows are matched by key, so that unchanged cards
 * stay untouched. Copies stay attached, because their versions keep their keys; an edit under which
 * a version with copies would no longer exist is refused, and each such version is named.
 */
export function saveRelease(
	collection: Collection,
	key: string,
	label: string,
	edit: (release: Release) => Outcome<Release>
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await loadRelease(tx, key);
		if (!stored) return refused([{ message: 'this release is not in the collection' }]);
		const outcome = edit(stored.release);
		if (!outcome.ok) return refused(outcome.problems);
		const edited = outcome.value;
		const problems = [...checkRelease(edited), ...(await findOrphans(tx, stored.id, edited))];
		if (problems.length > 0) return refused(problems);
		await writeRelease(record, tx, stored.id, edited);
		return { value: good({ key }), label: `${edited.name}: ${label}` };
	});
}

/** Versions with copies that the edited rules no longer make. */
export async function findOrphans(
	db: Reader,
	releaseId: ReleaseId,
	edited: Release
): Promise<readonly Problem[]> {
	const owned = countOwned(await readCopies(db, releaseId));
	const find = cardFinder(edited);
	return [...owned]
		.filter(([version]) => !find(version))
		.map(([version, count]) => ({
			field: version,
			message: `${count} ${count === 1 ? 'copy' : 'copies'} of ${version} would belong to nothing`,
			remedy: 'Keep the card, parallel or variant, or take these copies out first.'
		}));
}

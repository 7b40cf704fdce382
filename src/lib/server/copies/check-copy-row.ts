import { findVersion } from '../../core/checklist/versions/find-version.ts';
import type { Release } from '../../core/checklist/release.ts';
import { checkCopy } from '../../core/copies/check-copy.ts';
import type { Problem } from '../../core/problem.ts';
import type { copies } from '../database/tables/index.ts';
import { toCopy } from './read-copies.ts';

/** What cannot be of a copy as its row would be. */
export function problemsOf(
	release: Release,
	version: string,
	row: Partial<typeof copies.$inferInsert>
): readonly Problem[] {
	const found = findVersion(release, version);
	if (found === null) {
		return [{ field: 'version', message: `"${version}" is no version of this release` }];
	}
	const copy = toCopy(release.key, { ...EMPTY, ...row } as typeof copies.$inferSelect);
	const strange = (copy.alsoVersions ?? []).filter(
		(other, i, all) => other === version || all.indexOf(other) < i || !findVersion(release, other)
	);
	return [
		...strange.map((other) => ({
			field: 'alsoVariants',
			message: `"${other}" is no further deviation of this copy`,
			remedy: 'Choose others of the variants of its card in this finish.'
		})),
		...checkCopy(copy, found.printRun)
	];
}

const EMPTY = { id: 0, isAuthentic: false, status: 'kept', attributes: [], alsoVariants: [] };

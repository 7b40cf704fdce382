import { findVersion } from '../../core/checklist/versions/find-version.ts';
import type { Release } from '../../core/checklist/release.ts';
import { checkCopy } from '../../core/copies/check-copy.ts';
import { HOLDER_KINDS, type HolderKind } from '../../core/storage/kinds/holder-kind.ts';
import type { Problem } from '../../core/problem.ts';
import type { copies } from '../database/tables/index.ts';
import { toCopy } from './read-copies.ts';

/**
 * What cannot be of a copy as its row would be.
 *
 * @param holders kinds of holders besides the usual ones
 */
export function problemsOf(
	release: Release,
	version: string,
	row: Partial<typeof copies.$inferInsert>,
	holders: readonly HolderKind[]
): readonly Problem[] {
	const found = findVersion(release, version);
	if (found === null) {
		return [{ field: 'version', message: `"${version}" is no version of this release` }];
	}
	const copy = toCopy(release.key, { ...EMPTY, ...row } as typeof copies.$inferSelect);
	const strange = (copy.alsoVersions ?? []).filter(
		(other, i, all) => other === version || all.indexOf(other) < i || !findVersion(release, other)
	);
	const { holder } = row;
	const isHeld = holder == null || [...HOLDER_KINDS, ...holders].some(({ key }) => key === holder);
	return [
		...(isHeld
			? []
			: [
					{
						field: 'holder',
						message: `there is no holder "${holder}"`,
						remedy: 'Choose one of the list, or add your own kind first.'
					}
				]),
		...strange.map((other) => ({
			field: 'alsoVariants',
			message: `"${other}" is no further deviation of this copy`,
			remedy: 'Choose others of the variants of its card in this finish.'
		})),
		...checkCopy(copy, found.printRun)
	];
}

const EMPTY = { id: 0, isAuthentic: false, status: 'kept', attributes: [], alsoVariants: [] };

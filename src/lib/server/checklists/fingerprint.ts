import { createHash } from 'node:crypto';
import type { Release } from '../../core/checklist/release.ts';
import type { Problem } from '../../core/problem.ts';

/** What a form says that saw no such release. */
export const NOT_THERE = 'not there';

/** Tells whether a checklist is still what somebody saw: a short word for all of it. */
export function fingerprintOf(release: Release | null): string {
	if (release === null) return NOT_THERE;
	return createHash('sha256').update(JSON.stringify(release)).digest('hex').slice(0, 24);
}

/** Why a checklist that was seen is not replaced as it was looked at; nothing where it is the same still. */
export function changedSince(
	seen: string | undefined,
	release: Release | null
): readonly Problem[] {
	if (seen === undefined || seen === '' || seen === fingerprintOf(release)) return [];
	return [
		{
			field: 'release',
			message:
				'the checklist was changed since it was looked at, in another window or by a program',
			remedy: 'Look at the preview again, then replace it.'
		}
	];
}

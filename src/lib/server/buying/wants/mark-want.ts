import { eq } from 'drizzle-orm';
import type { WantMark } from '../../../core/buying/wants/wants-list.ts';
import { findVersion } from '../../../core/checklist/versions/find-version.ts';
import { parseVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { Collection } from '../../database/open.ts';
import { wantMarks } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { loadRelease } from '../../releases/load-release.ts';

/** Says something of a wanted card itself; what is left out falls back to what its goals say. */
export function markWant(
	collection: Collection,
	version: string,
	mark: WantMark & { readonly currency: string }
): Promise<Outcome<{ readonly version: string }>> {
	return makeChange(collection, async (record, tx) => {
		const stored = await loadRelease(tx, parseVersionKey(version)?.release ?? '');
		if (!stored || !findVersion(stored.release, version)) {
			return refused([
				{ field: 'version', message: `there is no "${version}"`, remedy: 'Reload the page.' }
			]);
		}
		const { isFavourite, priority = null, mostMinor = null, leastCondition = null } = mark;
		const currency = mostMinor === null ? null : mark.currency;
		const values = { isFavourite, priority, mostMinor, currency, leastCondition };
		const isPlain =
			!isFavourite && priority === null && mostMinor === null && leastCondition === null;
		const [row] = await tx.select().from(wantMarks).where(eq(wantMarks.version, version));
		if (row && isPlain) await record.remove(wantMarks, [row.id]);
		else if (row) await record.update(wantMarks, row.id, values);
		else if (!isPlain)
			await record.insert(wantMarks, [{ releaseId: stored.id, version, ...values }]);
		return { value: good({ version }), label: 'Mark a want' };
	});
}

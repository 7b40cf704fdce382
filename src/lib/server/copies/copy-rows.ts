import { eq } from 'drizzle-orm';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { CopyRecord } from '../../core/copies/copy-record.ts';
import type { Reader } from '../database/open.ts';
import { copies } from '../database/tables/index.ts';
import { loadReleases } from '../releases/load-release.ts';
import { toCopy } from './read-copies.ts';
import type { CopyId, ReleaseId } from '../../core/row-id.ts';

/** What of a copy a person may change; null or an empty text takes a field away. */
export type CopyFields = {
	readonly [Name in keyof Omit<CopyRecord, 'key' | 'version' | 'alsoVersions' | 'heldIn'>]?:
		CopyRecord[Name] | null;
};

/** Fields as a row has them: what is not given stays. */
export function fieldsAsRow(fields: CopyFields): Partial<typeof copies.$inferInsert> {
	return Object.fromEntries(
		Object.entries(fields).map(([name, value]) => [name, value === '' ? null : value])
	);
}

/** Where a version key puts a copy. */
export function placeOf(releaseId: ReleaseId, version: string) {
	const name = parseVersionKey(version);
	if (!name) throw new RangeError(`placeOf: "${version}" is no version key`);
	const { card: cardKey, parallel: parallelKey, variant: variantKey } = name;
	return { releaseId, cardKey, parallelKey, variantKey };
}

/** The same of what was sent: nothing where it is no key, which `problemsOf` tells. */
export const placeAsked = (releaseId: ReleaseId, version: string) =>
	parseVersionKey(version) === null ? { releaseId } : placeOf(releaseId, version);

/** A copy with the release it is of; null where there is none. */
export async function readCopy(db: Reader, id: CopyId) {
	const [row] = await db.select().from(copies).where(eq(copies.id, id));
	const [stored] = row ? await loadReleases(db, [row.releaseId]) : [];
	if (!row || !stored) return null;
	const { release } = stored;
	return { copy: toCopy(release.key, row), releaseId: row.releaseId, release };
}

import { numberingsOf } from '../../core/checklist/numbering.ts';
import { readShorthand, type EntryReading } from '../../core/shorthand/read-shorthand.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
import type { Reader } from '../database/open.ts';
import { loadRelease } from '../releases/load-release.ts';
import { entryContext } from './entry-context.ts';
import type { ReleaseId } from '../../core/row-id.ts';

type EntryRead = Outcome<{
	readonly releaseId: ReleaseId;
	readonly additions: EntryReading['additions'];
}>;

/** Reads an entry line of a release without logging anything: which versions it names, and how many. */
export const readEntry = (db: Reader, releaseKey: string, line: string): Promise<EntryRead> =>
	entryReader(db)(releaseKey, line);

/** The same for many lines: each release is loaded once. */
export function entryReader(db: Reader): (releaseKey: string, line: string) => Promise<EntryRead> {
	const known = new Map<string, ReturnType<typeof loadEntryContext>>();
	return async (releaseKey, line) => {
		const loading = known.get(releaseKey) ?? loadEntryContext(db, releaseKey);
		known.set(releaseKey, loading);
		const loaded = await loading;
		if (!loaded)
			return bad([
				{ message: 'this release is not in the collection', remedy: 'Choose another one.' }
			]);
		const reading = readShorthand(line, loaded.context);
		return reading.problems.length > 0
			? bad(reading.problems)
			: good({ releaseId: loaded.releaseId, additions: reading.additions }, reading.notes);
	};
}

async function loadEntryContext(db: Reader, releaseKey: string) {
	const stored = await loadRelease(db, releaseKey);
	if (!stored) return null;
	const { id: releaseId, release } = stored;
	const context = await entryContext(db, release, {
		numberingKey: numberingsOf(release)[0]?.key ?? null,
		parallelKey: null,
		owned: new Map()
	});
	return { releaseId, context };
}

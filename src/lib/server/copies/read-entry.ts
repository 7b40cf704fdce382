import { numberingsOf } from '../../core/checklist/numbering.ts';
import { readShorthand, type EntryReading } from '../../core/shorthand/read-shorthand.ts';
import { bad, good, type Outcome } from '../../core/problem.ts';
import type { Reader } from '../database/open.ts';
import { loadRelease } from '../releases/load-release.ts';
import { entryContext } from './entry-context.ts';
import type { ReleaseId } from '../../core/row-id.ts';

/** Reads an entry line of a release without logging anything: which versions it names, and how many. */
export async function readEntry(
	db: Reader,
	releaseKey: string,
	line: string
): Promise<
	Outcome<{ readonly releaseId: ReleaseId; readonly additions: EntryReading['additions'] }>
> {
	const stored = await loadRelease(db, releaseKey);
	if (!stored)
		return bad([
			{ message: 'this release is not in the collection', remedy: 'Choose another one.' }
		]);
	const { id: releaseId, release } = stored;
	const context = await entryContext(db, release, {
		numberingKey: numberingsOf(release)[0]?.key ?? null,
		parallelKey: null,
		owned: new Map()
	});
	const reading = readShorthand(line, context);
	return reading.problems.length > 0
		? bad(reading.problems)
		: good({ releaseId, additions: reading.additions }, reading.notes);
}

import { inArray } from 'drizzle-orm';
import { checkRelease } from '../../core/checklist/draft/check-release.ts';
import { addToRelease } from '../../core/checklist/draft/add-to-release.ts';
import type { Release } from '../../core/checklist/release.ts';
import { freeKey } from '../../core/checklist/slug.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { HoldingRow } from '../../core/holdings/holding-row.ts';
import { matchHoldings } from '../../core/holdings/match-holdings.ts';
import { matchSet, sureOf } from '../../core/holdings/match-sets.ts';
import { releasesOfRows } from '../../core/holdings/releases-of-rows.ts';
import { good, type Outcome, type Problem } from '../../core/problem.ts';
import type { ReleaseId, UnmatchedId } from '../../core/row-id.ts';
import { fieldsAsRow, placeOf } from '../copies/copy-rows.ts';
import { insertRelease, writeRelease } from '../checklists/write-release.ts';
import type { Collection } from '../database/open.ts';
import { copies, releases, unmatchedRows } from '../database/tables/index.ts';
import { makeChange, refused } from '../journal/change.ts';
import { findRelease, loadRelease } from '../releases/load-release.ts';
import { holdingRowOf } from './kept-rows.ts';

/** What became of rows that waited. */
export interface MadeFromRows {
	readonly copies: number;
	readonly releases: number;
}

/**
 * Makes what waiting rows lack, and takes them in, in one step: a set that fits no release becomes one
 * with the cards that its rows name; a release that is surely meant gets the cards it lacks.
 */
export function makeFromRows(
	collection: Collection,
	ids: readonly UnmatchedId[] | 'all'
): Promise<Outcome<MadeFromRows>> {
	return makeChange(collection, async (record, tx) => {
		const kept = await tx
			.select()
			.from(unmatchedRows)
			.where(ids === 'all' ? undefined : inArray(unmatchedRows.id, [...ids]));
		if (kept.length === 0) return refused([{ message: 'these rows no longer wait' }]);
		// Lines of several lists may be the same: here a row goes by its id.
		const rows = kept.map((row): HoldingRow => ({ ...holdingRowOf(row), line: row.id }));
		const lineOf = new Map(kept.map(({ id, line }) => [id as number, line]));
		const parts = releasesOfRows(rows);
		if (!parts.ok) return refused(parts.problems.map((problem) => atLine(problem, lineOf)));
		const heads = await tx
			.select({
				key: releases.key,
				name: releases.name,
				maker: releases.maker,
				year: releases.year
			})
			.from(releases);
		const choices: Record<string, string> = {};
		const after = new Map<string, Release>();
		const idOf = new Map<string, ReleaseId>();
		const taken = new Set(heads.map(({ key }) => key));
		let made = 0;
		for (const { set, release: part } of parts.value) {
			const [year = '', maker = '', ...name] = set.split('|');
			const sure = sureOf(matchSet({ year, maker, set: name.join('|') }, heads));
			const stored = sure === null ? null : await loadRelease(tx, sure);
			const whole = stored
				? addToRelease(stored.release, part)
				: { ...part, key: freeKey(part.key, taken) };
			const problems = checkRelease(whole);
			if (problems.length > 0) return refused(problems);
			if (stored) await writeRelease(record, tx, stored.id, whole);
			else {
				await insertRelease(record, tx, whole);
				made++;
			}
			const id = await findRelease(tx, whole.key);
			if (id === null) throw new RangeError(`makeFromRows: ${whole.key} was not stored`);
			choices[set] = whole.key;
			after.set(whole.key, whole);
			idOf.set(whole.key, id);
		}
		const { matched, unmatched } = matchHoldings(rows, [...after.values()], choices);
		if (unmatched.length > 0) {
			return refused(
				unmatched.map(({ line, reason }) =>
					atLine({ line, message: reason, remedy: 'Settle this row by hand.' }, lineOf)
				)
			);
		}
		const loggedAt = collection.now();
		await record.insert(
			copies,
			matched.map(({ version, fields }) => {
				const release = idOf.get(parseVersionKey(version)?.release ?? '');
				if (release === undefined) throw new RangeError(`makeFromRows: no release of ${version}`);
				return {
					...placeOf(release, version),
					loggedAt,
					...fieldsAsRow(fields),
					quantity: fields.quantity
				};
			})
		);
		await record.remove(
			unmatchedRows,
			kept.map(({ id }) => id)
		);
		return {
			value: good({ copies: matched.length, releases: made }),
			label: `Make what ${kept.length} ${kept.length === 1 ? 'row' : 'rows'} lacked`
		};
	});
}

/** A problem of a row at the line that it had in its list. */
function atLine(problem: Problem, lineOf: ReadonlyMap<number, number>): Problem {
	const line = lineOf.get(problem.line ?? 0);
	if (line === undefined) return problem;
	const message = problem.message.replace(`line ${problem.line ?? ''} `, `line ${line} `);
	return { ...problem, line, message };
}

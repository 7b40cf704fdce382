import { eq } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Reader } from '../database/open.ts';
import { cards, parallels, releases, sections, variants } from '../database/tables/index.ts';
import { makeChange } from '../journal/change.ts';
import type { Recorder } from '../journal/record.ts';
import { releaseRows } from './release-rows.ts';

/** What stands in the way of adding a release to this collection; nothing when it may be added. */
export async function checkNewRelease(db: Reader, release: Release): Promise<readonly Problem[]> {
	const [there] = await db
		.select({ name: releases.name })
		.from(releases)
		.where(eq(releases.key, release.key));
	return there
		? [
				{
					field: 'release',
					message: `"${there.name}" is already in the collection under the key ${release.key}`,
					remedy: 'Give this one another name, year or key, or remove the other one first.'
				}
			]
		: [];
}

/** Adds a release whole, or not at all. */
export async function importRelease(
	collection: Collection,
	release: Release
): Promise<Outcome<{ readonly key: string }>> {
	return makeChange(collection, async (record, tx) => {
		const problems = await checkNewRelease(tx, release);
		if (problems.length > 0) return { value: bad(problems), label: '', touches: [] };
		const id = await insertRelease(record, release);
		return {
			value: good({ key: release.key }),
			label: `Import ${release.name}`,
			touches: [id]
		};
	});
}

async function insertRelease(record: Recorder, release: Release): Promise<number> {
	const rows = releaseRows(release);
	const [head] = await record.insert(releases, [rows.head]);
	if (!head) throw new RangeError(`insertRelease: ${release.key} was not stored`);
	const releaseId = head.id;
	const stored = await record.insert(
		sections,
		rows.sections.map((row) => ({ ...row, releaseId }))
	);
	const sectionIds = new Map(stored.map((row) => [row.key, row.id]));
	await record.insert(
		cards,
		rows.cards.map(({ sectionKey, ...row }) => {
			const sectionId = sectionIds.get(sectionKey);
			if (sectionId === undefined) throw new RangeError(`insertRelease: no section ${sectionKey}`);
			return { ...row, releaseId, sectionId };
		})
	);
	await record.insert(
		parallels,
		rows.parallels.map((row) => ({ ...row, releaseId }))
	);
	await record.insert(
		variants,
		rows.variants.map((row) => ({ ...row, releaseId }))
	);
	return releaseId;
}

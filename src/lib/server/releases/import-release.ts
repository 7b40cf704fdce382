import { eq } from 'drizzle-orm';
import type { Release } from '../../core/checklist/release.ts';
import { bad, good, type Outcome, type Problem } from '../../core/problem.ts';
import type { Collection, Reader } from '../database/open.ts';
import { cards, parallels, releases, sections, variants } from '../database/tables/index.ts';
import { makeChange } from '../journal/change.ts';
import type { Recorder } from '../journal/record.ts';

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
	const { key, name, maker, year, note = null, packTypes, rarities } = release;
	const [head] = await record.insert(releases, [
		{ key, name, maker, year, note, packTypes, rarities }
	]);
	if (!head) throw new RangeError(`insertRelease: ${key} was not stored`);
	const releaseId = head.id;
	const stored = await record.insert(
		sections,
		release.sections.map(({ cards: _, ...section }, position) => ({
			...section,
			releaseId,
			position
		}))
	);
	const sectionIds = new Map(stored.map((row) => [row.key, row.id]));
	await record.insert(
		cards,
		release.sections.flatMap((section) => {
			const sectionId = sectionIds.get(section.key);
			if (sectionId === undefined) throw new RangeError(`insertRelease: no section ${section.key}`);
			return section.cards.map((card, position) => ({ ...card, releaseId, sectionId, position }));
		})
	);
	await record.insert(
		parallels,
		release.parallels.map((parallel, position) => ({ ...parallel, releaseId, position }))
	);
	await record.insert(
		variants,
		release.variants.map(({ key, ...rule }, position) => ({ releaseId, key, position, rule }))
	);
	return releaseId;
}

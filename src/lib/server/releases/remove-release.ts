import { eq, inArray } from 'drizzle-orm';
import type { Collection } from '../database/open.ts';
import {
	binders,
	cards,
	copies,
	goals,
	parallels,
	releases,
	sections,
	variants
} from '../database/tables/index.ts';
import { makeChange } from '../journal/change.ts';

/** Removes a release with everything that hangs on it: copies, goals, binders. False where there is none. */
export function removeRelease(collection: Collection, key: string): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [release] = await tx.select().from(releases).where(eq(releases.key, key));
		if (!release) return { value: false, label: '', touches: [] };
		const ownGoals = await tx
			.select({ id: goals.id })
			.from(goals)
			.where(eq(goals.releaseId, release.id));
		const ownBinders = await tx
			.select({ id: binders.id })
			.from(binders)
			.where(
				inArray(
					binders.goalId,
					ownGoals.map(({ id }) => id)
				)
			);
		const ids = (rows: readonly { id: number }[]) => rows.map(({ id }) => id);
		await record.remove(binders, ids(ownBinders));
		await record.remove(goals, ids(ownGoals));
		for (const table of [copies, variants, cards, sections, parallels] as const) {
			const rows = await tx
				.select({ id: table.id })
				.from(table)
				.where(eq(table.releaseId, release.id));
			await record.remove(table, ids(rows));
		}
		await record.remove(releases, [release.id]);
		return {
			value: true,
			label: `Remove ${release.name} with all its copies`,
			touches: [release.id]
		};
	});
}

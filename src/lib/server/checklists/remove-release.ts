import { eq, inArray } from 'drizzle-orm';
import { removeGoalRows } from '../removal/remove-goal-rows.ts';
import { removeDividerRows } from '../removal/remove-divider-rows.ts';
import type { Collection } from '../database/open.ts';
import {
	bids,
	builds,
	cards,
	copies,
	declinedKnowledge,
	dividers,
	goals,
	openedPiles,
	openings,
	offerBundles,
	offers,
	orderLines,
	orders,
	parallels,
	populationReports,
	priceLumps,
	pricePoints,
	referencePictures,
	releases,
	sealedLots,
	sections,
	variants,
	wantMarks
} from '../database/tables/index.ts';
import { removeCopyRows } from '../removal/remove-copy-rows.ts';
import { releasesOf } from '../goals/goal-scope.ts';
import { makeChange } from '../journal/change.ts';
import type { GoalId } from '../../core/row-id.ts';

const HANGS_ON_A_RELEASE = [
	declinedKnowledge,
	referencePictures,
	priceLumps,
	pricePoints,
	builds,
	populationReports,
	sealedLots,
	openings,
	wantMarks,
	offers,
	offerBundles,
	orderLines,
	bids,
	variants,
	cards,
	sections,
	parallels
] as const;

/** Removes a release with everything that hangs on it: copies, goals, binders. False where there is none. */
export function removeRelease(collection: Collection, key: string): Promise<boolean> {
	return makeChange(collection, async (record, tx) => {
		const [release] = await tx.select().from(releases).where(eq(releases.key, key));
		if (!release) return { value: false, label: '' };
		// A goal across releases goes on in another one of them.
		const ownGoals: { readonly id: GoalId }[] = [];
		for (const goal of await tx.select().from(goals)) {
			const ids = await releasesOf(tx, goal);
			const others = ids.filter((id) => id !== release.id);
			if (goal.releaseId !== release.id) continue;
			const [next] = others;
			if (next === undefined) ownGoals.push(goal);
			else await record.update(goals, goal.id, { releaseId: next });
		}
		const ids = <Id extends number>(rows: readonly { id: Id }[]): Id[] => rows.map(({ id }) => id);
		await removeGoalRows(record, tx, ids(ownGoals));
		const ownCopies = await tx
			.select({ id: copies.id })
			.from(copies)
			.where(eq(copies.releaseId, release.id));
		await removeCopyRows(record, tx, ids(ownCopies));
		// Its dividers go with it; nothing stands behind them any more.
		const ownDividers = await tx
			.select({ id: dividers.id })
			.from(dividers)
			.where(eq(dividers.releaseId, release.id));
		await removeDividerRows(record, tx, ids(ownDividers));
		const ordered = await tx
			.selectDistinct({ id: orderLines.orderId })
			.from(orderLines)
			.where(eq(orderLines.releaseId, release.id));
		const opened = await tx
			.select({ id: openedPiles.id })
			.from(openedPiles)
			.innerJoin(openings, eq(openings.id, openedPiles.openingId))
			.where(eq(openings.releaseId, release.id));
		await record.remove(openedPiles, ids(opened));
		for (const table of HANGS_ON_A_RELEASE) {
			const rows = await tx
				.select({ id: table.id })
				.from(table)
				.where(eq(table.releaseId, release.id));
			await record.remove(table, ids<number>(rows));
		}
		// An order of nothing else goes with its lines.
		const left = await tx
			.selectDistinct({ id: orderLines.orderId })
			.from(orderLines)
			.where(inArray(orderLines.orderId, ids(ordered)));
		const stay = new Set(ids(left));
		await record.remove(
			orders,
			ids(ordered).filter((id) => !stay.has(id))
		);
		await record.remove(releases, [release.id]);
		return {
			value: true,
			label: `Remove ${release.name} with all its copies`
		};
	});
}

import { findVersion } from '../../core/checklist/versions/find-version.ts';
import { parseVersionKey } from '../../core/checklist/versions/version-key.ts';
import { checkCopy } from '../../core/copies/check-copy.ts';
import type { Condition } from '../../core/copies/condition.ts';
import { nameVersion } from '../../core/copies/name-version.ts';
import { good, type Outcome } from '../../core/problem.ts';
import type { StepId, TrayId } from '../../core/row-id.ts';
import { addCopies } from '../copies/add-copies.ts';
import { readCopies } from '../copies/read-copies.ts';
import { movePile } from '../copies/trays.ts';
import type { Collection } from '../database/open.ts';
import { makeStep, refused } from '../journal/change.ts';
import { loadRelease } from '../releases/load-release.ts';

/** A card that came off a pile, as it was judged. */
export interface PileCard {
	readonly version: string;
	readonly condition?: Condition | undefined;
	readonly serial?: string | undefined;
	/** The pile in the tray that it comes from. */
	readonly pile?: TrayId | undefined;
}

/** Logs a card that came off a pile, in a step of its own, which takes back just that. */
export async function logPileCard(
	collection: Collection,
	{ version, condition, serial, pile }: PileCard
): Promise<Outcome<{ readonly step: StepId | null }>> {
	const { value: outcome, step } = await makeStep<Outcome<null>>(collection, async (record, tx) => {
		const stored = await loadRelease(tx, parseVersionKey(version)?.release ?? '');
		const found = stored && findVersion(stored.release, version);
		if (!stored || !found) {
			return refused([
				{
					field: 'version',
					message: `"${version}" is no version of this collection`,
					remedy: 'Reload the page: the checklist may have changed.'
				}
			]);
		}
		const said = {
			...(condition === undefined ? {} : { condition }),
			...(serial === undefined ? {} : { serial })
		};
		const problems = checkCopy({ quantity: 1, ...said }, found.printRun);
		if (problems.length > 0) return refused(problems);
		const addition = { version, quantity: 1, ...said };
		await addCopies(record, stored, await readCopies(tx, stored.id), [addition], collection.now());
		if (pile !== undefined) await movePile(record, tx, pile, 1, collection.now());
		return {
			value: good(null),
			label: `${stored.release.name}: log ${nameVersion(stored.release, version)}`
		};
	});
	return outcome.ok ? good({ step }) : outcome;
}

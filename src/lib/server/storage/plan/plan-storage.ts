import { group } from 'd3-array';
import { asc } from 'drizzle-orm';
import { setImmediate } from 'node:timers/promises';
import type { BoxUse } from '../../../core/storage/kinds/box-use.ts';
import {
	USUAL_BOX_RULES,
	type BoxChoice,
	type BoxRules
} from '../../../core/storage/plan/choose-box.ts';
import { planBoxes, type PlannedBox } from '../../../core/storage/plan/plan-boxes.ts';
import type { BoxSchool } from '../../../core/storage/plan/school.ts';
import { isKeptApart, SHARED_KIND } from '../../../core/storage/kinds/use-of-copy.ts';
import { chunks } from '../../database/chunks.ts';
import type { Reader } from '../../database/open.ts';
import { releases } from '../../database/tables/index.ts';
import { addSets, readHoused, type AddedDivider } from './add-sets.ts';
import { valuableFrom } from '../../places/holder-tiers.ts';
import { homelessSets, type HomelessSet } from './homeless-sets.ts';
import { readBoxKinds } from '../room/read-storage.ts';

export interface StorageOptions {
	readonly school: BoxSchool;
	readonly rules: BoxRules;
	/** Share of a set's missing numbers for which room is kept. */
	readonly growth: number;
}
const USUAL_STORAGE: StorageOptions = {
	school: 'year',
	rules: USUAL_BOX_RULES,
	growth: 0.5
};

/** A new box for sets of one use. */
export interface StorageBox extends PlannedBox {
	readonly use: BoxUse;
}

/** Where all that has no place should go. */
export interface StoragePlan {
	readonly sets: readonly HomelessSet[];
	/** Keys and uses of sets that have a divider already: a put-away slip's work. */
	readonly toPutAway: readonly HomelessSet[];
	readonly added: readonly AddedDivider[];
	readonly boxes: readonly StorageBox[];
	readonly choices: readonly ({ readonly set: string; readonly use: BoxUse } & BoxChoice)[];
	readonly broken: readonly string[];
}

/** Releases read at a time; between chunks the server answers others. */
const RELEASES_A_CHUNK = 50;

/**
 * Plans places for every copy that has none: sets with a divider go there, new ones into rows with room
 * at their place, the rest into new boxes; what is kept apart by use has boxes of its own. Tells how far
 * it is after each chunk of releases.
 */
export async function* planStorage(
	db: Reader,
	options: StorageOptions = USUAL_STORAGE
): AsyncGenerator<{ readonly done: number; readonly total: number }, StoragePlan> {
	const heads = await db.select().from(releases).orderBy(asc(releases.id));
	const valuable = await valuableFrom(db);
	const sets: HomelessSet[] = [];
	let done = 0;
	for (const some of chunks(heads, RELEASES_A_CHUNK)) {
		sets.push(...(await homelessSets(db, some, valuable)));
		done += some.length;
		yield { done, total: heads.length };
		await setImmediate();
	}
	const housed = await readHoused(db);
	const isHoused = ({ use, id, year, cards }: HomelessSet) =>
		(housed.releases.get(use)?.has(id) ?? false) ||
		(cards <= options.rules.mostStrays && (housed.strays.get(use)?.has(year) ?? false));
	const fresh = sets.filter((set) => !isHoused(set));
	const kinds = await readBoxKinds(db);
	const added = await addSets(db, fresh, options, kinds);
	const isAdded = new Set(
		added.flatMap(({ use, sets: keys }) => keys.map((key) => `${use} ${key}`))
	);
	const rest = fresh.filter(({ key, use }) => !isAdded.has(`${use} ${key}`));
	const plans = [...group(rest, ({ use }) => use)].map(([use, own]) => {
		const isApart = isKeptApart(use);
		const plan = planBoxes(own, {
			school: options.school,
			kinds,
			sharedKind: SHARED_KIND[use as keyof typeof SHARED_KIND],
			// What is kept apart shares boxes, year by year, whatever it would fill.
			rules: isApart ? { leastFill: 2, leastHave: 2, mostStrays: 0 } : options.rules,
			growth: isApart ? 0 : options.growth
		});
		return { use, isApart, ...plan };
	});
	return {
		sets,
		toPutAway: sets.filter(isHoused),
		added,
		boxes: plans
			.flatMap(({ use, boxes }) => boxes.map((box) => ({ ...box, use })))
			.map((box, i) => ({ ...box, box: i + 1 })),
		choices: plans.flatMap(({ use, isApart, choices }) =>
			choices.map((choice) => ({
				...choice,
				use,
				...(isApart ? { rule: `kept apart: ${use}` } : {})
			}))
		),
		broken: plans.flatMap((plan) => [...plan.brokenOverBoxes, ...plan.brokenOverRows])
	};
}

/** Runs the plan to its end, for those who need no progress. */
export async function plannedStorage(db: Reader, options?: StorageOptions): Promise<StoragePlan> {
	const steps = planStorage(db, options);
	for (;;) {
		const step = await steps.next();
		if (step.done) return step.value;
	}
}

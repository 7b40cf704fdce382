import { sql } from 'drizzle-orm';
import { Type } from 'typebox';
import type { Collection, Reader } from '../database/open.ts';
import { makeChange } from '../journal/change.ts';
import { readPreference, writePreference, type Preference } from '../preferences/preferences.ts';

/** What a newcomer does first, in the order of the work. */
const TOUR_STEPS = ['learn', 'decide', 'log', 'house', 'buy'] as const;
export type TourStep = (typeof TOUR_STEPS)[number];

const TOUR = {
	key: 'tour',
	schema: Type.Object({ isOver: Type.Boolean() }, { additionalProperties: false }),
	usual: { isOver: false }
} satisfies Preference<ReturnType<typeof Type.Object>>;

/** Which of the first steps are done, as the collection shows; null: all are, or nobody wants to be led. */
export async function readTour(db: Reader): Promise<ReadonlySet<TourStep> | null> {
	if ((await readPreference(db, TOUR)).isOver) return null;
	const [found] = await db.all<Readonly<Record<TourStep, number>>>(sql`select
		exists(select 1 from releases) as learn,
		exists(select 1 from goals) as decide,
		exists(select 1 from copies where id > 0) as log,
		exists(select 1 from binders) or exists(select 1 from boxes) as house,
		exists(select 1 from goal_choices) or exists(select 1 from want_marks)
			or exists(select 1 from orders) as buy`);
	const done = new Set(TOUR_STEPS.filter((step) => found?.[step] === 1));
	return done.size === TOUR_STEPS.length ? null : done;
}

/** Nobody is led any more. */
export function endTour(collection: Collection): Promise<void> {
	return makeChange(collection, async (record, tx) => {
		await writePreference(record, tx, TOUR, { isOver: true });
		return { value: undefined, label: 'Put the first steps away' };
	});
}

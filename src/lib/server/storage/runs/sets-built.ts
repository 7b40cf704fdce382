import { inArray } from 'drizzle-orm';
import { resolveRules } from '../../../core/goal/goal-rules.ts';
import type { Reader } from '../../database/open.ts';
import { goals, releases } from '../../database/tables/index.ts';
import type { ReleaseId } from '../../../core/row-id.ts';

/** What goals ask of the sets of a release. */
export interface BuiltSets {
	/** How many sets are built: the most that a goal asks for, at least one. */
	readonly sets: number;
	/** Whether a goal asks for a finish: room is kept for what is missing of it then. */
	readonly isAsked: (parallelKey: string) => boolean;
}

const USUAL: BuiltSets = { sets: 1, isAsked: () => false };

/** The same for each release, by its id. */
export async function setsBuilt(db: Reader): Promise<(releaseId: ReleaseId) => BuiltSets> {
	const rows = (
		await db.select({ releaseId: goals.releaseId, rules: goals.rules }).from(goals)
	).map(({ releaseId, rules }) => ({ releaseId, rules: resolveRules(rules) }));
	const keys = [...new Set(rows.flatMap(({ rules }) => rules.releases))];
	const named = await db
		.select({ id: releases.id, key: releases.key })
		.from(releases)
		.where(inArray(releases.key, keys));
	const idOf = new Map(named.map(({ id, key }) => [key, id]));
	const asked = new Map<ReleaseId, BuiltSets>();
	for (const { releaseId, rules } of rows) {
		const { finishes, parallels } = rules;
		const asks = (key: string) =>
			finishes === 'all' || (finishes !== 'base' && parallels.includes(key));
		for (const id of [releaseId, ...rules.releases.map((key) => idOf.get(key) ?? releaseId)]) {
			const { sets, isAsked } = asked.get(id) ?? USUAL;
			asked.set(id, {
				sets: Math.max(sets, rules.sets),
				isAsked: (key) => isAsked(key) || asks(key)
			});
		}
	}
	return (id) => asked.get(id) ?? USUAL;
}

import { expand, type Version } from './expand.ts';
import type { Release } from '../release.ts';

/** What exists of one section in one finish. */
export interface ProductionRow {
	readonly sectionKey: string;
	readonly parallelKey: string | null;
	readonly cards: number;
	readonly versions: number;
	/** Copies in existence of the numbered versions together; null where none is numbered. */
	readonly copiesMade: number | null;
	/** How many of the versions are numbered. */
	readonly numbered: number;
	/** The most complete runs that can exist: the smallest print run; null where none is numbered. */
	readonly mostRuns: number | null;
	/** Version keys that set that limit. */
	readonly bottlenecks: readonly string[];
}

/**
 * Production arithmetic by section and finish, in the order of `expand`. Versions that are not
 * numbered set no limit: their number is not known, not infinite, so a limit is an upper bound.
 */
export function productionOf(release: Release): readonly ProductionRow[] {
	const groups = new Map<string, Version[]>();
	for (const version of expand(release)) {
		const place = `${version.sectionKey}~${version.parallelKey ?? ''}`;
		const group = groups.get(place);
		if (group) group.push(version);
		else groups.set(place, [version]);
	}
	return [...groups.values()].map((versions) => {
		const [first] = versions;
		if (!first) throw new RangeError('productionOf: an empty group');
		return {
			sectionKey: first.sectionKey,
			parallelKey: first.parallelKey,
			cards: new Set(versions.map(({ cardKey }) => cardKey)).size,
			versions: versions.length,
			...runsOf(versions)
		};
	});
}

/** The same for any choice of versions: those of a goal. */
export function runsOf(
	versions: readonly Version[]
): Pick<ProductionRow, 'copiesMade' | 'numbered' | 'mostRuns' | 'bottlenecks'> {
	const runs = versions.flatMap(({ printRun }) => (printRun === null ? [] : [printRun]));
	if (runs.length === 0) return { copiesMade: null, numbered: 0, mostRuns: null, bottlenecks: [] };
	const mostRuns = runs.reduce((least, run) => Math.min(least, run));
	return {
		copiesMade: runs.reduce((sum, run) => sum + run, 0),
		numbered: runs.length,
		mostRuns,
		bottlenecks: versions.filter(({ printRun }) => printRun === mostRuns).map(({ key }) => key)
	};
}

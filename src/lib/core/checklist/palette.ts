import { deepEqual } from 'fast-equals';
import type { Parallel } from './parallel.ts';
import type { Tell } from './tell.ts';

/** A finish that several releases share, entered once; each release has its own runs of it. */
export interface PaletteFinish {
	readonly key: string;
	readonly name: string;
	/** "green foil, matte edge" */
	readonly look?: string;
	readonly howToTell?: string;
	readonly tells?: readonly Tell[];
	/** Where alone it comes from: "Cordage Stores only". */
	readonly channel?: string;
	/** Thickness in points, where it is another than the section's. */
	readonly stockPt?: number;
	readonly shape?: string;
}

/** What a parallel takes from the palette. */
export const PALETTE_FIELDS = [
	'name',
	'look',
	'howToTell',
	'tells',
	'channel',
	'stockPt',
	'shape'
] as const satisfies readonly (keyof PaletteFinish & keyof Parallel)[];

/** A parallel that is this finish: what it does not say itself is said by the palette. */
export function takeFinish(parallel: Parallel, finish: PaletteFinish): Parallel {
	const { key: palette, ...said } = finish;
	return { ...said, ...parallel, palette };
}

/**
 * A parallel of a finish that was changed in the palette: fields in which it agreed with the palette follow,
 * what its release says otherwise stays.
 */
export function followPalette(
	parallel: Parallel,
	before: PaletteFinish,
	after: PaletteFinish
): Parallel {
	if (parallel.palette !== before.key) return parallel;
	const followed: Partial<
		Record<(typeof PALETTE_FIELDS)[number], string | number | readonly Tell[]>
	> &
		object = { ...parallel };
	for (const field of PALETTE_FIELDS) {
		if (!deepEqual(parallel[field], before[field])) continue;
		const value = after[field];
		if (value === undefined) Reflect.deleteProperty(followed, field);
		else followed[field] = value;
	}
	return { ...(followed as Parallel), palette: after.key };
}

/** A finish as a parallel tells it. */
export function finishOf(parallel: Parallel, key: string): PaletteFinish {
	const { name, look, howToTell, tells, channel, stockPt, shape } = parallel;
	return {
		key,
		name,
		...(look === undefined ? {} : { look }),
		...(howToTell === undefined ? {} : { howToTell }),
		...(tells === undefined ? {} : { tells }),
		...(channel === undefined ? {} : { channel }),
		...(stockPt === undefined ? {} : { stockPt }),
		...(shape === undefined ? {} : { shape })
	};
}

/** A parallel with the release it is of. */
export interface PlacedParallel {
	readonly release: string;
	readonly parallel: Parallel;
}

/**
 * Names of finishes that several releases have and that stand in no palette yet, with the releases; the ones
 * in most releases first.
 */
export function sharedFinishes(
	placed: readonly PlacedParallel[]
): readonly { readonly name: string; readonly releases: readonly string[] }[] {
	const found = new Map<string, { readonly name: string; readonly releases: Set<string> }>();
	for (const { release, parallel } of placed) {
		if (parallel.palette !== undefined) continue;
		const name = parallel.name.trim().toLowerCase();
		const known = found.get(name) ?? { name: parallel.name.trim(), releases: new Set<string>() };
		known.releases.add(release);
		found.set(name, known);
	}
	return [...found.values()]
		.filter(({ releases }) => releases.size > 1)
		.map(({ name, releases }) => ({ name, releases: [...releases] }))
		.sort((a, b) => b.releases.length - a.releases.length || (a.name < b.name ? -1 : 1));
}

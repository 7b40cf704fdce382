/**
 * A set as it stands on a shelf: one section, with the subsets that live in its numbering, in one finish,
 * with a number. ● Common practice, no source.
 */
export interface Run {
	/** Key of its release. */
	readonly release: string;
	/** Key of the section whose numbering it follows; null: all of the release that is not parted. */
	readonly section: string | null;
	/** Key of the finish; null: the base finish. */
	readonly parallel: string | null;
	/** From 1; `DOUBLES`: what no set needs. */
	readonly set: number;
}

/** The number of what is left when every set has its card. */
export const DOUBLES = 0;

/** All of a release together: what is kept apart from sets by its use is not parted further. */
export function wholeRun(release: string): Run {
	return { release, section: null, parallel: null, set: 1 };
}

/** One text for each run, to look it up by. */
export function runKey({ release, section, parallel, set }: Run): string {
	return JSON.stringify([release, section, parallel, set]);
}

/** The same for all its sets. */
export function runKeyOfAnySet({ release, section, parallel }: Omit<Run, 'set'>): string {
	return JSON.stringify([release, section, parallel]);
}

/** What of a release names its runs, and puts them in order. */
export interface RunNames {
	/** In checklist order: key and name. */
	readonly sections: readonly { readonly key: string; readonly name: string }[];
	readonly parallels: readonly { readonly key: string; readonly name: string }[];
}

/**
 * What a run is called beside its release: nothing for the first set of the first section in the base finish.
 *
 * @example "Fresnel, Brass, set 2", "doubles", ""
 */
export function nameRun({ section, parallel, set }: Run, names: RunNames): string {
	const nameIn = (list: RunNames['sections'], key: string) =>
		list.find((entry) => entry.key === key)?.name ?? key;
	return [
		section === null || section === names.sections[0]?.key ? '' : nameIn(names.sections, section),
		parallel === null ? '' : nameIn(names.parallels, parallel),
		set === DOUBLES ? 'doubles' : set === 1 ? '' : `set ${set}`
	]
		.filter(Boolean)
		.join(', ');
}

/**
 * Where a run stands among those of its release, as a text to compare: set by set, doubles last; in a set
 * the base finish before the parallels, and section by section in checklist order.
 */
export function runOrder({ section, parallel, set }: Run, names: RunNames): string {
	const at = (list: RunNames['sections'], key: string | null) =>
		key === null ? 0 : 1 + list.findIndex((entry) => entry.key === key);
	const places = [
		set === DOUBLES ? MOST_SETS : set,
		parallel === null ? 0 : 1 + at(names.parallels, parallel),
		at(names.sections, section)
	];
	return places.map((place) => String(place).padStart(5, '0')).join(' ');
}

const MOST_SETS = 99_999;

import { compareTitles } from '../../checklist/numbers/compare-card-numbers.ts';

export const BOX_SCHOOLS = ['year', 'maker', 'theme'] as const;
/** What boxes are ordered by first; the others follow. */
export type BoxSchool = (typeof BOX_SCHOOLS)[number];

/** What the order of a set hangs on. */
export interface SetMarks {
	readonly key: string;
	readonly name: string;
	readonly year: string;
	readonly maker: string;
	/** Sport, film, game …; left out: none. */
	readonly theme?: string;
	/** Which run of its release it is ("Fresnel, Brass, set 2"); left out: all of it, or the first. */
	readonly part?: string;
	/** Where that run stands among those of its release (`runOrder`). */
	readonly order?: string;
}

/** What a set is ordered by: the school's own mark first, then the others, then its name. */
export function marksOf(set: SetMarks, school: BoxSchool): readonly string[] {
	const { year, maker, theme = '', name, key, order = '' } = set;
	const first: Readonly<Record<BoxSchool, readonly string[]>> = {
		year: [year, maker, theme],
		maker: [maker, year, theme],
		theme: [theme, year, maker]
	};
	return [...first[school], name, order, key];
}

/** Which of two lists of marks stands first. */
export function compareMarks(a: readonly string[], b: readonly string[]): number {
	for (const [i, mark] of a.entries()) {
		const by = compareTitles(mark, b[i] ?? '');
		if (by !== 0) return by;
	}
	return 0;
}

export function inSchoolOrder<Set extends SetMarks>(
	sets: readonly Set[],
	school: BoxSchool
): Set[] {
	return sets
		.map((set) => ({ set, marks: marksOf(set, school) }))
		.sort((a, b) => compareMarks(a.marks, b.marks))
		.map(({ set }) => set);
}

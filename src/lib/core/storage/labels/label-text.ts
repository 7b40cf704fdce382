import { foldRuns } from '../../checklist/fold-runs.ts';
import { nameShelf, type Shelf } from '../shelves/shelf.ts';

/** What stands on a label: a title, and lines under it. */
export interface LabelText {
	readonly title: string;
	readonly lines: readonly string[];
	/** An address for a QR code. */
	readonly link?: string;
}

/** A set in a box, as its label tells. */
export interface LabelledSet {
	/** With its year. */
	readonly name: string;
	/** Numbers that are there, of all. */
	readonly have: number;
	/** Null: doubles, of which there is no whole. */
	readonly total: number | null;
	/** Numbers, or titles, that are nowhere. */
	readonly missing: readonly string[];
	/** Where those are that are kept elsewhere: place → numbers. */
	readonly elsewhere: readonly { readonly place: string; readonly numbers: readonly string[] }[];
}

/** Above so many sets a box's label names them without their missing numbers. */
const MOST_IN_FULL = 3;

/**
 * The label of a box's front: set and year, have of total, what is missing as runs, what is kept
 * elsewhere and where, and the date. ● Common practice, no source.
 */
export function boxLabel(
	box: {
		readonly name: string;
		/** Whether it holds whole sets; of what is kept apart it says nothing of completeness. */
		readonly isForSets: boolean;
		readonly link?: string;
	},
	sets: readonly LabelledSet[],
	/** ISO 8601 date */
	date: string
): LabelText {
	const count = ({ have, total }: LabelledSet) =>
		total === null ? `${have} ${have === 1 ? 'number' : 'numbers'}` : `${have} of ${total}`;
	const inFull = (set: LabelledSet): readonly string[] => [
		...(set.missing.length > 0 ? [`Missing: ${foldRuns(set.missing)}`] : []),
		...set.elsewhere.map(({ place, numbers }) => `${place}: ${foldRuns(numbers)}`)
	];
	const [only] = sets;
	const link = box.link === undefined ? {} : { link: box.link };
	if (!box.isForSets)
		return { title: box.name, lines: [...sets.map(({ name }) => name), date], ...link };
	if (only && sets.length === 1) {
		const name = box.name === only.name ? [] : [box.name];
		const lines = [[...name, count(only), date].join(' · '), ...inFull(only)];
		return { title: only.name, lines, ...link };
	}
	const named = sets.flatMap((set) => [
		`${set.name}, ${count(set)}`,
		...(sets.length <= MOST_IN_FULL ? inFull(set) : [])
	]);
	return { title: box.name, lines: [...named, date], ...link };
}

/** The tab of a divider: its set, and from which number to which. */
export function dividerTab(
	label: string,
	numbers: readonly string[],
	place: { readonly box: string; readonly row: number }
): LabelText {
	const [first] = numbers;
	const last = numbers.at(-1);
	const range = first === undefined ? [] : [first === last ? first : `${first}–${last ?? ''}`];
	return { title: label, lines: [...range, `${place.box}, row ${place.row}`] };
}

/** The tag of a shelf: what stands there, and what it bears. */
export function shelfTag(shelf: Shelf, boxes: readonly string[]): LabelText {
	const rating =
		shelf.ratingG === null
			? []
			: [`bears ${Math.round(shelf.ratingG / 100) / 10} kg, says its maker`];
	return {
		title: `${shelf.room}: ${nameShelf(shelf)}`,
		lines: [boxes.join(', '), ...rating].filter(Boolean)
	};
}

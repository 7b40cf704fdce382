import { group } from 'd3-array';
import { at } from '../../at.ts';
import { cardUm } from '../../measuring/stock.ts';
import { BOX_KINDS, boxKindOf, standsIn, type BoxKind } from '../kinds/box-kind.ts';
import {
	chooseBox,
	chooseSmallBox,
	completeUm,
	DIVIDER_UM,
	USUAL_BOX_RULES,
	type BoxChoice,
	type BoxedSet,
	type BoxRules
} from './choose-box.ts';
import { fillRows, type FilledRows, type RowPart, type RowRun } from './fill-rows.ts';
import { inSchoolOrder, type BoxSchool, type SetMarks } from './school.ts';

/** A release as it stands in boxes. */
export interface ShelvedSet extends BoxedSet, SetMarks {
	/** Kept apart from all others: the personal collection. */
	readonly isApart?: boolean;
	/** Name of the storage class or value tier whose boxes it stands in; left out: with the sets. */
	readonly keptIn?: string;
}

/** A part of a row: a set behind its divider, or the strays of a year. */
export interface RowEntry {
	readonly sets: readonly string[];
	readonly label: string;
	/** With its divider and its growth slack. */
	readonly um: number;
	/** Whether it goes on from the row before. */
	readonly isContinued: boolean;
	/** The year whose strays they are. */
	readonly straysOf?: string;
	/** Key of the small box of its own in which a tiny set stands there. */
	readonly smallBox?: string;
}

export interface PlannedBox {
	readonly box: number;
	readonly kind: string;
	readonly isApart: boolean;
	/** The storage class or value tier that it is for; left out: sets. */
	readonly keptIn?: string;
	readonly rows: readonly { readonly entries: readonly RowEntry[]; readonly usedUm: number }[];
	/** Share of its rows that cards, dividers and slack take. */
	readonly fill: number;
}

export interface BoxPlan {
	readonly boxes: readonly PlannedBox[];
	/** Why each set stands where it does. */
	readonly choices: readonly ({ readonly set: string } & BoxChoice)[];
	readonly brokenOverBoxes: readonly string[];
	readonly brokenOverRows: readonly string[];
}

/** How the cards of a storage class, or of a value tier, stand in boxes of their own. */
export interface BoxClass {
	readonly name: string;
	/** Key of the box they share. */
	readonly sharedKind?: string;
	/** Whether sets are kept together in it, as among all others; otherwise single cards share boxes year by year, whatever a set of them would fill. */
	readonly isBySet?: boolean;
}

export interface BoxPlanOptions {
	readonly school?: BoxSchool;
	readonly rules?: BoxRules;
	readonly kinds?: readonly BoxKind[];
	/** Key of the box that smaller sets share. */
	readonly sharedKind?: string;
	/** Whether tiny sets stand in small boxes of their own, side by side in a larger one. */
	readonly smallBoxes?: boolean;
	/** Share of a set's missing numbers for which room is kept in a shared row. */
	readonly growth?: number;
	/** In the order in which their boxes stand, behind those of sets; classes not named here come last, as they come. */
	readonly classes?: readonly BoxClass[];
}

/**
 * Plans boxes for sets: own boxes for those that fill one, shared long boxes for smaller runs in the
 * order of the school, strays behind the divider of their year. Sets apart, and each storage class and
 * value tier, have boxes of their own.
 *
 * @throws RangeError for an unknown box kind, for a shared one whose rows take no card, and where more
 * numbers of a set are there than cards
 */
export function planBoxes(sets: readonly ShelvedSet[], options: BoxPlanOptions = {}): BoxPlan {
	const {
		school = 'year',
		rules = USUAL_BOX_RULES,
		kinds = BOX_KINDS,
		sharedKind = '5000',
		growth = 0.5,
		smallBoxes = false,
		classes = []
	} = options;
	const ordered = inSchoolOrder(
		sets.filter(({ cards }) => cards > 0),
		school
	);
	const kindOf = new Map(kinds.map((kind) => [kind.key, kind]));
	const chosen = new Map<string, BoxChoice>();
	const brokenOverBoxes: string[] = [];
	const brokenOverRows: string[] = [];
	const boxes: Omit<PlannedBox, 'box'>[] = [];
	for (const part of partsOf(ordered, classes)) {
		const { sets: together, isApart, keptIn, isBySet } = part;
		const shared = boxKindOf(part.sharedKind ?? sharedKind, kinds);
		const marks = { isApart, ...(keptIn === undefined ? {} : { keptIn }) };
		for (const set of together) {
			const large = chooseBox(set, isBySet ? rules : SINGLE_CARDS, kinds);
			const isTiny = smallBoxes && isBySet && large.choice === 'shared';
			const choice = (isTiny && chooseSmallBox(set, rules, standing(kinds, shared))) || large;
			chosen.set(set.key, isBySet ? choice : { ...choice, rule: `kept apart: ${keptIn ?? ''}` });
			const kind = kindOf.get(choice.kind ?? '');
			if (kind && choice.choice === 'own box') boxes.push({ ...ownBox(set, kind), ...marks });
		}
		const small = rowsOfSmallBoxes(together, chosen, kindOf, shared);
		const entries = entriesOf(together, chosen, school, isBySet ? growth : 0);
		const runs = entries.map((entry, i): RowRun => ({ key: String(i), um: entry.um }));
		const filled =
			runs.length === 0 ? NOTHING : fillRows(runs, usableRowUm(shared, together), shared.rows);
		const name = (i: string) => at(entries, Number(i)).label;
		brokenOverBoxes.push(...filled.brokenOverBoxes.map(name));
		brokenOverRows.push(...filled.brokenOverRows.map(name));
		const large = rowsOf(filled.rows, entries);
		// What the last box of small ones has room for stands there too.
		const free = Math.ceil(small.length / shared.rows) * shared.rows - small.length;
		const groups = large.length <= free ? [[...small, ...large]] : [small, large];
		for (const rows of groups)
			boxes.push(...boxesOf(rows, shared).map((box) => ({ ...box, ...marks })));
	}
	return {
		boxes: boxes.map((box, i) => ({ box: i + 1, ...box })),
		choices: ordered.map(({ key }) => ({ set: key, ...(chosen.get(key) as BoxChoice) })),
		brokenOverBoxes,
		brokenOverRows
	};
}

/** Kinds of which small ones go into the rows of the shared box. */
const standing = (kinds: readonly BoxKind[], shared: BoxKind) =>
	kinds.filter((kind) => kind.isSmall && standsIn(kind, shared));

const NOTHING: FilledRows = { rows: [], boxes: 0, brokenOverBoxes: [], brokenOverRows: [] };

type PlannedRow = PlannedBox['rows'][number];

/** Rows as they are filled; what goes on from a row before says so. */
function rowsOf(
	filled: readonly (readonly RowPart[])[],
	entries: readonly Entry[]
): readonly PlannedRow[] {
	const seen = new Set<string>();
	return filled.map((parts) => ({
		usedUm: parts.reduce((sum, { um }) => sum + um, 0),
		entries: parts.map(({ key, um }) => {
			const isContinued = seen.has(key);
			seen.add(key);
			const { um: _, ...entry } = at(entries, Number(key));
			return { ...entry, um, isContinued };
		})
	}));
}

/** Boxes of a kind with so many rows each, the last ones empty where there are fewer. */
function boxesOf(
	all: readonly PlannedRow[],
	{ key, rows: rowsABox, rowMm }: BoxKind
): readonly Pick<PlannedBox, 'kind' | 'rows' | 'fill'>[] {
	const empty: PlannedRow = { entries: [], usedUm: 0 };
	return Array.from({ length: Math.ceil(all.length / rowsABox) }, (_, box) => {
		const rows = Array.from({ length: rowsABox }, (_row, i) => all[box * rowsABox + i] ?? empty);
		const used = rows.reduce((sum, { usedUm }) => sum + usedUm, 0);
		return { kind: key, rows, fill: used / (rowMm * 1000 * rowsABox) };
	});
}

/** Small boxes in their order, row by row: none is broken over a border. */
function rowsOfSmallBoxes(
	sets: readonly ShelvedSet[],
	chosen: ReadonlyMap<string, BoxChoice>,
	kindOf: ReadonlyMap<string, BoxKind>,
	{ rowMm }: BoxKind
): readonly PlannedRow[] {
	const rows: { entries: RowEntry[]; usedUm: number }[] = [];
	for (const set of sets) {
		const { choice, kind: key } = chosen.get(set.key) ?? { choice: null, kind: null };
		const kind = kindOf.get(key ?? '');
		if (choice !== 'small box' || !kind) continue;
		const um = kind.lengthMm * 1000;
		let row = rows.at(-1);
		if (!row || row.usedUm + um > rowMm * 1000) rows.push((row = { entries: [], usedUm: 0 }));
		const entry = { sets: [set.key], label: labelOf(set), um, isContinued: false };
		row.entries.push({ ...entry, smallBox: kind.key });
		row.usedUm += um;
	}
	return rows;
}

/** No set of single cards fills a box of its own, and none is a stray. */
const SINGLE_CARDS: BoxRules = { leastFill: 2, leastHave: 2, mostStrays: 0 };

interface BoxPart extends Omit<BoxClass, 'name'> {
	readonly sets: readonly ShelvedSet[];
	readonly isApart: boolean;
	readonly keptIn?: string;
	readonly isBySet: boolean;
}

/** What shares no box with the rest: sets, those apart, and each class. */
function partsOf(ordered: readonly ShelvedSet[], classes: readonly BoxClass[]): readonly BoxPart[] {
	const named = group(
		ordered.filter(({ keptIn }) => keptIn !== undefined),
		({ keptIn = '' }) => keptIn
	);
	const names = new Set([...classes.map(({ name }) => name), ...named.keys()]);
	const unnamed = ordered.filter(({ keptIn }) => keptIn === undefined);
	return [
		...[false, true].map((isApart) => ({
			isApart,
			isBySet: true,
			sets: unnamed.filter((set) => (set.isApart ?? false) === isApart)
		})),
		...[...names].map((keptIn): BoxPart => {
			const { name: _, ...how } = classes.find(({ name }) => name === keptIn) ?? { name: keptIn };
			return { isBySet: false, ...how, keptIn, isApart: true, sets: named.get(keptIn) ?? [] };
		})
	];
}

/**
 * How much of a shared row is filled, in micrometres: its length less what is kept free. Not above 0 where
 * a row takes not even one card beside its divider.
 */
export function usableRowUm({ rowMm }: BoxKind, sets: readonly ShelvedSet[]): number {
	return Math.floor(rowMm * 1000) - reserveUm(sets);
}

/**
 * What is kept free of each row: a set that goes on from the row before has a divider there too, and
 * whole cards do not end where a row does.
 */
function reserveUm(sets: readonly ShelvedSet[]): number {
	return Math.ceil(
		DIVIDER_UM + sets.reduce((most, { stockPt }) => Math.max(most, cardUm(stockPt)), 0)
	);
}

interface Entry {
	readonly sets: readonly string[];
	readonly label: string;
	readonly straysOf?: string;
	readonly um: number;
}

function ownBox(set: ShelvedSet, kind: BoxKind): Omit<PlannedBox, 'box' | 'isApart' | 'keptIn'> {
	const um = Math.round(completeUm(set));
	const entry = { sets: [set.key], label: labelOf(set), um, isContinued: false };
	return {
		kind: kind.key,
		rows: [{ entries: [entry], usedUm: um }],
		fill: um / (kind.rowMm * 1000)
	};
}

/** What stands in shared rows, in order: sets with a divider each, and the strays of a year behind one. */
function entriesOf(
	sets: readonly ShelvedSet[],
	chosen: ReadonlyMap<string, BoxChoice>,
	school: BoxSchool,
	growth: number
): readonly Entry[] {
	const entries: Entry[] = [];
	const strays = new Map<string, ShelvedSet[]>();
	const flush = () => {
		for (const [key, strayEntries] of strays) {
			const um = Math.round(
				strayEntries.reduce((sum, { cards, stockPt }) => sum + cards * cardUm(stockPt), DIVIDER_UM)
			);
			entries.push({
				sets: strayEntries.map((set) => set.key),
				label: strayLabel(key),
				straysOf: key,
				um
			});
		}
		strays.clear();
	};
	const placeOf = (set: ShelvedSet) =>
		school === 'year' ? set.year : school === 'maker' ? set.maker : (set.theme ?? '');
	let place: string | null = null;
	for (const set of sets) {
		const here = placeOf(set);
		if (place !== null && here !== place) flush();
		place = here;
		const choice = chosen.get(set.key)?.choice;
		if (choice === 'stray') {
			const last = strays.get(set.year);
			if (last) last.push(set);
			else strays.set(set.year, [set]);
		} else if (choice === 'shared') {
			const missing = Math.max(0, set.need - set.have);
			const room = set.cards + Math.ceil(growth * missing);
			entries.push({
				sets: [set.key],
				label: labelOf(set),
				um: Math.round(DIVIDER_UM + room * cardUm(set.stockPt))
			});
		}
	}
	flush();
	return entries;
}

/** How a set is named on its divider: with its year, and which run of its release it is. */
export function labelOf({ name, year, part }: Pick<SetMarks, 'name' | 'year' | 'part'>): string {
	const dated = name.includes(year) ? name : `${name} ${year}`;
	return part ? `${dated}, ${part}` : dated;
}

/** The divider behind which the lone cards of a year stand. */
export function strayLabel(year: string): string {
	return `${year}, strays`;
}

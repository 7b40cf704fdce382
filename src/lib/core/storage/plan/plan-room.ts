import { group } from 'd3-array';
import { boxKindOf, standsIn, type BoxKind } from '../kinds/box-kind.ts';
import { SETS, type BoxUse } from '../kinds/box-use.ts';
import type { Keeping } from '../classes/keeping.ts';
import type { HomelessHead } from '../runs/find-home.ts';
import type { Run } from '../runs/run.ts';
import { addToRows, type MarkedRun } from './add-to-rows.ts';
import {
	chooseBox,
	chooseSmallBox,
	completeUm,
	DIVIDER_UM,
	type BoxChoice,
	type BoxRules
} from './choose-box.ts';
import { labelOf, planBoxes, strayLabel, type PlannedBox, type ShelvedSet } from './plan-boxes.ts';
import { inSchoolOrder, marksOf, type BoxSchool, type SetMarks } from './school.ts';
import type { BoxId } from '../../row-id.ts';

export interface RoomRules {
	readonly school: BoxSchool;
	readonly rules: BoxRules;
	/** Share of a set's missing numbers for which room is kept. */
	readonly growth: number;
	/** Whether tiny sets stand in small boxes of their own, in a larger one. */
	readonly smallBoxes?: boolean;
}

/** Cards of a run that are kept in boxes of one use and have no place yet. */
export interface HomelessRun extends ShelvedSet {
	readonly run: Run;
	readonly use: BoxUse;
}

/** A row of a box that several sets share, with what stands in it. */
export interface RoomRow {
	readonly boxId: BoxId;
	/** From 1. */
	readonly row: number;
	readonly use: BoxUse;
	readonly rowUm: number;
	/** In order; `um` with the divider. */
	readonly standing: readonly {
		readonly um: number;
		/** Of a set; null: strays, or what a person put there. */
		readonly set: SetMarks | null;
		/** The year of strays, or the words on the divider. */
		readonly label: string;
	}[];
}

/** A row of a larger box in which small boxes stand, and how much of it is free. */
export interface SmallRow {
	readonly boxId: BoxId;
	/** From 1. */
	readonly row: number;
	readonly use: BoxUse;
	readonly freeUm: number;
}

/** A small box for a tiny set, in a row where others stand. */
export interface AddedSmallBox {
	readonly use: BoxUse;
	/** Key of the run. */
	readonly set: string;
	readonly label: string;
	readonly kind: string;
	readonly boxId: BoxId;
	readonly row: number;
}

/** What stands, as far as it matters to what has no place. */
export interface Room {
	/** In walking order. */
	readonly rows: readonly RoomRow[];
	/** Rows in which small boxes stand, in walking order. */
	readonly smallRows?: readonly SmallRow[];
	/** Whether a run has a divider it can go behind (`homeFinder`). */
	readonly isHoused: (head: HomelessHead) => boolean;
	readonly kinds: readonly BoxKind[];
	/** Which uses are kept apart, and in which kind of box. */
	readonly keeping: Pick<Keeping, 'isKeptApart' | 'sharedKind'>;
}

/** A divider for new sets in a row that stands: behind how many others. */
export interface AddedDivider {
	readonly use: BoxUse;
	/** Keys of the runs. */
	readonly sets: readonly string[];
	readonly label: string;
	/** The year whose strays they are. */
	readonly straysOf?: string;
	readonly boxId: BoxId;
	readonly row: number;
	readonly at: number;
}

/** A new box for sets of one use. */
export interface RoomBox extends PlannedBox {
	readonly use: BoxUse;
}

/** Where all that has no place should go. */
export interface RoomPlan {
	/** Runs that have a divider already: a put-away slip's work. */
	readonly toPutAway: readonly HomelessRun[];
	readonly added: readonly AddedDivider[];
	/** Small boxes for tiny sets beside those that stand. */
	readonly addedSmall: readonly AddedSmallBox[];
	readonly boxes: readonly RoomBox[];
	readonly choices: readonly ({ readonly set: string; readonly use: BoxUse } & BoxChoice)[];
	/** Labels of sets that are broken over rows or boxes. */
	readonly broken: readonly string[];
}

/**
 * Plans places for every run that has none: those with a divider go there; new ones into rows with room, at
 * their place; the rest into new boxes. What is kept apart by its use has boxes of its own. Nothing that
 * stands is moved.
 */
export function planRoom(
	room: Room,
	homeless: readonly HomelessRun[],
	options: RoomRules
): RoomPlan {
	const { school, rules, growth } = options;
	const isHoused = ({ run, use, year, cards }: HomelessRun) =>
		room.isHoused({ run, use, year, isFew: cards <= rules.mostStrays });
	const toPutAway = homeless.filter(isHoused);
	const housed = new Set(toPutAway);
	const fresh = homeless.filter((run) => !housed.has(run));
	const tiny = options.smallBoxes ? tinySets(room, fresh, options) : [];
	const inSmall = new Set(tiny.map(({ run }) => run.key));
	const addedSmall = besideOthers(room, tiny);
	const added = addedDividers(
		room,
		fresh.filter(({ key }) => !inSmall.has(key)),
		options
	);
	const isAdded = new Set([
		...added.flatMap(({ sets }) => sets),
		...addedSmall.map(({ set }) => set)
	]);
	const rest = fresh.filter(({ key }) => !isAdded.has(key));
	const classes = [...new Set(rest.map(({ use }) => use))]
		.filter((use) => use !== SETS)
		.map((use) => ({
			name: use,
			sharedKind: room.keeping.sharedKind(use),
			isBySet: !room.keeping.isKeptApart(use)
		}));
	const useOf = new Map(rest.map(({ key, use }) => [key, use]));
	const plan = planBoxes(
		rest.map((run) => (run.use === SETS ? run : { ...run, keptIn: run.use })),
		{
			...{ school, rules, growth, classes },
			smallBoxes: options.smallBoxes ?? false,
			kinds: room.kinds,
			sharedKind: room.keeping.sharedKind(SETS)
		}
	);
	return {
		toPutAway,
		added,
		addedSmall,
		boxes: plan.boxes.map((box) => ({ ...box, use: box.keptIn ?? SETS })),
		choices: plan.choices.map((choice) => ({ ...choice, use: useOf.get(choice.set) ?? SETS })),
		broken: [...plan.brokenOverBoxes, ...plan.brokenOverRows]
	};
}

/** Sets that stand in small boxes of their own, in order. */
function tinySets(room: Room, fresh: readonly HomelessRun[], { rules, school }: RoomRules) {
	return inSchoolOrder(
		fresh.filter(({ use }) => !room.keeping.isKeptApart(use)),
		school
	).flatMap((run) => {
		if (chooseBox(run, rules, room.kinds).choice !== 'shared') return [];
		const host = boxKindOf(room.keeping.sharedKind(run.use), room.kinds);
		const small = room.kinds.filter((kind) => kind.isSmall && standsIn(kind, host));
		const kind = chooseSmallBox(run, rules, small)?.kind;
		return kind ? [{ run, kind: boxKindOf(kind, room.kinds) }] : [];
	});
}

/** Small boxes that find room in a row where others stand: the first in walking order. */
function besideOthers(
	{ smallRows = [] }: Room,
	tiny: ReturnType<typeof tinySets>
): readonly AddedSmallBox[] {
	const free = smallRows.map((row) => ({ ...row }));
	return tiny.flatMap(({ run, kind }) => {
		const um = kind.lengthMm * 1000;
		const row = free.find(({ use, freeUm }) => use === run.use && freeUm >= um);
		if (!row) return [];
		row.freeUm -= um;
		const { boxId, row: at, use } = row;
		return [{ use, set: run.key, label: labelOf(run), kind: kind.key, boxId, row: at }];
	});
}

type NewRun = MarkedRun & {
	readonly sets: readonly string[];
	readonly label: string;
	readonly straysOf?: string;
};

/** New sets and strays that find room between those that stand in shared boxes of their use. */
function addedDividers(
	room: Room,
	fresh: readonly HomelessRun[],
	options: RoomRules
): readonly AddedDivider[] {
	const rowsOf = group(room.rows, ({ use }) => use);
	return [...group(fresh, ({ use }) => use)].flatMap(([use, runs]) => {
		const rows = (rowsOf.get(use) ?? []).map(({ boxId, row, rowUm, standing }, i) => ({
			boxId,
			row,
			key: String(i),
			rowUm,
			runs: standing.map(({ um, set, label }, at) => ({
				key: `${boxId} ${row} ${at}`,
				um,
				marks: set === null ? [label] : marksOf(set, options.school)
			}))
		}));
		if (rows.length === 0) return [];
		const news = new Map(
			(room.keeping.isKeptApart(use)
				? runs.map((run) => asNewRun(run, options, 0))
				: [...sharedRuns(runs, options, room.kinds), ...strayRuns(runs, options)]
			).map((run) => [run.key, run])
		);
		return addToRows(rows, [...news.values()]).placed.map(({ run, row: key, at }) => {
			const [found, row] = [news.get(run), rows[Number(key)]];
			if (!found || !row) throw new RangeError(`addedDividers: no run "${run}" in row "${key}"`);
			const { sets, label, straysOf } = found;
			const strays = straysOf === undefined ? {} : { straysOf };
			return { use, sets, label, ...strays, boxId: row.boxId, row: row.row, at };
		});
	});
}

function sharedRuns(
	runs: readonly HomelessRun[],
	options: RoomRules,
	kinds: readonly BoxKind[]
): readonly NewRun[] {
	return runs
		.filter((run) => chooseBox(run, options.rules, kinds).choice === 'shared')
		.map((run) => asNewRun(run, options, options.growth));
}

/** A set with its divider, and room for a share of what it misses. */
function asNewRun(set: HomelessRun, { school }: RoomRules, growth: number): NewRun {
	const kept = { ...set, need: set.have + growth * (set.need - set.have) };
	return {
		key: set.key,
		um: DIVIDER_UM + completeUm(kept),
		marks: marksOf(set, school),
		sets: [set.key],
		label: labelOf(set)
	};
}

function strayRuns(runs: readonly HomelessRun[], { rules }: RoomRules): readonly NewRun[] {
	const strays = runs.filter(({ cards }) => cards <= rules.mostStrays);
	return [...group(strays, ({ year }) => year)].map(([year, lone]) => ({
		key: `strays ${year}`,
		um: lone.reduce((sum, run) => sum + completeUm({ ...run, need: 0, have: 0 }), DIVIDER_UM),
		marks: [year],
		sets: lone.map(({ key }) => key),
		label: strayLabel(year),
		straysOf: year
	}));
}

import { conditionRank, type Condition } from '../../copies/condition.ts';
import type { GradeNeed } from '../../goal/slot.ts';

/** How much a want matters: 1 before 2 before 3. */
export const PRIORITIES = [1, 2, 3] as const;
export type Priority = (typeof PRIORITIES)[number];
/** How much a want of a priority counts where not all can be got. */
export const PRIORITY_WEIGHT: Readonly<Record<Priority, number>> = { 1: 4, 2: 2, 3: 1 };

/** A slot that lacks copies. */
export interface LackingSlot {
	/** Version keys that would fill it, the one that names it first. */
	readonly versions: readonly string[];
	/** How many are missing, at least 1. */
	readonly quantity: number;
	/** Keys of the goals that ask for it. */
	readonly goals: readonly string[];
	readonly leastCondition?: Condition;
	readonly needs?: readonly string[];
	readonly graded?: GradeNeed;
}

/** A goal that is to be finished. */
export interface ChosenGoal {
	readonly key: string;
	readonly priority: Priority;
	/** The most one would pay for a card of it, in minor units; null: no limit. */
	readonly mostMinor: number | null;
}

/** What is said of a card itself: it goes before what its goals say. */
export interface WantMark {
	readonly isFavourite: boolean;
	readonly priority?: Priority;
	readonly mostMinor?: number;
	readonly leastCondition?: Condition;
}

/** A card that is looked for, for however many sets. */
export interface Want {
	/** The version that names it, with what else is asked of it. */
	readonly key: string;
	readonly versions: readonly string[];
	readonly quantity: number;
	readonly goals: readonly string[];
	readonly priority: Priority;
	readonly isFavourite: boolean;
	/** The most one would pay for it, in minor units; null: no limit. */
	readonly mostMinor: number | null;
	readonly leastCondition?: Condition;
	readonly needs?: readonly string[];
	readonly graded?: GradeNeed;
}

/**
 * One wants list out of what chosen goals lack: the same card asked for in the same way is one want, as often as
 * it is missing. Favourites first, then by priority (the highest of its goals), then as the slots come. The
 * most one would pay is the highest of its goals', without limit where one of them has none; what is said of
 * the card itself (`marks`, by version) goes before.
 *
 * @throws RangeError for a slot of a goal that was not chosen
 */
export function wantsList(
	slots: readonly LackingSlot[],
	chosen: readonly ChosenGoal[],
	marks: ReadonlyMap<string, WantMark>
): readonly Want[] {
	const goalOf = new Map(chosen.map((goal) => [goal.key, goal]));
	const wants = new Map<string, Want>();
	for (const slot of slots) {
		const [version = ''] = slot.versions;
		const mark = marks.get(version);
		const goals = slot.goals.map((key) => {
			const goal = goalOf.get(key);
			if (!goal) throw new RangeError(`wantsList: goal "${key}" was not chosen`);
			return goal;
		});
		const least = mark?.leastCondition ?? slot.leastCondition;
		const key = keyOf(slot, least);
		const known = wants.get(key);
		const limits = [
			...goals.map(({ mostMinor }) => mostMinor),
			...(known ? [known.mostMinor] : [])
		];
		const highest = limits.some((limit) => limit === null) ? null : Math.max(...limits.map(Number));
		const most = limits.length === 0 ? null : highest;
		const priorities = [
			...goals.map(({ priority }) => priority),
			...(known ? [known.priority] : [])
		];
		const { needs, graded, versions } = slot;
		wants.set(key, {
			key,
			versions,
			quantity: slot.quantity + (known?.quantity ?? 0),
			goals: [...new Set([...(known?.goals ?? []), ...slot.goals])],
			priority: mark?.priority ?? (Math.min(...priorities, 3) as Priority),
			isFavourite: mark?.isFavourite ?? false,
			mostMinor: mark?.mostMinor ?? most,
			...(least ? { leastCondition: least } : {}),
			...(needs ? { needs } : {}),
			...(graded ? { graded } : {})
		});
	}
	return [...wants.values()].sort(
		(a, b) => Number(b.isFavourite) - Number(a.isFavourite) || a.priority - b.priority
	);
}

/** What wants are the same by: the versions, and what is asked of the copy. */
function keyOf(
	{ versions, needs = [], graded }: LackingSlot,
	least: Condition | undefined
): string {
	const grade = graded ? `${graded.least ?? ''}${(graded.houses ?? []).join('+')}` : '';
	const asked = [conditionRank(least) > 0 ? least : '', [...needs].sort().join('+'), grade];
	return [versions.join(' '), ...asked].filter(Boolean).join(' | ');
}

/**
 * Whether even the lowest price that is expected is above the most one would pay.
 *
 * @example [isTooDear({ lowMinor: 400 }, 300), isTooDear({ lowMinor: 300 }, 300), isTooDear(null, 300)] // [true, false, false]
 */
export const isTooDear = (
	price: { readonly lowMinor: number } | null,
	mostMinor: number | null
): boolean => price !== null && mostMinor !== null && price.lowMinor > mostMinor;

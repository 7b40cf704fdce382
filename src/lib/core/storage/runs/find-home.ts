import { group } from 'd3-array';
import type { BoxUse } from '../kinds/box-use.ts';
import { runKey, runKeyOfAnySet, type Run } from './run.ts';

/** What of a divider tells which cards belong behind it. */
export interface HomeDivider {
	readonly id: number;
	readonly use: BoxUse;
	/** Of a set; null: strays, or what a person put there. */
	readonly run: Run | null;
	/** The year whose strays stand there. */
	readonly straysOf: string | null;
}

/** A run that looks for its place. */
export interface HomelessHead {
	readonly run: Run;
	readonly use: BoxUse;
	readonly year: string;
	/** Whether it is so small that it may stand among strays. */
	readonly isFew: boolean;
}

/**
 * Finds the dividers behind which a run belongs: its own; else where such cards stand already, though it is
 * no divider of theirs (first sets only); else that of all its release; else, for a few cards, that of
 * their year's strays. None: it needs a new one.
 *
 * @param among runs (of any set) that stand behind dividers of others, by divider
 */
export function homeFinder<Divider extends HomeDivider>(
	dividers: readonly Divider[],
	among: ReadonlyMap<number, ReadonlySet<string>> = new Map()
): (head: HomelessHead) => readonly Divider[] {
	const isOfSet = dividers.filter(({ run }) => run !== null);
	const byUse = group(isOfSet, ({ use, run }) => `${use} ${run === null ? '' : runKey(run)}`);
	const whole = group(
		isOfSet.filter(({ run }) => run?.section === null),
		({ use, run }) => `${use} ${run?.release ?? ''}`
	);
	const strays = group(
		dividers.filter(({ straysOf }) => straysOf !== null),
		({ use, straysOf }) => `${use} ${straysOf ?? ''}`
	);
	const guests = new Map<string, Divider[]>();
	for (const divider of dividers) {
		for (const key of among.get(divider.id) ?? []) {
			const place = `${divider.use} ${key}`;
			guests.set(place, [...(guests.get(place) ?? []), divider]);
		}
	}
	return ({ run, use, year, isFew }) =>
		byUse.get(`${use} ${runKey(run)}`) ??
		(run.set === 1 ? guests.get(`${use} ${runKeyOfAnySet(run)}`) : undefined) ??
		whole.get(`${use} ${run.release}`) ??
		(isFew ? strays.get(`${use} ${year}`) : undefined) ??
		[];
}

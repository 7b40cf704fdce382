import type { Filling } from './fill-slots.ts';
import type { ScopedSlot } from './scope-goal.ts';

/** How far one section in one finish is. Counts are slots' places, not copies. */
export interface ProgressRow {
	readonly releaseKey: string;
	readonly sectionKey: string;
	readonly parallelKey: string | null;
	readonly have: number;
	readonly need: number;
}

/** Sums a filling by section and parallel, in the order in which the slots come. */
export function progressOf(slots: readonly ScopedSlot[], filling: Filling): readonly ProgressRow[] {
	const short = new Map(filling.missing.map(({ slot, quantity }) => [slot, quantity]));
	const rows = new Map<
		string,
		{
			releaseKey: string;
			sectionKey: string;
			parallelKey: string | null;
			have: number;
			need: number;
		}
	>();
	for (const { key, quantity, release, version } of slots) {
		const { sectionKey, parallelKey } = version;
		const place = `${release}/${sectionKey}~${parallelKey ?? ''}`;
		const row = rows.get(place) ?? {
			releaseKey: release,
			sectionKey,
			parallelKey,
			have: 0,
			need: 0
		};
		row.need += quantity;
		row.have += quantity - (short.get(key) ?? 0);
		rows.set(place, row);
	}
	return [...rows.values()];
}

/** The whole of several rows. */
export function totalProgress(rows: readonly { readonly have: number; readonly need: number }[]): {
	have: number;
	need: number;
} {
	return rows.reduce((sum, row) => ({ have: sum.have + row.have, need: sum.need + row.need }), {
		have: 0,
		need: 0
	});
}

/** Share had in whole per cent, rounded down: 100 only when nothing is missing; 0 of 0 is 100. */
export function percentDone({ have, need }: { have: number; need: number }): number {
	return need === 0 ? 100 : Math.floor((100 * have) / need);
}

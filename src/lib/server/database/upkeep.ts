import type { Transaction } from './open.ts';
import type { Recorder } from './record.ts';
import type { RowChange } from './tables/journalled.ts';

/** What has to hold after every change, whichever it was: it follows from the rows that changed. */
export interface Upkeep {
	/** Changes further rows that cannot stay as they are; they belong to the same step. */
	readonly complete: (
		tx: Transaction,
		record: Recorder,
		changes: readonly RowChange[]
	) => Promise<void>;
	/** Works out anew what is derived from rows: it is not journalled. */
	readonly refresh: (
		tx: Transaction,
		changes: readonly RowChange[],
		/** ISO 8601 */
		now: string
	) => Promise<void>;
}

import type { Copy } from './copy.ts';

/** What is to become of a copy. `incoming` is bought and not here yet; `to sell` fills no slot. */
export const COPY_STATUSES = ['kept', 'spare', 'to sell', 'incoming'] as const;
export type CopyStatus = (typeof COPY_STATUSES)[number];

/** Everything that is known of a copy. Money is of one card, in minor units of its currency (ISO 4217). */
export interface CopyRecord extends Copy {
	/** What the house found besides its number: "off centre". */
	readonly qualifier?: string;
	readonly certificate?: string;
	/** As printed: "14/65" */
	readonly serial?: string;
	readonly status: CopyStatus;
	readonly costMinor?: number;
	readonly valueMinor?: number;
	readonly currency?: string;
	readonly valueSource?: string;
	/** ISO 8601 dates */
	readonly valueOn?: string;
	readonly acquiredOn?: string;
	readonly source?: string;
	/** Where it is kept, in words. */
	readonly place?: string;
	/** Further deviations that it shows, by the keys of their variants. */
	readonly alsoVariants?: readonly string[];
	/** Nobody has looked yet which printing it is. */
	readonly isPrintingUnseen?: boolean;
	/** Key of the holder it is kept in. */
	readonly holder?: string;
	readonly note?: string;
}

/** Whether a copy may fill a slot now. */
export function isAtHand({ status }: Pick<CopyRecord, 'status'>): boolean {
	return status === 'kept' || status === 'spare';
}

/** Whether a copy fills a slot now or will when it arrives: what is on its way is not bought twice. */
export function isBought({ status }: Pick<CopyRecord, 'status'>): boolean {
	return status === 'incoming' || isAtHand({ status });
}

/** Whether nothing tells a copy from others of its version and condition: then they make one pile. */
export function isPlain(copy: CopyRecord): boolean {
	return (
		copy.status === 'kept' &&
		copy.holder === undefined &&
		copy.grade === undefined &&
		!copy.isAuthentic &&
		!copy.isPrintingUnseen &&
		!(copy.alsoVariants ?? []).length &&
		!(copy.attributes ?? []).length &&
		[copy.serial, copy.certificate, copy.place, copy.note, copy.source, copy.acquiredOn].every(
			(text) => text === undefined
		) &&
		copy.costMinor === undefined &&
		copy.valueMinor === undefined
	);
}

import type { CopyRecord, CopyStatus } from '../copies/copy-record.ts';

/** The word by which a list says that nobody has looked yet which printing a copy is. */
export const PRINTING_UNSEEN = 'printing not looked at';

/** A copy as a person's own list has it: names, not keys. Empty texts are not known. */
export interface HoldingRow {
	/** Where in the file it stands, from 1. */
	readonly line: number;
	readonly year: string;
	readonly maker: string;
	/** The release, as the list calls it; it may name a section as well. */
	readonly set: string;
	readonly section: string;
	readonly number: string;
	readonly subject: string;
	readonly parallel: string;
	/** "rookie; autograph; /65": what the list says of it in words. */
	readonly attributes: readonly string[];
	readonly fields: HoldingFields;
}

/** What of a copy the list says, beside which card it is. */
export type HoldingFields = Omit<
	CopyRecord,
	'key' | 'version' | 'alsoVersions' | 'heldIn' | 'attributes' | 'isAuthentic' | 'status'
> & { readonly status?: CopyStatus };

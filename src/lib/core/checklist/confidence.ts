/** How sure a fact of a checklist is, surest first. */
export const CONFIDENCES = ['certain', 'likely', 'doubtful', 'not seen yet'] as const;
export type Confidence = (typeof CONFIDENCES)[number];

/** How sure something is, and where it comes from. */
export interface Evidence {
	readonly confidence?: Confidence;
	readonly source?: string;
	/** How many copies were looked at for it, and how many of them had it. */
	readonly lookedAt?: number;
	readonly found?: number;
}

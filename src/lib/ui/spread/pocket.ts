/** What a pocket holds or waits for. */
export interface PocketCard {
	readonly slot: string;
	/** The card's key with its release's, for its picture. */
	readonly seed: string;
	readonly number: string | null;
	readonly title: string;
	readonly group: string;
	/** Section and finish it belongs to. */
	readonly place: string;
	readonly finish: string | null;
	readonly printRun: number | null;
	readonly filled: boolean;
}

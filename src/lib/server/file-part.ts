/** A part of a file that is made piece by piece, and where the next one begins; null: it was the last. */
export interface FilePart {
	readonly text: string;
	readonly next: number | null;
}

/** A photo as it goes into a file: JPEG, with its size in pixels. */
export interface PrintedPhoto {
	readonly jpeg: Uint8Array;
	readonly widthPx: number;
	readonly heightPx: number;
	readonly caption: string;
	/** The row of the table that it belongs to, from 0, without the header. */
	readonly row: number;
}

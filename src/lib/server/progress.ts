/** How far some work is. */
export interface Progress {
	readonly done: number;
	readonly total: number;
}

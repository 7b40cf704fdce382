/** A copy as it is found and put on a list. */
export interface PickableCopy {
	readonly id: number;
	readonly name: string;
	/** Name of its release. */
	readonly release: string;
	readonly quantity: number;
}

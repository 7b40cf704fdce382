/** Slices of a list for statements that take a bounded number of values. */
export function chunks<Item>(items: readonly Item[], size: number): readonly Item[][] {
	return Array.from({ length: Math.ceil(items.length / size) }, (_, i) =>
		items.slice(i * size, (i + 1) * size)
	);
}

/** Finds line and column of offsets in a text, both from 1. */
export function linesOf(text: string): {
	readonly count: number;
	readonly at: (offset: number) => { readonly line: number; readonly column: number };
} {
	const starts = [0];
	for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) starts.push(at + 1);
	return {
		count: starts.length,
		at(offset) {
			let low = 0;
			let high = starts.length - 1;
			while (low < high) {
				const middle = (low + high + 1) >> 1;
				if ((starts[middle] ?? 0) <= offset) low = middle;
				else high = middle - 1;
			}
			return { line: low + 1, column: offset - (starts[low] ?? 0) + 1 };
		}
	};
}

/**
 * A cell that holds a list: entries joined by "; ", with "\;" for a semicolon inside an entry and
 * "\\" for a backslash. `parseListCell(formatListCell(x))` gives x back for trimmed, non-empty entries.
 */
export function parseListCell(cell: string): readonly string[] {
	const entries: string[] = [];
	let entry = '';
	for (let at = 0; at < cell.length; at++) {
		const char = cell[at] ?? '';
		if (char === ';') {
			entries.push(entry);
			entry = '';
		} else {
			const escaped = char === '\\' && /[;\\]/.test(cell[at + 1] ?? '');
			entry += escaped ? (cell[++at] ?? '') : char;
		}
	}
	return [...entries, entry].map((text) => text.trim()).filter(Boolean);
}

/**
 * Writes such a cell.
 *
 * @example formatListCell(['Fog; again', 'Oil']) // 'Fog\\; again; Oil'
 */
export function formatListCell(entries: readonly string[]): string {
	return entries.map((entry) => entry.replace(/[\\;]/g, '\\$&')).join('; ');
}

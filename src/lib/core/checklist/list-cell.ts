/**
 * A cell that holds a list: entries joined by "; ", with "\;" for a semicolon inside an entry and
 * "\\" for a backslash. `parseListCell(formatListCell(x))` gives x back for trimmed, non-empty entries.
 */
export function parseListCell(cell: string): readonly string[] {
	const entries: string[] = [''];
	for (let at = 0; at < cell.length; at++) {
		const char = cell[at] ?? '';
		if (char === ';') entries.push('');
		else {
			const escaped = char === '\\' && /[;\\]/.test(cell[at + 1] ?? '');
			entries[entries.length - 1] += escaped ? (cell[++at] ?? '') : char;
		}
	}
	return entries.map((entry) => entry.trim()).filter(Boolean);
}

export function formatListCell(entries: readonly string[]): string {
	return entries.map((entry) => entry.replace(/[\\;]/g, '\\$&')).join('; ');
}

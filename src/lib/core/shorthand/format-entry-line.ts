import type { EntryItemBody, EntryLine } from './entry-line.ts';

/**
 * Writes an entry line: what `parseEntryLine` reads back as the same items.
 * Ranges get a plain hyphen where they were written with one, an en dash otherwise.
 */
export function formatEntryLine(line: {
	readonly form: EntryLine['form'];
	readonly items: readonly EntryItemBody[];
}): string {
	const list = line.items
		.map((item, i) => (i === 0 || item.kind === 'break' ? '' : ' ') + formatItem(item))
		.join('');
	if (line.form === 'list') return list;
	const words = line.form === 'all' ? 'all' : 'all but';
	return list === '' ? words : `${words} ${list}`;
}

function formatItem(item: EntryItemBody): string {
	const quantity = item.quantity === 1 ? '' : ` x${item.quantity}`;
	switch (item.kind) {
		case 'number':
			return item.number + quantity;
		case 'range':
			return `${item.from}${item.hyphen ? '-' : '–'}${item.to}${quantity}`;
		case 'title':
			return `"${item.title.replaceAll('"', '""')}"${quantity}`;
		case 'all-of':
			return `${item.prefix}*${quantity}`;
		case 'serial':
			return item.serial;
		case 'place':
			return `@"${item.place.replaceAll('"', '""')}"`;
		case 'times':
			return `x${item.quantity}`;
		case 'break':
			return ',';
		case 'word':
		case 'unknown':
			return item.text;
	}
}

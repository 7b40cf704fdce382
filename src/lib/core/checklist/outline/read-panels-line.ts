import type { Reader } from './line-reader.ts';
import { isNumberOfSeries } from './is-card-number.ts';
import type { OutlineLine, PanelJoin } from './outline.ts';
import { partsOf } from './read-runs.ts';

const EXAMPLE =
	'Write: panels Panels of Base: odd with odd, even with even; or 2 in a row; or 1-1 with 1-9';

/** Which cards of a section hang together as panels. */
export function readPanels(
	name: string,
	tail: string,
	reader: Reader
): (OutlineLine & { readonly kind: 'panels' }) | null {
	const [, title, of] = /^(.+?)\s+of\s+(.+)$/.exec(name) ?? [];
	const parts = partsOf(tail);
	if (!title || !of || parts.length === 0) {
		return reader.wrong(name || 'panels', 'panels need a name, a section and a rule', EXAMPLE);
	}
	const joins: PanelJoin[] = [];
	for (const part of parts) {
		const join = readJoin(part);
		if (!join) return reader.wrong(part, 'this says not which cards hang together', EXAMPLE);
		joins.push(join);
	}
	return { kind: 'panels', name: title, of, joins };
}

function readJoin(part: string): PanelJoin | null {
	if (/^odd with odd$/i.test(part)) return { kind: 'odd' };
	if (/^even with even$/i.test(part)) return { kind: 'even' };
	const [, count] = /^([2-9]) in a row$/i.exec(part) ?? [];
	if (count) return { kind: 'in a row', count: Number(count) };
	const cards = part.split(/\s+with\s+/i);
	return cards.length > 1 && cards.every(isNumberOfSeries) ? { kind: 'cards', cards } : null;
}

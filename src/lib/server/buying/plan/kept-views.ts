import { count, max } from 'drizzle-orm';
import type { Reader } from '../../database/open.ts';
import { journal } from '../../database/tables/index.ts';

/** Views that are kept: whoever comes back to a page sees what was worked out, if nothing has changed since. */
const MOST = 12;
const kept = new Map<string, string>();

/** What a collection is at: it changes with every step that is made, taken back or made again. */
async function stateOf(db: Reader): Promise<string> {
	const rows = await db
		.select({ state: journal.state, last: max(journal.id), steps: count() })
		.from(journal)
		.groupBy(journal.state);
	return rows
		.map(({ state, last, steps }) => `${state} ${last ?? 0} ${steps}`)
		.sort((a, b) => a.localeCompare(b))
		.join(', ');
}

/** A view as JSON: what was worked out before, where nothing has changed since; else it is worked out, and kept. */
export async function keptView(
	db: Reader,
	name: string,
	make: () => Promise<string>
): Promise<string> {
	const key = `${name} | ${await stateOf(db)}`;
	const known = kept.get(key);
	if (known !== undefined) return known;
	const view = await make();
	kept.set(key, view);
	// The oldest goes first.
	for (const old of kept.keys()) {
		if (kept.size <= MOST) break;
		kept.delete(old);
	}
	return view;
}

import { sql } from 'drizzle-orm';
import type { Collection } from '../src/lib/server/database/open.ts';

/** Fills a collection: so many releases of so many cards, two piles of each card: three cards. */
export async function fillCollection(
	{ db }: Collection,
	releases: number,
	cards: number
): Promise<void> {
	const numbers = JSON.stringify(Array.from({ length: cards }, (_, i) => i + 1));
	for (let r = 1; r <= releases; r++) {
		await db.run(
			sql`insert into releases (id, key, name, maker, year, pack_types, rarities) values (${r}, ${`r-${r}`}, ${`Harbour Series ${r}`}, 'M', ${String(1950 + (r % 70))}, '[]', '[]')`
		);
		await db.run(
			sql`insert into sections (id, release_id, key, position, name, kind, series, odds) values (${r}, ${r}, 'base', 0, 'Base', 'base', '[]', '[]')`
		);
		await db.run(
			sql`insert into cards (release_id, section_id, key, position, number, title, subjects, marks) select ${r}, ${r}, 'base-' || value, value, value, 'Keeper ' || (value * 7 % 997), '[]', '[]' from json_each(${numbers})`
		);
		await db.run(
			sql`insert into copies (release_id, card_key, quantity, condition, place, logged_at) select ${r}, 'base-' || value, 1, 'good', case when value % 50 = 0 then 'Long box ' || ${r} end, 't' from json_each(${numbers})`
		);
		await db.run(
			sql`insert into copies (release_id, card_key, quantity, condition, logged_at) select ${r}, 'base-' || value, 2, 'mint', 't' from json_each(${numbers})`
		);
	}
}

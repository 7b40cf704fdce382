import { sql } from 'drizzle-orm';
import { FILED_CARD, WITH_FILED_CARD } from './filed-card.ts';

/** Joins to `"copies"` all that a copy is called by: its card, release (`r`), finish (`p`) and variant (`v`). */
export const WITH_NAMES = sql`join releases r on r.id = "copies"."release_id" ${WITH_FILED_CARD}
	left join parallels p
		on p.release_id = "copies"."release_id" and p.key = "copies"."parallel_key"
	left join variants v
		on v.release_id = "copies"."release_id" and v.key = "copies"."variant_key"`;

/** What is read there. */
export const NAMED_COPY = {
	number: FILED_CARD.number,
	title: FILED_CARD.title,
	parallel: sql<string | null>`p.name`,
	variant: sql<string | null>`v.rule ->> 'name'`,
	release: sql<string>`r.name`
};

export interface NamedCopy {
	readonly number: string | null;
	readonly title: string;
	readonly parallel: string | null;
	readonly variant: string | null;
	readonly release: string;
}

/** "27 Quiet Harbour Light, Brass" */
export function nameOfCopy({
	number,
	title,
	parallel,
	variant
}: Omit<NamedCopy, 'release'>): string {
	const card = [number, title].filter(Boolean).join(' ');
	return [card, parallel, variant].filter(Boolean).join(', ');
}

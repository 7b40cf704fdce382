import { count, desc, eq, sql } from 'drizzle-orm';
import type { PileCount } from '../../core/pile/count-piles.ts';
import type { PileCardId, TrayId } from '../../core/row-id.ts';
import type { Reader } from '../database/open.ts';
import { copies, pileCards } from '../database/tables/index.ts';

/** Cards of a pile that lie where they were put and wait to be handed over. */
export interface LyingCards {
	/** By the pile they were put on. */
	readonly piles: readonly PileCount[];
	/** The last of them, newest first, as they were judged. */
	readonly last: readonly (Pick<
		typeof pileCards.$inferSelect,
		'id' | 'copyId' | 'version' | 'line' | 'next' | 'verdict'
	> & { readonly condition: (typeof copies.$inferSelect)['condition'] })[];
}

/** Of these one sees each. */
const MOST_SHOWN = 30;

/** What lies of a pile; null: it is no pile yet, so nothing. */
export async function readLying(db: Reader, pile: TrayId | null): Promise<LyingCards> {
	if (pile === null) return { piles: [], last: [] };
	const next = (name: string) => sql<string>`${pileCards.next} ->> ${name}`;
	const piles = await db
		.select({
			kind: next('kind'),
			name: next('name'),
			goal: sql<string | null>`max(${next('goal')})`,
			count: count()
		})
		.from(pileCards)
		.where(eq(pileCards.pileId, pile))
		.groupBy(next('kind'), next('name'))
		.orderBy(sql`min(${pileCards.id})`);
	const last = await db
		.select({
			id: pileCards.id,
			copyId: pileCards.copyId,
			version: pileCards.version,
			line: pileCards.line,
			next: pileCards.next,
			verdict: pileCards.verdict,
			condition: copies.condition
		})
		.from(pileCards)
		.innerJoin(copies, eq(pileCards.copyId, copies.id))
		.where(eq(pileCards.pileId, pile))
		.orderBy(desc(pileCards.id))
		.limit(MOST_SHOWN);
	const named = piles.map(({ goal, ...on }) => ({ ...on, ...(goal === null ? {} : { goal }) }));
	return { piles: named as LyingCards['piles'], last };
}

/** Cards that lie on one pile of a tray, by the kind and name of the pile. */
export async function cardsOnPile(
	db: Reader,
	pile: TrayId,
	{ kind, name }: Pick<PileCount, 'kind' | 'name'>
): Promise<
	readonly { readonly id: PileCardId; readonly copyId: (typeof pileCards.$inferSelect)['copyId'] }[]
> {
	return db
		.select({ id: pileCards.id, copyId: pileCards.copyId })
		.from(pileCards)
		.where(
			sql`${pileCards.pileId} = ${pile} and ${pileCards.next} ->> 'kind' = ${kind}
				and ${pileCards.next} ->> 'name' = ${name}`
		)
		.orderBy(pileCards.id);
}

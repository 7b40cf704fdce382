import { group } from 'd3-array';
import type { CopyStatus } from '../../copies/copy-record.ts';

/** A copy as far as it matters for whether it is sold. */
export interface OwnedCopy {
	readonly version: string;
	/** Base and subsets in the base finish are base; inserts, extras and parallels are not. */
	readonly isBase: boolean;
	readonly status: CopyStatus;
	readonly quantity: number;
	/** So many of them fill a place of some goal. */
	readonly needed: number;
	/** How good it is: of two copies the higher is kept. */
	readonly rank: number;
}

export interface GoingRules {
	/** ● Inserts and parallels out that fill no place of a goal, base kept. */
	readonly sellsInserts: boolean;
	/** Base cards go beyond what goals need, and beyond the first of each. */
	readonly sellsDoubles: boolean;
}

/**
 * How many cards of each copy may go: all that are marked to be sold; spare ones as far as no goal needs them; of those that are
 * kept what fills no place of a goal, where the rules let it go. Of a base card that no goal asks for the best copy is kept: base is
 * kept, whether somebody wrote a goal down or not.
 *
 * @param copies all copies of the cards in question
 */
export function whatMayGo<Copy extends OwnedCopy>(
	copies: readonly Copy[],
	rules: GoingRules
): readonly { readonly copy: Copy; readonly quantity: number }[] {
	const firsts = new Set(
		[...group(copies, ({ version }) => version).values()].flatMap((same) => {
			const kept = same.filter(({ status, isBase }) => isBase && status === 'kept');
			if (same.some(({ needed }) => needed > 0) || kept.length === 0) return [];
			return [kept.reduce((best, each) => (each.rank > best.rank ? each : best))];
		})
	);
	return copies.flatMap((copy) => {
		const quantity = countForSale(copy, firsts.has(copy) ? 1 : copy.needed, rules);
		return quantity > 0 ? [{ copy, quantity }] : [];
	});
}

function countForSale(
	{ status, isBase, quantity }: OwnedCopy,
	needed: number,
	{ sellsInserts, sellsDoubles }: GoingRules
): number {
	const free = Math.max(0, quantity - needed);
	switch (status) {
		case 'to sell':
			return quantity;
		case 'spare':
			return free;
		case 'kept':
			return (isBase ? sellsDoubles : sellsInserts) ? free : 0;
		case 'incoming':
			return 0;
	}
}

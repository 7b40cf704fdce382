import type { BoxKind } from '../kinds/box-kind.ts';
import { longestRowUm } from './dividers-um.ts';

/** Whether a row of a box holds more than its length and what cards give, or there are cards in a row that it has not. */
export function isTooFull({
	rows,
	kind
}: {
	readonly rows: readonly { readonly row: number; readonly usedUm: number }[];
	readonly kind: Pick<BoxKind, 'rows' | 'rowMm'>;
}): boolean {
	return rows.some(
		({ row, usedUm }) => usedUm > longestRowUm(kind) || (row > kind.rows && usedUm > 0)
	);
}

import type { Swatch } from '../checklist/swatch.ts';
import type { CardFormat } from '../checklist/card-format.ts';
import { SWATCH_STOCK_PT } from '../measuring/card-size.ts';

/** What decides how large and thick a version is. */
export interface VersionStock {
	/** Of its section; left out: a standard card. */
	readonly format?: CardFormat | undefined;
	/** Stock of its parallel, in pt, where that has its own. */
	readonly parallelPt?: number | undefined;
	/** Whether this level of the card holds a swatch. */
	readonly swatch: Swatch | null;
}

/**
 * The format of a version: its section's, in the stock of its parallel where that has its own; a card with a
 * swatch is thick where no stock is stated.
 *
 * @example a swatch level without stock: 100 pt
 */
export function formatOfVersion({
	format,
	parallelPt,
	swatch
}: VersionStock): CardFormat | undefined {
	const stockPt =
		parallelPt ?? format?.stockPt ?? (swatch === 'with' ? SWATCH_STOCK_PT : undefined);
	return stockPt === undefined ? format : { ...format, stockPt };
}

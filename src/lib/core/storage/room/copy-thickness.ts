import { formatOfCard } from '../../checklist/card-format.ts';
import type { Release } from '../../checklist/release.ts';
import { cardFinder, type FoundVersion } from '../../checklist/versions/find-version.ts';
import { STANDARD_STOCK_PT, UM_A_PT } from '../../measuring/stock.ts';
import { stackHeightUm } from './stack-height.ts';
import { formatOfVersion } from '../../copies/version-format.ts';

/** Where the stock of a copy is known from; `assumed`: standard stock, as nothing says otherwise. */
export const STOCK_SOURCES = [
	'measured',
	'parallel',
	'card',
	'section',
	'swatch',
	'assumed'
] as const;
export type StockSource = (typeof STOCK_SOURCES)[number];

/** Equal copies whose thickness is asked for. */
export interface MeasuredCopy {
	readonly version: string;
	/** Left out: a single one. */
	readonly quantity?: number;
	/** Key of what each is kept in; left out: nothing. */
	readonly holder?: string;
	/** Stock as somebody measured it, in points: it counts before what the checklist says. */
	readonly stockPt?: number;
}

export interface CopyThickness {
	readonly version: string;
	readonly quantity: number;
	readonly stockPt: number;
	readonly source: StockSource;
	/** One card by itself, and in what it is kept in. */
	readonly cardMm: number;
	readonly keptMm: number;
	/** All of them in a row. */
	readonly rowMm: number;
}

/**
 * Tells how thick copies of a release are, in millimetres: stock as measured, else that of the parallel, of the card, of its
 * section, of a card with a swatch, else standard stock; with what each is kept in. A version that the
 * rules do not make is null.
 *
 * @throws RangeError for an unknown holder
 */
export function thicknessFinder(release: Release): (copy: MeasuredCopy) => CopyThickness | null {
	const find = cardFinder(release);
	return (copy) => {
		const found = find(copy.version);
		return found && thicknessOf(release, found, copy);
	};
}

function thicknessOf(release: Release, found: FoundVersion, copy: MeasuredCopy): CopyThickness {
	const { version: key, quantity = 1, holder } = copy;
	const { version, section, card } = found;
	const parallelPt = release.parallels.find(
		({ key: parallel }) => parallel === version.parallelKey
	)?.stockPt;
	const format = formatOfVersion({
		format: formatOfCard(section, card),
		parallelPt,
		swatch: version.swatch
	});
	const stockPt = copy.stockPt ?? format?.stockPt ?? STANDARD_STOCK_PT;
	const part = { count: 1, stockPt, ...(holder ? { holder } : {}) };
	const keptUm = stackHeightUm([part]);
	return {
		version: key,
		quantity,
		stockPt,
		source:
			copy.stockPt !== undefined
				? 'measured'
				: parallelPt !== undefined
					? 'parallel'
					: card.format?.stockPt !== undefined
						? 'card'
						: section.format?.stockPt !== undefined
							? 'section'
							: format?.stockPt !== undefined
								? 'swatch'
								: 'assumed',
		cardMm: (stockPt * UM_A_PT) / 1000,
		keptMm: keptUm / 1000,
		rowMm: (keptUm * quantity) / 1000
	};
}

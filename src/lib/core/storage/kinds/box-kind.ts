/** A box of rows in which cards stand. */
export interface BoxKind {
	readonly key: string;
	readonly name: string;
	/** Outer size in millimetres: along the rows, across them, upright. */
	readonly lengthMm: number;
	readonly widthMm: number;
	readonly heightMm: number;
	readonly rows: number;
	/** Inner length of a row. */
	readonly rowMm: number;
	/** How many cards the maker says it holds, and of which stock (in points). */
	readonly nominalCount: number;
	readonly countStockPt: number;
	/** Its own weight. */
	readonly tareG: number;
	/** Made for cards in rigid holders: no set gets one of its own. */
	readonly isForHolders?: boolean;
	/** Made for a tiny set: it stands in a row of a larger box. */
	readonly isSmall?: boolean;
}

/**
 * The kinds that come with the program; own ones are added. Counts are the trade's (common practice, no
 * source), and taken for 18 pt; lengths follow from them. Outer sizes and weights are assumptions of ours.
 */
export const BOX_KINDS: readonly BoxKind[] = [
	kind('500', 'Box of 500', 500, 1, 85),
	kind('550', 'Box of 550', 550, 1, 90),
	kind('660', 'Box of 660', 660, 1, 105),
	kind('800', 'Box of 800', 800, 1, 120),
	kind('5000', 'Long box of 5,000', 5000, 5, 620),
	small('small-50', 'Small box of 50', 50, 7),
	small('small-100', 'Small box of 100', 100, 10),
	// Counted with holders: a standard card in a top loader is 57 pt thick, in a magnetic case 372 pt.
	{
		...kind('loaders-150', 'Box of 150 top loaders', 150, 1, 160, 58),
		heightMm: 118,
		widthMm: 92,
		isForHolders: true
	},
	{
		...kind('case-30', 'Case of 30 rigid holders', 30, 1, 900, 373),
		heightMm: 140,
		widthMm: 110,
		isForHolders: true
	}
];

function kind(
	key: string,
	name: string,
	count: number,
	rows: number,
	tareG: number,
	countStockPt = 18
): BoxKind {
	const rowMm = (count / rows) * countStockPt * 0.0254;
	return {
		key,
		name,
		lengthMm: Math.round(rowMm + 8),
		widthMm: rows * 72 + 8,
		heightMm: 98,
		rows,
		rowMm: Math.round(rowMm * 1000) / 1000,
		nominalCount: count,
		countStockPt,
		tareG
	};
}

/** A box for a tiny set, with thin walls: it goes between the walls of a row, and under the lid. */
function small(key: string, name: string, count: number, tareG: number): BoxKind {
	const like = kind(key, name, count, 1, tareG);
	return {
		...like,
		...{ lengthMm: Math.ceil(like.rowMm + 2), widthMm: 70, heightMm: 94 },
		isSmall: true
	};
}

/** Walls between the rows of a box, and what its lid and floor take, in millimetres. An assumption of ours. */
const WALL_MM = 1;
const LID_MM = 2;

/** Whether a box goes into a row of another one, with its length along the row. */
export function standsIn(inner: BoxKind, host: BoxKind): boolean {
	return (
		inner.rows === 1 &&
		inner.widthMm <= host.widthMm / host.rows - WALL_MM &&
		inner.heightMm <= host.heightMm - LID_MM &&
		inner.lengthMm < host.rowMm
	);
}

/** A small box is no longer than this. An assumption of ours. */
export const LONGEST_SMALL_MM = 60;

/**
 * A box of one's own as it is kept: one that is short, and goes into a row of a long box, is a small one.
 *
 * @example [ownBoxKind({ ...BOX_KINDS[0], lengthMm: 30, widthMm: 70, heightMm: 94 }).isSmall, ownBoxKind({ ...BOX_KINDS[0] }).isSmall] // [true, undefined]
 */
export function ownBoxKind<Kind extends Omit<BoxKind, 'key'>>(kind: Kind): Kind {
	const long = boxKindOf('5000');
	const isSmall = kind.lengthMm <= LONGEST_SMALL_MM && standsIn({ ...kind, key: '' }, long);
	return isSmall ? { ...kind, isSmall } : kind;
}

/**
 * A box kind by its key, among one's own ones first.
 *
 * @throws RangeError for an unknown key
 */
export function boxKindOf(key: string, added: readonly BoxKind[] = []): BoxKind {
	const found = [...added, ...BOX_KINDS].find((known) => known.key === key);
	if (!found) throw new RangeError(`boxKindOf: no box kind "${key}"`);
	return found;
}

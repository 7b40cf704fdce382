import type { BinderLayout } from './binder-layout.ts';
import type { BinderSlot, PuzzlePlace } from './binder-slot.ts';
import type { BinderBlock } from './order-blocks.ts';
import { sleevedUm } from '../measuring/sleeved.ts';

export type CellUse = 'title' | 'reserved' | 'free';

/** What lies in a pocket, or is to. */
export interface Cell {
	/** null: no slot's own pocket */
	readonly slot: string | null;
	/** What a pocket is for that no slot owns. */
	readonly use?: CellUse;
	/** Name of the block it belongs to. */
	readonly block: string;
	/** How thick its card is, sleeved, in micrometres. */
	readonly um: number;
}

/**
 * A piece of a block: cells in a `flow`; a `row` that begins at the first column; a `page` of its own;
 * or a `picture` that keeps its grid, with `extras` that lie beside it where there is room.
 */
export type Piece =
	| { readonly form: 'flow' | 'row' | 'page'; readonly cells: readonly (Cell | null)[] }
	| {
			readonly form: 'picture';
			readonly columns: number;
			readonly rows: number;
			/** Row by row; null where the picture has no card. */
			readonly cells: readonly (Cell | null)[];
			readonly extras: readonly Cell[];
	  };

export function cellOf(slot: BinderSlot, block: string): Cell {
	return { slot: slot.key, block, um: sleevedUm(slot.format?.stockPt) };
}

/** Takes a block apart into the pieces that are laid: title, pictures, rows or a flow, what is reserved. */
export function arrangeBlock(
	block: BinderBlock,
	layout: BinderLayout,
	rankOf: (slot: BinderSlot) => number
): readonly Piece[] {
	const { name } = block;
	const extra = (use: CellUse, count: number): Piece[] =>
		count > 0
			? [
					{
						form: 'flow',
						cells: Array(count).fill({ slot: null, use, block: name, um: sleevedUm(0) })
					}
				]
			: [];
	const pictures = picturesOf(block);
	const isLaid = (slot: BinderSlot) =>
		layout.missing === 'keep' || slot.isFilled !== false || pictures.has(slot.puzzle?.key ?? '');
	const laid = block.slots.filter(isLaid);
	const missing = block.slots.length - laid.length;
	const begun = new Set<string>();
	const pieces: Piece[] = [];
	let loose: BinderSlot[] = [];
	const flush = () => {
		if (loose.length > 0) pieces.push(...arrangeLoose(loose, name, layout, rankOf));
		loose = [];
	};
	for (const slot of laid) {
		const picture = pictures.get(slot.puzzle?.key ?? '');
		if (!picture) loose.push(slot);
		else if (!begun.has(picture.key)) {
			flush();
			begun.add(picture.key);
			pieces.push(pictureOf(picture, picture.slots, name));
		}
	}
	flush();
	return [
		...extra('title', layout.titlePocket ? 1 : 0),
		...pieces,
		...extra('reserved', layout.missing === 'some' ? Math.min(layout.reserve, missing) : 0),
		...extra('free', layout.slack)
	];
}

function arrangeLoose(
	slots: readonly BinderSlot[],
	block: string,
	layout: BinderLayout,
	rankOf: (slot: BinderSlot) => number
): readonly Piece[] {
	const flow: readonly Piece[] = [
		{ form: 'flow', cells: slots.map((slot) => cellOf(slot, block)) }
	];
	if (layout.parallels === 'blocks') return flow;
	const rows = new Map<string, BinderSlot[]>();
	for (const slot of slots) {
		const subject = slot.subject ?? slot.title;
		const row = rows.get(subject);
		if (row) row.push(slot);
		else rows.set(subject, [slot]);
	}
	// Where no subject has a second version, rows would only leave pockets free.
	if (rows.size === slots.length) return flow;
	return [...rows.values()].map((row) => ({
		form: 'row',
		cells: row.sort((a, b) => rankOf(a) - rankOf(b)).map((slot) => cellOf(slot, block))
	}));
}

type Picture = PuzzlePlace & { readonly slots: readonly BinderSlot[] };

/** The pictures of a block with all their cards. */
function picturesOf(block: BinderBlock): ReadonlyMap<string, Picture> {
	const found = new Map<string, PuzzlePlace & { readonly slots: BinderSlot[] }>();
	for (const slot of block.slots) {
		if (!slot.puzzle) continue;
		const known = found.get(slot.puzzle.key);
		if (known) known.slots.push(slot);
		else found.set(slot.puzzle.key, { ...slot.puzzle, slots: [slot] });
	}
	return found;
}

function pictureOf(
	{ columns, rows }: PuzzlePlace,
	slots: readonly BinderSlot[],
	block: string
): Piece {
	const cells = Array<Cell | null>(columns * rows).fill(null);
	const extras: Cell[] = [];
	// Where no place is told, the picture is laid in the order of its cards.
	const isStated = slots.some(({ puzzle }) => puzzle?.place !== undefined);
	for (const [i, slot] of slots.entries()) {
		const at = isStated ? (slot.puzzle?.place ?? 0) - 1 : i;
		if (cells[at] === null) cells[at] = cellOf(slot, block);
		else extras.push(cellOf(slot, block));
	}
	return { form: 'picture', columns, rows, cells, extras };
}

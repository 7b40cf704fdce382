import type { Cell, Piece } from './arrange-block.ts';
import type { BlockStart } from './binder-layout.ts';
import { pocketsOf, type PageKind } from './page-kind.ts';

/** A block, or a part of one, on pages of one kind. */
export interface Part {
	readonly kind: PageKind;
	readonly start: BlockStart;
	readonly pieces: readonly Piece[];
}

/** Where a face may lie: on any page, or on a new leaf or volume. */
export type FaceStart = 'page' | 'leaf' | 'volume';

/** One face of a leaf, before it is known where it lies. */
export interface Face {
	readonly kind: PageKind;
	readonly start: FaceStart;
	/** Lies on a left page, to face the next. */
	readonly isLeft: boolean;
	/** Belongs right of the face before: nothing comes between. */
	readonly isJoined: boolean;
	/** As many as there are pockets. */
	readonly cells: readonly (Cell | null)[];
	/** Parts that begin on it, with the pocket at which each does. */
	readonly opens: readonly { readonly part: number; readonly cell: number }[];
	/** How thick its thickest card is, in micrometres. */
	readonly um: number;
}

export interface LaidFaces {
	readonly faces: readonly Face[];
	/** Names of blocks whose picture is larger than two facing pages, so that it lies in order. */
	readonly tooLarge: readonly string[];
}

type OpenFace = Omit<Face, 'cells' | 'opens' | 'um'> & {
	cells: (Cell | null)[];
	opens: { part: number; cell: number }[];
};

const STARTS: Readonly<Record<BlockStart, FaceStart>> = {
	'new-page': 'page',
	'new-leaf': 'leaf',
	'new-volume': 'volume',
	'runs-on': 'page'
};

/** Lays parts on faces, one after the other. `hasSpreads`: whether two facing pages both show cards. */
export function layFaces(parts: readonly Part[], hasSpreads: boolean): LaidFaces {
	const faces: OpenFace[] = [];
	const tooLarge: string[] = [];
	let open: OpenFace | null = null;
	const begin = (
		kind: PageKind,
		start: FaceStart = 'page',
		place: 'any' | 'left' | 'right' = 'any'
	): OpenFace => {
		const [isLeft, isJoined] = [place === 'left', place === 'right'];
		open = { kind, start, isLeft, isJoined, cells: [], opens: [] };
		faces.push(open);
		return open;
	};

	parts.forEach(({ kind, start, pieces }, part) => {
		const size = pocketsOf(kind);
		const runsOn = start === 'runs-on' && open?.kind.key === kind.key && open.cells.length < size;
		let face = runsOn && open ? open : begin(kind, STARTS[start]);
		face.opens.push({ part, cell: face.cells.length });
		const room = (): OpenFace => (face.cells.length < size ? face : (face = begin(kind)));
		const flow = (cells: readonly (Cell | null)[]) => {
			for (const cell of cells) room().cells.push(cell);
		};

		for (const piece of pieces) {
			switch (piece.form) {
				case 'flow':
					flow(piece.cells);
					break;
				case 'row': {
					const rows = Math.ceil(piece.cells.length / kind.columns);
					const begun = Math.ceil(face.cells.length / kind.columns);
					pad(face.cells, begun * kind.columns);
					if (rows <= kind.rows && begun + rows > kind.rows) pad(face.cells, size);
					flow(piece.cells);
					break;
				}
				case 'page':
					if (face.cells.length > 0) face = begin(kind);
					flow(piece.cells);
					pad(face.cells, size);
					break;
				case 'picture':
					layPicture(piece);
			}
		}

		function layPicture(piece: Extract<Piece, { form: 'picture' }>) {
			const isWide = piece.columns > kind.columns;
			const fits =
				piece.rows <= kind.rows && (!isWide || (hasSpreads && piece.columns <= 2 * kind.columns));
			if (!fits) {
				tooLarge.push(piece.cells.find((cell) => cell !== null)?.block ?? '');
				flow([...piece.cells.filter((cell) => cell !== null), ...piece.extras]);
				return;
			}
			// What the block has laid alone on this face (its title) goes beside the picture.
			const isOwn =
				face.opens.length === 1 && face.opens[0]?.cell === 0 && face.opens[0].part === part;
			const before = isOwn && face.cells.every((cell) => cell?.use === 'title') ? face.cells : null;
			const rest: (Cell | null)[] = [...(before ?? []), ...piece.extras];
			if (before) {
				faces.pop();
				open = null;
			} else pad(face.cells, size);
			const opens = before ? face.opens : [];
			const first = before ? face.start : 'page';
			const left = isWide ? Math.ceil(piece.columns / 2) : piece.columns;
			face = begin(kind, first, isWide ? 'left' : 'any');
			face.opens.push(...opens);
			face.cells = gridOf(piece, 0, left, kind, isWide);
			fillFree(face.cells, rest);
			if (isWide) {
				face = begin(kind, 'page', 'right');
				face.cells = gridOf(piece, left, piece.columns, kind, false);
				fillFree(face.cells, rest);
			}
			for (const half of faces.slice(isWide ? -2 : -1)) {
				half.cells = half.cells.map((cell) => (cell === FREE ? null : cell));
			}
			flow(rest);
		}
	});
	return {
		faces: faces
			.filter(({ cells }) => cells.length > 0)
			.map((face) => {
				pad(face.cells, pocketsOf(face.kind));
				return { ...face, um: face.cells.reduce((most, cell) => Math.max(most, cell?.um ?? 0), 0) };
			}),
		tooLarge
	};
}

/** A pocket beside a picture; a hole in the picture itself stays null. */
const FREE: Cell = { slot: null, block: '', um: 0 };

/** The columns from–to of a picture on one page: against the gutter on a left one, else at the left. */
function gridOf(
	piece: Extract<Piece, { form: 'picture' }>,
	from: number,
	to: number,
	kind: PageKind,
	atGutter: boolean
): (Cell | null)[] {
	const cells = Array<Cell | null>(pocketsOf(kind)).fill(FREE);
	const shift = atGutter ? kind.columns - (to - from) : 0;
	for (let row = 0; row < piece.rows; row++) {
		for (let column = from; column < to; column++) {
			cells[row * kind.columns + shift + column - from] =
				piece.cells[row * piece.columns + column] ?? null;
		}
	}
	return cells;
}

/** Puts cells into the pockets beside a picture, and takes them off the list. */
function fillFree(cells: (Cell | null)[], rest: (Cell | null)[]): void {
	cells.forEach((cell, i) => {
		if (cell === FREE && rest.length > 0) cells[i] = rest.shift() ?? null;
	});
}

function pad(cells: (Cell | null)[], to: number): void {
	while (cells.length < to) cells.push(null);
}

import type { Cell } from './arrange-block.ts';
import type { BinderPage, PageUse, PocketMark } from './binder-page.ts';
import type { Face } from './lay-faces.ts';
import { newVolume, putFace } from './leafing.ts';
import { pocketsOf, type PageKind } from './page-kind.ts';
import type { Cut } from './split-volumes.ts';

export interface NumberedPages {
	readonly pages: readonly BinderPage[];
	readonly volumes: readonly {
		readonly volume: number;
		readonly leaves: number;
		/** Thickness of its leaves, in micrometres. */
		readonly um: number;
	}[];
}

/**
 * Gives faces their pages, volume by volume, with the blank ones between and the backs of one-sided
 * leaves. A volume that another follows ends with a whole leaf.
 */
export function numberPages(
	faces: readonly Face[],
	cuts: readonly Cut[],
	isOneSided: boolean
): NumberedPages {
	const pages: BinderPage[] = [];
	const volumes = cuts.map(({ face: first }, i) => {
		const volume = i + 1;
		const before = pages.length;
		const add = (use: PageUse, kind: PageKind, cells: readonly (Cell | null)[] = []) =>
			pages.push({
				page: pages.length + 1,
				volume,
				pageInVolume: pages.length + 1 - before,
				kind: kind.key,
				use,
				...blocksOn(cells),
				pockets:
					use === 'cards'
						? cells.map((cell) => cell?.slot ?? null)
						: Array<null>(pocketsOf(kind)).fill(null),
				marks: marksOf(cells)
			});
		const state = newVolume();
		const end = cuts[i + 1]?.face ?? faces.length;
		faces.slice(first, end).forEach((face, f, inVolume) => {
			const blank = putFace(state, face, isOneSided);
			// A blank back belongs to the leaf before it, a blank front to this one.
			for (let b = 0; b < blank; b++) {
				const isBack = (pages.length - before) % 2 === 1;
				add('blank', isBack ? (inVolume[f - 1] ?? face).kind : face.kind);
			}
			add('cards', face.kind, face.cells);
			if (isOneSided) add('backs', face.kind);
		});
		const last = faces[end - 1];
		if (i + 1 < cuts.length && state.isBackFree && last) add('blank', last.kind);
		return { volume, leaves: state.leaves, um: state.um };
	});
	return { pages, volumes };
}

function blocksOn(cells: readonly (Cell | null)[]): Pick<BinderPage, 'blocks' | 'opens'> {
	const opens = new Map<string, number>();
	cells.forEach((cell, pocket) => {
		if (cell && !opens.has(cell.block)) opens.set(cell.block, pocket);
	});
	return { blocks: [...opens.keys()], opens: [...opens.values()] };
}

function marksOf(cells: readonly (Cell | null)[]): readonly PocketMark[] {
	return cells.flatMap((cell, pocket) =>
		cell?.use
			? [{ pocket, use: cell.use, ...(cell.use === 'title' ? { text: cell.block } : {}) }]
			: []
	);
}

import type { Cell } from './arrange-block.ts';
import { binderKindOf, type BinderKind } from './binder-kind.ts';
import { resolveLayout, type LayoutChoice } from './binder-layout.ts';
import type { BinderPage } from './binder-page.ts';
import type { BinderSlot } from './binder-slot.ts';
import { layFaces, type Face, type LaidFaces, type Part } from './lay-faces.ts';
import { makeParts, type BinderContext, type OddCard } from './make-parts.ts';
import { numberPages } from './number-pages.ts';
import { splitVolumes, type Cut } from './split-volumes.ts';

export interface BinderVolume {
	readonly volume: number;
	readonly leaves: number;
	/** What its leaves are thick in all when every pocket is filled, in millimetres. */
	readonly thicknessMm: number;
	readonly isOverfull: boolean;
}

/** A block of a plan: variants in a block of their own have the key of their cards' block. */
export interface PlannedBlock {
	readonly key: string;
	readonly name: string;
	readonly slots: number;
}

export interface BinderPlan {
	readonly pages: readonly BinderPage[];
	readonly volumes: readonly BinderVolume[];
	/** Leaves it takes: two pages each. */
	readonly leaves: number;
	/** Pages that show cards. */
	readonly cardPages: number;
	/** Pockets of those that nothing belongs in. */
	readonly emptyPockets: number;
	/** What lies together, in order, with its slots; laid by subject or by hand there are none. */
	readonly blocks: readonly PlannedBlock[];
	/** Blocks that lie in more than one volume. */
	readonly broken: readonly string[];
	/** Cards that the binder's own pages do not take well, and where they go. */
	readonly odd: readonly OddCard[];
	/** Blocks with a picture too large for two facing pages, which therefore lies in order. */
	readonly tooLarge: readonly string[];
	/** Of subject pages: no arrangement that splits no subject has fewer. */
	readonly leastPages?: number;
	/** Of subject pages: whether it is certain that none has fewer than these. */
	readonly isExact?: boolean;
}

/** What one has of one's own, besides what comes with the program. */
export interface BinderSetting extends BinderContext {
	readonly binderKinds: readonly BinderKind[];
}

const NOTHING_OWN: BinderSetting = { rarities: [], pageKinds: [], binderKinds: [] };

/**
 * Lays slots into pages and volumes. Unless the layout closes gaps up, every slot gets a pocket,
 * filled or not, so that a missing card keeps its place. No slots, no pages.
 *
 * @throws RangeError for an unknown page or binder kind
 */
export function planBinder(
	slots: readonly BinderSlot[],
	choice: LayoutChoice,
	setting: Partial<BinderSetting> = {}
): BinderPlan {
	const layout = resolveLayout(choice);
	const all = { ...NOTHING_OWN, ...setting };
	const { mostLeaves, spineDepthMm } = binderKindOf(layout.binderKind, all.binderKinds);
	const { parts, blocks, odd, ...paired } = makeParts(slots, layout, all);
	const isOneSided = layout.cardsAPocket === 1;
	const capacity = { mostLeaves, depthUm: spineDepthMm * 1000 };
	const { faces, tooLarge, cuts } = laySplit(parts, isOneSided, (laid) =>
		splitVolumes(laid, isOneSided, capacity)
	);
	const { pages, volumes } = numberPages(faces, cuts, isOneSided);
	const shown = pages.filter(({ use }) => use === 'cards');
	return {
		pages,
		volumes: volumes.map(({ volume, leaves, um }) => ({
			volume,
			leaves,
			thicknessMm: Math.round(um / 100) / 10,
			isOverfull: leaves > mostLeaves || um > capacity.depthUm
		})),
		leaves: volumes.reduce((sum, { leaves }) => sum + leaves, 0),
		cardPages: shown.length,
		emptyPockets: shown.reduce(
			(sum, { pockets, marks }) =>
				sum + pockets.filter((slot) => slot === null).length - marks.length,
			0
		),
		blocks: blocks.map(({ key, name, slots: members }) => ({ key, name, slots: members.length })),
		broken: [
			...new Set(cuts.filter(({ breaks }) => breaks).map(({ face }) => nameOf(faces[face])))
		],
		odd,
		tooLarge,
		...paired
	};
}

/**
 * Lays faces and splits them. Where a volume is to begin inside a face, the block that begins there is
 * laid anew from a page of its own; that closes its pages up, so it never takes more than was reckoned.
 */
function laySplit(
	parts: readonly Part[],
	isOneSided: boolean,
	split: (faces: readonly Face[]) => readonly Cut[]
): LaidFaces & { readonly cuts: readonly Cut[] } {
	let wanted = parts;
	for (;;) {
		const laid = layFaces(wanted, !isOneSided);
		const cuts = split(laid.faces);
		const inside = cuts.flatMap(({ face, cell }) =>
			cell === 0
				? []
				: (laid.faces[face]?.opens.filter((open) => open.cell === cell).map(({ part }) => part) ??
					[])
		);
		if (inside.length === 0) return { ...laid, cuts };
		wanted = wanted.map((part, i) =>
			inside.includes(i) ? { ...part, start: 'new-volume' } : part
		);
	}
}

function nameOf(face: Face | undefined): string {
	return face?.cells.find((cell): cell is Cell => cell !== null)?.block ?? '';
}

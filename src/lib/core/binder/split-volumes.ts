import type { Face } from './lay-faces.ts';
import { newVolume, putFace } from './leafing.ts';

/** What a binder takes. */
export interface Capacity {
	readonly mostLeaves: number;
	/** What its leaves may be thick in all, in micrometres. */
	readonly depthUm: number;
}

/** Where a volume begins: at a face, or at a pocket of it where a block begins. */
export interface Cut {
	readonly face: number;
	readonly cell: number;
	/** Whether a block lies on both sides of it. */
	readonly breaks: boolean;
}

interface Best {
	/** Volumes too full because one picture lies over more leaves than a binder takes. */
	readonly overfull: number;
	readonly volumes: number;
	readonly broken: number;
	/** Sum of the squares of the leaves: least where the volumes are even. */
	readonly unevenness: number;
	readonly from: number;
}

/**
 * Splits faces into volumes: the fewest, then those that break the fewest blocks, then the most even
 * ones. Exact, by a dynamic programme over the borders between faces and between blocks; a border
 * inside a face costs one page. Where even one leaf is too thick, or one picture lies over more leaves
 * than a binder takes, that is a volume of its own.
 */
export function splitVolumes(
	faces: readonly Face[],
	isOneSided: boolean,
	capacity: Capacity
): readonly Cut[] {
	if (faces.length === 0) return [];
	const cuts = cutsOf(faces);
	const end = cuts.length;
	const best: (Best | undefined)[] = [
		{ overfull: 0, volumes: 0, broken: 0, unevenness: 0, from: -1 }
	];
	/** The face after which a volume may end at each border. */
	const endsAfter = [
		...cuts.map(({ face, cell }) => (cell > 0 ? face : face - 1)),
		faces.length - 1
	];
	for (let from = 0; from < end; from++) {
		const before = best[from];
		const first = cuts[from];
		if (!before || !first) continue;
		const state = newVolume();
		let next = from + 1;
		for (let f = first.face; f < faces.length; f++) {
			const face = faces[f] as Face;
			if (face.start === 'volume' && f !== first.face) break;
			putFace(state, face, isOneSided);
			const isFull =
				state.leaves > 1 && (state.leaves > capacity.mostLeaves || state.um > capacity.depthUm);
			// Up to its first border a volume cannot be made smaller.
			if (isFull && next > from + 1) break;
			while (endsAfter[next] === f) offer(next++, state.leaves, isFull);
		}

		function offer(to: number, leaves: number, isFull: boolean) {
			if (!before) return;
			const overfull = before.overfull + (isFull ? 1 : 0);
			const broken = before.broken + (cuts[to]?.breaks ? 1 : 0);
			const unevenness = before.unevenness + leaves * leaves;
			const known = best[to];
			const isBetter =
				!known ||
				(overfull - known.overfull ||
					before.volumes + 1 - known.volumes ||
					broken - known.broken ||
					unevenness - known.unevenness) < 0;
			if (isBetter) best[to] = { overfull, volumes: before.volumes + 1, broken, unevenness, from };
		}
	}
	const chosen: Cut[] = [];
	for (let at = best[end]?.from ?? -1; at >= 0; at = best[at]?.from ?? -1) {
		chosen.unshift(cuts[at] as Cut);
	}
	return chosen;
}

/** Where a volume may begin, in order. */
function cutsOf(faces: readonly Face[]): readonly Cut[] {
	return faces.flatMap((face, f): Cut[] => {
		const inside = face.opens
			.filter(({ cell }) => cell > 0)
			.map(({ cell }) => ({ face: f, cell, breaks: false }));
		if (face.isJoined) return inside;
		const isNew = f === 0 || face.opens.some(({ cell }) => cell === 0);
		return [{ face: f, cell: 0, breaks: !isNew && continues(faces[f - 1], face) }, ...inside];
	});
}

function continues(before: Face | undefined, face: Face): boolean {
	const last = before?.cells.findLast((cell) => cell !== null)?.block;
	const first = face.cells.find((cell) => cell !== null)?.block;
	return last !== undefined && last === first;
}

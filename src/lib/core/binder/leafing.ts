import type { Face } from './lay-faces.ts';
import { LEAF_FILM_UM } from '../measuring/sleeved.ts';

/** Leaves put on so far, from the first face of a volume on. Changed in place by `putFace`. */
export interface Leafing {
	leaves: number;
	/** Whether the back of the last leaf is still free. */
	isBackFree: boolean;
	/** Kind of the last leaf. */
	kind: string;
	/** Thickness of all leaves, in micrometres. */
	um: number;
}

export function newVolume(): Leafing {
	return { leaves: 0, isBackFree: false, kind: '', um: 0 };
}

/**
 * Puts a face on the next page it may lie on, and tells how many pages before it stay blank. Of
 * `isOneSided` leaves only the front shows cards: the back shows theirs.
 */
export function putFace(
	state: Leafing,
	face: Pick<Face, 'kind' | 'start' | 'isLeft' | 'um'>,
	isOneSided: boolean
): number {
	const canShare = state.isBackFree && state.kind === face.kind.key && face.start === 'page';
	if (face.isLeft && !isOneSided && !canShare) {
		const blank = (state.isBackFree ? 1 : 0) + 1;
		addLeaf(state, face, false);
		return blank;
	}
	if (canShare) {
		state.isBackFree = false;
		state.um += face.um;
		return 0;
	}
	const blank = state.isBackFree ? 1 : 0;
	addLeaf(state, face, !isOneSided);
	return blank;
}

function addLeaf(state: Leafing, face: Pick<Face, 'kind' | 'um'>, isBackFree: boolean): void {
	state.leaves++;
	state.isBackFree = isBackFree;
	state.kind = face.kind.key;
	state.um += LEAF_FILM_UM + face.um;
}

import { BINDER_KINDS } from '../../core/binder/binder-kind.ts';
import { PAGE_KINDS } from '../../core/binder/page-kind.ts';
import type { PocketFace } from '../../core/binder/pocket-face.ts';
import type { Reader } from '../database/open.ts';
import { movesOf } from './move-cards.ts';
import { cardOfSlot, pocketFaces } from './pocket-faces.ts';
import { readBinder, type StoredBinder } from './read-binder.ts';

/** What the views of a binder show; null where there is none. */
export async function readBinderView(db: Reader, id: number) {
	const state = await readBinder(db, id);
	return state && binderView(db, state);
}

async function binderView(db: Reader, state: StoredBinder) {
	const { binder, layout, setting, goal, plan, cards, now } = state;
	const faces = await pocketFaces(db, goal.releases, goal.slots, cards);
	const pageKinds = [...PAGE_KINDS, ...setting.pageKinds];
	return {
		binder: { id: binder.id, name: binder.name },
		layout,
		goal: { id: goal.goal.id, name: goal.goal.name },
		plan,
		faces: [...faces, ...strangers(faces, now)],
		pageKinds,
		binderKinds: [...BINDER_KINDS, ...setting.binderKinds],
		need: faces.length,
		have: faces.filter(({ state: of }) => of !== 'missing').length,
		lying: now.map(({ pocket, slot }) => ({ pocket, slot })),
		moves: movesOf(state).steps.length
	};
}

/** What lies in pockets for slots that the goal no longer has: shown by the card's key, to be taken out. */
function strangers(faces: readonly PocketFace[], now: StoredBinder['now']): readonly PocketFace[] {
	const known = new Set(faces.map(({ slot }) => slot));
	return now
		.filter(({ slot }) => !known.has(slot))
		.map(({ slot }) => {
			const { release = '', card = slot, parallel = null } = cardOfSlot(slot) ?? {};
			return {
				slot,
				seed: `${release}/${card}`,
				releaseKey: release,
				cardKey: card,
				number: null,
				title: card,
				group: '',
				place: 'no longer of this goal',
				finish: parallel,
				printRun: null,
				state: 'here'
			};
		});
}

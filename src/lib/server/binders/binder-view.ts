import { BINDER_KINDS } from '../../core/binder/binder-kind.ts';
import { PAGE_KINDS } from '../../core/binder/page-kind.ts';
import type { PocketFace } from '../../core/binder/pocket-face.ts';
import { formatVersionKey } from '../../core/checklist/versions/version-key.ts';
import type { Reader } from '../database/open.ts';
import { nameVersions } from '../releases/name-versions.ts';
import { movesOf } from './move-cards.ts';
import { cardOfSlot, pocketFaces } from './pocket-faces.ts';
import { readBinder, type StoredBinder } from './read-binder.ts';
import type { BinderId } from '../../core/row-id.ts';

/** What the views of a binder show; null where there is none. */
export async function readBinderView(db: Reader, id: BinderId) {
	const state = await readBinder(db, id);
	return state && binderView(db, state);
}

async function binderView(db: Reader, state: StoredBinder) {
	const { binder, layout, setting, content, held, plan, cards, now } = state;
	const faces = await pocketFaces(db, content.releases, content.slots, cards);
	const pageKinds = [...PAGE_KINDS, ...setting.pageKinds];
	return {
		binder: { id: binder.id, name: binder.name },
		layout,
		goals: content.goals.map(({ id, name }) => ({
			id,
			name,
			order: held.find(({ goalId }) => goalId === id)?.order ?? null
		})),
		plan,
		faces: [...faces, ...(await strangers(db, faces, now))],
		pageKinds,
		binderKinds: [...BINDER_KINDS, ...setting.binderKinds],
		need: faces.length,
		have: faces.filter(({ state: of }) => of !== 'missing').length,
		lying: now.map(({ pocket, slot }) => ({ pocket, slot })),
		moves: movesOf(state).steps.length
	};
}

/** What lies in pockets for slots that the goals no longer have: to be taken out. */
async function strangers(
	db: Reader,
	faces: readonly PocketFace[],
	now: StoredBinder['now']
): Promise<readonly PocketFace[]> {
	const known = new Set(faces.map(({ slot }) => slot));
	const gone = now.flatMap(({ slot }) => {
		const version = known.has(slot) ? null : cardOfSlot(slot);
		return version === null ? [] : [{ slot, version }];
	});
	const names = await nameVersions(
		db,
		gone.map(({ version }) => formatVersionKey(version))
	);
	return gone.map(({ slot, version }) => ({
		slot,
		seed: `${version.release}/${version.card}`,
		releaseKey: version.release,
		cardKey: version.card,
		number: null,
		title: names.get(formatVersionKey(version))?.card ?? version.card,
		group: '',
		place: 'no longer of its goals',
		finish: version.parallel,
		printRun: null,
		state: 'here'
	}));
}

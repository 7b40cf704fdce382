import { USUAL_LAYOUT } from '../../core/binder/binder-layout.ts';
import { PAGE_KINDS } from '../../core/binder/page-kind.ts';
import { workOutBinder } from '../../core/binder/work-out-binder.ts';
import { isAtHand } from '../../core/copies/copy-record.ts';
import { fillSlots } from '../../core/goal/fill-slots.ts';
import { scopeGoal } from '../../core/goal/scope-goal.ts';
import { readCopies } from '../copies/read-copies.ts';
import type { Reader } from '../database/open.ts';
import { loadRelease } from '../releases/load-release.ts';
import { readBinder } from './read-binder.ts';
import { pocketFaces } from './pocket-faces.ts';
import { type BinderId, rowId } from '../../core/row-id.ts';

/**
 * One side of a comparison: "binder-3" as it is planned, or "release-harbour-lights-1994" with all that
 * comes in packs, as numbered on nine-pocket pages. Null where there is none.
 */
export async function openSide(db: Reader, key: string) {
	const [, sort, name = ''] = /^(binder|release)-(.+)$/.exec(key) ?? [];
	if (sort === 'binder' && /^\d{1,9}$/.test(name)) return openBinder(db, rowId(Number(name)));
	return sort === 'release' ? openRelease(db, name) : null;
}

async function openBinder(db: Reader, id: BinderId) {
	const state = await readBinder(db, id);
	if (!state) return null;
	const { content, cards, plan, binder, setting } = state;
	return {
		name: binder.name,
		pages: plan.pages,
		faces: await pocketFaces(db, content.releases, content.slots, cards),
		kinds: [...PAGE_KINDS, ...setting.pageKinds]
	};
}

async function openRelease(db: Reader, key: string) {
	const stored = await loadRelease(db, key);
	if (!stored) return null;
	const { id, release } = stored;
	const copies = await readCopies(db, id);
	const slots = scopeGoal(release, { preset: 'with-inserts' });
	const filling = fillSlots(slots, copies.filter(isAtHand));
	const { plan, cards } = workOutBinder({
		name: '',
		layout: USUAL_LAYOUT,
		content: { releases: [release], slots, filling },
		copies,
		apart: new Map(),
		lying: [],
		kinds: { pageKinds: [], binderKinds: [] }
	});
	return {
		name: release.name,
		pages: plan.pages,
		faces: await pocketFaces(db, [release], slots, cards),
		kinds: PAGE_KINDS
	};
}

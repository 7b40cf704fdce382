import type { Release } from '$lib/core/checklist/release';
import type { StackSlot } from '$lib/core/goal/judge-card';
import type { Narrowing } from '$lib/core/pile/find-on-pile';
import { indexPile } from '$lib/core/pile/pile-index';
import { slotsByVersion, type PileState } from '$lib/core/pile/judge-pile-card';
import type { KnownWorth } from '$lib/core/pile/next-pile';
import { bad, good, type Outcome } from '$lib/core/problem';
import { ask } from '$lib/ui/send';
import type { PileView } from '$lib/server/pile/read-pile';

/** What cards of a pile are judged by: releases they may be of, with what is owned, worth, wanted; more join as one asks. */
export function createPileKnowledge(view: PileView) {
	let releases = $state.raw<readonly Release[]>(view.releases);
	let owned = $state.raw<ReadonlyMap<string, number>>(new Map(view.owned));
	let worth = $state.raw<ReadonlyMap<string, KnownWorth>>(new Map(view.worth));
	let wantedBy = $state.raw<ReadonlyMap<string, readonly string[]>>(new Map(view.wantedBy));
	let slots = $state.raw<readonly StackSlot[]>(view.slots);
	const index = $derived(indexPile(releases));
	const byVersion = $derived(slotsByVersion(slots));

	return {
		get releases() {
			return releases;
		},
		get index() {
			return index;
		},
		/** What there is before any card came off. */
		get state(): Pick<PileState, 'slots' | 'owned' | 'worth' | 'wantedBy'> {
			return { slots: byVersion, owned, worth, wantedBy };
		},
		/** Asks for releases beyond those that are known; how many joined. */
		async search(line: string, { year = '', maker = '' }: Narrowing): Promise<Outcome<number>> {
			const query = new URLSearchParams({ line, year, maker });
			for (const { key } of releases) query.append('known', key);
			const outcome = await ask<PileView>('GET', `/api/pile?${query}`);
			if (!outcome.ok) return bad(outcome.problems);
			const found = outcome.value;
			releases = [...releases, ...found.releases];
			owned = new Map([...owned, ...found.owned]);
			worth = new Map([...worth, ...found.worth]);
			wantedBy = new Map([...wantedBy, ...found.wantedBy]);
			const keys = new Set(slots.map(({ goal, key }) => `${goal} ${key}`));
			slots = [...slots, ...found.slots.filter(({ goal, key }) => !keys.has(`${goal} ${key}`))];
			return good(found.releases.length);
		}
	};
}

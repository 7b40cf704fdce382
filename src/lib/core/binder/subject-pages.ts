import { compareTitles } from '../checklist/numbers/compare-card-numbers.ts';
import type { BinderSlot } from './binder-slot.ts';
import { pairGroups } from './pair-groups.ts';

/** Pages of slots by subject, before they are numbered. */
export interface SubjectPages {
	readonly pages: readonly (readonly { readonly subject: string; readonly slot: BinderSlot }[])[];
	/** No arrangement that splits no subject has fewer. */
	readonly leastPages: number;
	/** Whether it is certain that no arrangement has fewer than these. */
	readonly isExact: boolean;
}

/**
 * Lays all slots of one subject on one page, subjects paired so that the fewest pages are used: same
 * group first, then neighbours in the alphabet. Inside a subject slots keep the order given.
 */
export function subjectPages(slots: readonly BinderSlot[], pocketsAPage: number): SubjectPages {
	const subjects = new Map<string, BinderSlot[]>();
	for (const slot of slots) {
		const name = slot.subject ?? slot.title;
		const ofSubject = subjects.get(name);
		if (ofSubject) ofSubject.push(slot);
		else subjects.set(name, [slot]);
	}
	const inOrder = [...subjects].sort(([a], [b]) => compareTitles(a, b));
	const { pages, leastPages, isExact } = pairGroups(
		inOrder.map(([key, ofSubject]) => ({
			key,
			size: ofSubject.length,
			label: ofSubject[0]?.group
		})),
		pocketsAPage
	);
	const laid = new Map<string, number>();
	return {
		leastPages,
		isExact,
		pages: pages.map(({ groups }) =>
			groups.flatMap(({ key, pockets }) => {
				const from = laid.get(key) ?? 0;
				laid.set(key, from + pockets);
				const onPage = (subjects.get(key) ?? []).slice(from, from + pockets);
				return onPage.map((slot) => ({ subject: key, slot }));
			})
		)
	};
}

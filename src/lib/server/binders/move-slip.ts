import { describePocketName } from '../../core/binder/pocket-name.ts';
import { PAGE_KINDS } from '../../core/binder/page-kind.ts';
import type { MoveStep } from '../../core/binder/plan-moves.ts';
import { nameVersion } from '../../core/copies/name-version.ts';
import { movesOf, stepName } from './move-cards.ts';
import { cardOfSlot } from './pocket-faces.ts';
import type { StoredBinder } from './read-binder.ts';

/** A step of the slip in words. */
export interface SlipLine {
	/** Names the step, to tell whether the plan is still this one. */
	readonly name: string;
	readonly does: MoveStep['do'];
	/** "27 Quiet Harbour Light" */
	readonly card: string;
	readonly from: string | null;
	readonly to: string | null;
}

/** The move plan in words, with its counts. */
export function moveSlip(state: StoredBinder) {
	const { now, target, content, plan, setting } = state;
	const { steps, ...counts } = movesOf(state);
	const kinds = [...PAGE_KINDS, ...setting.pageKinds];
	const slotOf = new Map([...now, ...target].map(({ item, slot }) => [item, slot]));
	const titles = titlesOf(state);
	const nameOf = (slot: string) => titles.get(slot) ?? cardOfSlot(slot)?.card ?? slot;
	const place = (pocket: string) => describePocketName(pocket, kinds, plan.volumes.length);
	const lines = steps.map((step): SlipLine => ({
		name: stepName(step),
		does: step.do,
		card: nameOf(slotOf.get(step.item) ?? ''),
		from: 'from' in step ? place(step.from) : null,
		to: 'to' in step ? place(step.to) : null
	}));
	return { lines, ...counts, hasLying: now.length > 0, cards: content.slots.length };
}

function titlesOf({ content }: StoredBinder): ReadonlyMap<string, string> {
	const releases = new Map(content.releases.map((release) => [release.key, release]));
	const titles = new Map(
		content.releases.flatMap((release) =>
			release.sections.flatMap((section) =>
				section.cards.map((card) => [`${release.key}/${card.key}`, card.title] as const)
			)
		)
	);
	return new Map(
		content.slots.map(({ key, version, release }) => {
			const home = releases.get(release);
			const name = home ? nameVersion(home, version.key) : version.key;
			const title = titles.get(`${release}/${version.cardKey}`) ?? '';
			return [key, name.startsWith(title) ? name : `${name} ${title}`];
		})
	);
}

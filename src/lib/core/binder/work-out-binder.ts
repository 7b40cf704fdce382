import type { HolderKind } from '../storage/kinds/holder-kind.ts';
import type { Release } from '../checklist/release.ts';
import type { CopyRecord } from '../copies/copy-record.ts';
import type { Filling } from '../goal/fill-slots.ts';
import type { ScopedSlot } from '../goal/scope-goal.ts';
import { resolveLayout, type BinderLayout, type LayoutChoice } from './binder-layout.ts';
import type { BinderSlot } from './binder-slot.ts';
import { binderSlots, type SlotCard } from './binder-slots.ts';
import { nameItems, type CopyInPocket, type NamedItem } from './name-items.ts';
import { planBinder, type BinderPlan, type BinderSetting } from './plan-binder.ts';
import { pocketCards, type KeptApart, type PocketCard } from './pocket-cards.ts';
import { pocketName } from './pocket-name.ts';
import { settlePlan } from './settle-plan.ts';

/** All that a binder's pages follow from. */
export interface BinderSnapshot {
	/** A copy whose place bears this name lies in the binder. */
	readonly name: string;
	readonly layout: LayoutChoice;
	/** The goals that it holds, joined: see `joinGoals`. */
	readonly content: {
		readonly releases: readonly Release[];
		readonly slots: readonly (ScopedSlot & { readonly goal?: string })[];
		readonly filling: Filling;
	};
	/** Every copy of these releases; `loggedAt` is an ISO 8601 time. */
	readonly copies: readonly (CopyRecord & { readonly loggedAt?: string })[];
	/** Which copies stand in boxes apart from the sets. */
	readonly apart: KeptApart;
	/** What is known to lie in its pockets. */
	readonly lying: readonly CopyInPocket[];
	/** Page, binder and holder kinds besides those that come with the program. */
	readonly kinds: Pick<BinderSetting, 'pageKinds' | 'binderKinds'> & {
		readonly holders?: readonly HolderKind[];
	};
}

/** A binder worked out: its pages as they should be, and what lies in them. */
export interface BinderState {
	readonly layout: BinderLayout;
	readonly setting: BinderSetting;
	readonly slots: readonly BinderSlot[];
	/** What the pockets of filled slots hold. */
	readonly cards: ReadonlyMap<string, PocketCard>;
	readonly plan: BinderPlan;
	/** As it lies, and as it should. */
	readonly now: readonly NamedItem[];
	readonly target: readonly NamedItem[];
}

/**
 * Works a binder out. What lies where it may stay is planned to stay; a goal without slots gives a plan
 * without pages, and whatever lies is then to be taken out.
 *
 * @throws RangeError for a page or binder kind that is not known
 */
export function workOutBinder(snapshot: BinderSnapshot): BinderState {
	const { releases, slots: scoped, filling } = snapshot.content;
	const layout = resolveLayout(snapshot.layout);
	const rarities = [...new Set(releases.flatMap((release) => release.rarities))];
	const { holders, ...kinds } = snapshot.kinds;
	const setting = { ...kinds, rarities };
	const { copies, name, apart, lying } = snapshot;
	const cards = pocketCards(scoped, filling, copies, layout.pulled, name, apart, holders);
	const slots = binderSlots(releases, scoped, slotCards(copies, cards));
	const planned = planBinder(slots, layout, setting);
	const pages = settlePlan(planned.pages, layout, pocketsBySlot(lying, cards));
	const plan = { ...planned, pages };
	return { layout, setting, slots, cards, plan, ...nameItems(lying, targetsOf(plan, cards)) };
}

/** When what fills each slot arrived; only slots that are filled are named. */
function slotCards(
	copies: BinderSnapshot['copies'],
	cards: ReadonlyMap<string, PocketCard>
): ReadonlyMap<string, SlotCard> {
	const known = new Map(copies.map((copy) => [copy.key, copy]));
	return new Map(
		[...cards].map(([slot, { filling }]) => {
			const copy = known.get(filling);
			const arrivedOn = copy?.acquiredOn ?? copy?.loggedAt?.slice(0, 10);
			return [slot, arrivedOn === undefined ? {} : { arrivedOn }];
		})
	);
}

function pocketsBySlot(
	lying: readonly CopyInPocket[],
	cards: ReadonlyMap<string, PocketCard>
): ReadonlyMap<string, string> {
	return new Map(
		lying
			.filter(({ slot, copy }) => cards.get(slot)?.inPocket === copy)
			.map(({ slot, pocket }) => [slot, pocket])
	);
}

/** What shall lie where: the copies that belong in pockets, page by page. */
function targetsOf(
	plan: BinderPlan,
	cards: ReadonlyMap<string, PocketCard>
): readonly CopyInPocket[] {
	return plan.pages.flatMap((page) =>
		page.pockets.flatMap((slot, pocket) => {
			const copy = slot === null ? null : (cards.get(slot)?.inPocket ?? null);
			return slot === null || copy === null
				? []
				: [{ slot, copy, pocket: pocketName({ ...page, pocket }) }];
		})
	);
}

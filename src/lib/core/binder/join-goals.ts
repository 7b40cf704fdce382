import { isCollectible } from '../checklist/with-collectibles.ts';
import { cardsOf, type Release } from '../checklist/release.ts';
import { conditionRank } from '../copies/condition.ts';
import type { Copy } from '../copies/copy.ts';
import { fillGoals, type GoalSlots } from '../goal/fill-goals.ts';
import { fitsSlot, slotsByVersion, slotsOfCopy, type Filling } from '../goal/fill-slots.ts';
import type { ScopedSlot } from '../goal/scope-goal.ts';
import type { GradeNeed } from '../goal/slot.ts';

/** A goal whose cards a binder holds. */
export interface HeldGoal extends GoalSlots {
	readonly releases: readonly Release[];
	readonly slots: readonly ScopedSlot[];
}

/** A pocket's slot: the goal under which it is laid is the first that asks for it. */
export interface PocketSlot extends ScopedSlot {
	readonly goal: string;
	/** All goals that ask for it, that one first. */
	readonly goals: readonly string[];
}

/** Goals as one binder holds them. */
export interface JoinedGoals {
	readonly releases: readonly Release[];
	readonly slots: readonly PocketSlot[];
	readonly filling: Filling;
}

/**
 * Joins the goals that a binder holds. A card lies in one pocket however many of them ask for it: slots of
 * goals that share their copies are joined by their keys, and the joined slot takes only what all of them
 * take, so that the card in the pocket counts for each. Goals that keep copies of their own have pockets
 * of their own. Keys of the first goal (or of all that share, where it shares) are kept as they are; those
 * of others bear "@" and the goal's key, so that no two pockets have the same.
 *
 * `keeping` are all goals that keep their own copies, in the binder or not, in the order in which they
 * are served; what is collected beside the cards lies in no pocket; `lying` says in which of the binder's slots copies lie.
 *
 * @throws RangeError for no goals
 */
export function joinGoals(
	held: readonly HeldGoal[],
	keeping: readonly GoalSlots[],
	copies: readonly Copy[],
	lying: ReadonlyMap<string, string> = new Map()
): JoinedGoals {
	const goals = held.map(withoutCollectibles);
	const keepers = keeping.map(withoutCollectibles);
	const [first] = goals;
	if (!first) throw new RangeError('joinGoals: a binder holds at least one goal');
	const sharing = goals.filter(({ keepsOwn }) => !keepsOwn);
	const suffixOf = ({ key, keepsOwn }: HeldGoal) =>
		(keepsOwn ? first.key === key : !first.keepsOwn) ? '' : `@${keepsOwn ? key : '0'}`;
	const named = goals
		.filter(({ keepsOwn }) => keepsOwn)
		.map((goal) => ({ goal, suffix: suffixOf(goal) }));
	const shared = joinSlots(sharing);
	const sharedSuffix = sharing[0] ? suffixOf(sharing[0]) : '';
	const withSuffix = <Slot extends { readonly key: string }>(slot: Slot, suffix: string): Slot =>
		suffix === '' ? slot : { ...slot, key: `${slot.key}${suffix}` };
	const joinedKey = 'all that share';
	const filled = fillGoals(
		[
			...keepers,
			{
				key: joinedKey,
				keepsOwn: false,
				slots: shared,
				held: withoutSuffix(lying, sharedSuffix)
			}
		],
		copies
	);
	const parts = [
		...named.map(({ goal, suffix }) => ({
			slots: goal.slots.map((slot) => ({
				...withSuffix(slot, suffix),
				goal: goal.key,
				goals: [goal.key]
			})),
			suffix,
			filling: filled.get(goal.key)
		})),
		{
			slots: shared.map((slot) => withSuffix(slot, sharedSuffix)),
			suffix: sharedSuffix,
			filling: filled.get(joinedKey)
		}
	];
	const place = new Map(goals.map(({ key }, i) => [key, i]));
	const slots = parts
		.flatMap((part) => part.slots)
		.sort((a, b) => (place.get(a.goal) ?? 0) - (place.get(b.goal) ?? 0));
	const placements = parts.flatMap(({ filling, suffix }) =>
		(filling?.placements ?? []).map(({ slot, copy }) => ({ slot: `${slot}${suffix}`, copy }))
	);
	const missing = parts.flatMap(({ filling, suffix }) =>
		(filling?.missing ?? []).map(({ slot, quantity }) => ({ slot: `${slot}${suffix}`, quantity }))
	);
	return {
		releases: joinReleases(goals),
		slots,
		filling: {
			placements,
			missing,
			...restOf(
				slots,
				copies,
				named.flatMap(({ goal }) => filled.get(goal.key) ?? []),
				filled.get(joinedKey)
			)
		}
	};
}

/** What is collected beside the cards lies in no pocket. */
function withoutCollectibles<Goal extends GoalSlots>(goal: Goal): Goal {
	return {
		...goal,
		slots: goal.slots.filter(({ versions }) => !versions.some(isCollectible))
	};
}

/**
 * Slots of goals that share their copies, each key once, in the order of the goals. What no single copy
 * can serve (other attributes, other houses) keeps a pocket of its own.
 */
function joinSlots(goals: readonly HeldGoal[]): readonly PocketSlot[] {
	const pockets = new Map<string, PocketSlot[]>();
	for (const { key: goal, slots } of goals) {
		for (const slot of slots) {
			const known = pockets.get(slot.key) ?? [];
			const i = known.findIndex((other) => isServedTogether(other, slot));
			const joined = known[i];
			if (joined) known[i] = { ...strictest(joined, slot), goals: [...joined.goals, goal] };
			else {
				const key = known.length === 0 ? slot.key : `${slot.key}@${goal}`;
				known.push({ ...slot, goal, goals: [goal], key });
			}
			pockets.set(slot.key, known);
		}
	}
	return [...pockets.values()].flat();
}

function isServedTogether(a: ScopedSlot, b: ScopedSlot): boolean {
	const housesOf = ({ graded }: ScopedSlot) => graded?.houses;
	const [ofA, ofB] = [housesOf(a), housesOf(b)];
	const haveHouse = !ofA || !ofB || ofA.some((house) => ofB.includes(house));
	return haveHouse && [...(a.needs ?? [])].sort().join() === [...(b.needs ?? [])].sort().join();
}

/** What both slots of one key take. */
function strictest(a: PocketSlot, b: ScopedSlot): PocketSlot {
	const { panels: _, leastCondition, graded, ...rest } = a;
	const takes = new Set(b.versions);
	const panels = (a.panels ?? []).filter((version) => b.panels?.includes(version));
	const least =
		conditionRank(leastCondition) >= conditionRank(b.leastCondition)
			? leastCondition
			: b.leastCondition;
	const grade = strictestGrade(graded, b.graded);
	return {
		...rest,
		versions: a.versions.filter((version) => takes.has(version)),
		quantity: Math.max(a.quantity, b.quantity),
		...(panels.length > 0 ? { panels } : {}),
		...(least ? { leastCondition: least } : {}),
		...(grade ? { graded: grade } : {})
	};
}

/** A grade that serves both. */
function strictestGrade(a: GradeNeed | undefined, b: GradeNeed | undefined): GradeNeed | undefined {
	if (!a || !b) return a ?? b;
	const least = Math.max(a.least ?? 0, b.least ?? 0);
	const houses =
		a.houses && b.houses
			? a.houses.filter((house) => b.houses?.includes(house))
			: (a.houses ?? b.houses);
	return { ...(least > 0 ? { least } : {}), ...(houses ? { houses } : {}) };
}

function withoutSuffix(
	lying: ReadonlyMap<string, string>,
	suffix: string
): ReadonlyMap<string, string> {
	if (suffix === '') return lying;
	return new Map(
		[...lying].flatMap(([copy, slot]) =>
			slot.endsWith(suffix) ? [[copy, slot.slice(0, -suffix.length)] as const] : []
		)
	);
}

/** Copies that fit some slot and are not used by any goal that keeps its own, nor by those that share. */
function restOf(
	slots: readonly PocketSlot[],
	copies: readonly Copy[],
	kept: readonly Filling[],
	shared: Filling | undefined
): Pick<Filling, 'spares' | 'outside'> {
	const slotsOf = slotsByVersion(slots);
	const left = new Map(
		kept.flatMap(({ spares }) => spares.map(({ copy, quantity }) => [copy, quantity] as const))
	);
	for (const { copy } of shared?.placements ?? []) left.set(copy, 0);
	for (const { copy, quantity } of shared?.spares ?? []) left.set(copy, quantity);
	const fits = (copy: Copy) => slotsOfCopy(slotsOf, copy).some((slot) => fitsSlot(slot, copy));
	return {
		spares: copies.flatMap((copy) => {
			const quantity = left.get(copy.key) ?? 0;
			return quantity > 0 && fits(copy) ? [{ copy: copy.key, quantity }] : [];
		}),
		outside: copies.filter((copy) => !fits(copy)).map(({ key }) => key)
	};
}

/** Each release once; one that a goal knows only in part is known by the sections of all. */
export function joinReleases(goals: readonly Pick<HeldGoal, 'releases'>[]): readonly Release[] {
	const joined = new Map<string, Release>();
	for (const release of goals.flatMap(({ releases }) => releases)) {
		const known = joined.get(release.key);
		if (!known) joined.set(release.key, release);
		else if (known !== release) joined.set(release.key, withSections(known, release));
	}
	return [...joined.values()];
}

function withSections(known: Release, other: Release): Release {
	if (cardsOf(other).length > cardsOf(known).length) return withSections(other, known);
	const keys = new Set(known.sections.map(({ key }) => key));
	const more = other.sections.filter(({ key }) => !keys.has(key));
	return more.length === 0 ? known : { ...known, sections: [...known.sections, ...more] };
}

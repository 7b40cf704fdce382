import type { Copy } from '../copies/copy.ts';
import { fillSlots, fitsSlot, slotsByVersion, slotsOfCopy, type Filling } from './fill-slots.ts';
import type { Slot } from './slot.ts';

/** The slots of one goal, and whether its copies are its own. */
export interface GoalSlots {
	readonly key: string;
	readonly slots: readonly Slot[];
	/** A copy that fills a slot here fills none of another goal. */
	readonly keepsOwn: boolean;
	/** Which of its slots copies lie in already, in pockets of binders; left out: none is known. */
	readonly held?: ReadonlyMap<string, string>;
}

/** Tiers that one goal may use: sets at once are far fewer. */
const TIERS_A_GOAL = 1000;

/**
 * Fills several goals from the same copies. Goals that keep their own compete: they are matched in one
 * assignment, most slots first, then the goal named first gets the best. The others share what is left
 * among them: each is filled as if it were alone. Where copies lie is said by the goals, not by `heldIn`.
 */
export function fillGoals(
	goals: readonly GoalSlots[],
	copies: readonly Copy[]
): ReadonlyMap<string, Filling> {
	const keepers = goals.filter(({ keepsOwn }) => keepsOwn);
	const joint = fillSlots(
		keepers.flatMap(({ key, slots }, order) =>
			slots.map((slot) => ({
				...slot,
				key: slotName(key, slot.key),
				tier: order * TIERS_A_GOAL + (slot.tier ?? 0)
			}))
		),
		lyingIn(copies, (copy) => {
			const holder = keepers.find(({ held }) => held?.has(copy));
			const slot = holder?.held?.get(copy);
			return holder && slot !== undefined ? slotName(holder.key, slot) : undefined;
		})
	);
	const spare = new Map(joint.spares.map(({ copy, quantity }) => [copy, quantity]));
	const isOutside = new Set(joint.outside);
	const left = copies
		.map((copy) => ({
			...copy,
			quantity: isOutside.has(copy.key) ? copy.quantity : (spare.get(copy.key) ?? 0)
		}))
		.filter(({ quantity }) => quantity > 0);
	return new Map(
		goals.map(({ key, slots, keepsOwn, held }) => [
			key,
			keepsOwn
				? ownPart(key, slots, joint, copies)
				: fillSlots(
						slots,
						lyingIn(left, (copy) => held?.get(copy))
					)
		])
	);
}

/** The name of a goal's slot among those of all goals. */
function slotName(goal: string, slot: string): string {
	return `${goal} ${slot}`;
}

/** Copies with the slots in which they lie. */
function lyingIn(
	copies: readonly Copy[],
	slotOf: (copy: string) => string | undefined
): readonly Copy[] {
	return copies.map((copy) => {
		const slot = slotOf(copy.key);
		if (slot !== undefined) return { ...copy, heldIn: slot };
		if (copy.heldIn === undefined) return copy;
		const { heldIn: _, ...elsewhere } = copy;
		return elsewhere;
	});
}

/** What of a joint filling concerns one goal. */
function ownPart(
	goal: string,
	slots: readonly Slot[],
	joint: Filling,
	copies: readonly Copy[]
): Filling {
	const ofGoal = new Map(slots.map((slot) => [slotName(goal, slot.key), slot.key]));
	const slotsOf = slotsByVersion(slots);
	const ours = new Set(
		copies
			.filter((copy) => slotsOfCopy(slotsOf, copy).some((slot) => fitsSlot(slot, copy)))
			.map(({ key }) => key)
	);
	const isOurs = (copy: string) => ours.has(copy);
	return {
		placements: joint.placements.flatMap(({ slot, copy }) => {
			const key = ofGoal.get(slot);
			return key === undefined ? [] : [{ slot: key, copy }];
		}),
		missing: joint.missing.flatMap(({ slot, quantity }) => {
			const key = ofGoal.get(slot);
			return key === undefined ? [] : [{ slot: key, quantity }];
		}),
		spares: joint.spares.filter(({ copy }) => isOurs(copy)),
		outside: copies.filter(({ key }) => !isOurs(key)).map(({ key }) => key)
	};
}

import type { CONDITIONS } from '../copies/condition.ts';
import { conditionRank, qualityRank } from '../copies/condition.ts';
import type { Copy } from '../copies/copy.ts';
import { formatQuality, type LabelledQuality } from '../copies/quality-label.ts';
import { fitsSlot, slotsByVersion, slotsOfCopy, type Filling } from './fill-slots.ts';
import type { Slot } from './slot.ts';

/** Why a copy fills no slot, in words. */
export interface SpareReason {
	readonly copy: string;
	readonly quantity: number;
	readonly reason: string;
}

/** "graded 8.5", "graded 8 (off centre)", "near mint", "not looked at" */
export function nameQuality(quality: LabelledQuality): string {
	if (quality.grade !== undefined) return `graded ${formatQuality(quality)}`;
	return quality.isAuthentic ? formatQuality(quality) : (quality.condition ?? 'not looked at');
}

/** The reason for each spare of a filling. */
export function explainSpares(
	slots: readonly Slot[],
	copies: readonly Copy[],
	filling: Filling
): readonly SpareReason[] {
	const byKey = new Map(copies.map((copy) => [copy.key, copy]));
	const slotsOf = slotsByVersion(slots);
	const sitting = new Map<string, Copy[]>();
	for (const { slot, copy } of filling.placements) {
		const placed = byKey.get(copy);
		if (placed) sitting.set(slot, [...(sitting.get(slot) ?? []), placed]);
	}
	return filling.spares.map(({ copy: key, quantity }) => {
		const copy = byKey.get(key) as Copy;
		const wanted = slotsOfCopy(slotsOf, copy);
		const fits = wanted.filter((slot) => fitsSlot(slot, copy));
		const placed = fits.flatMap((slot) => sitting.get(slot.key) ?? []);
		const better = placed.find((other) => qualityRank(other) > qualityRank(copy));
		const reason = better
			? `a better one fills the slot (${nameQuality(better)})`
			: placed.some((other) => other.key === key)
				? 'one of the pile fills the slot'
				: `an equal one fills the slot (${nameQuality(placed[0] ?? copy)})`;
		return { copy: key, quantity, reason };
	});
}

/** Copies of versions that slots ask for, but not good enough for any: why. */
export function explainUnfit(
	slots: readonly Slot[],
	copies: readonly Copy[],
	filling: Filling
): readonly SpareReason[] {
	const slotsOf = slotsByVersion(slots);
	const outside = new Set(filling.outside);
	return copies.flatMap((copy): SpareReason[] => {
		const wanted = slotsOfCopy(slotsOf, copy);
		if (wanted.length === 0 || !outside.has(copy.key)) return [];
		return [{ copy: copy.key, quantity: copy.quantity, reason: whyUnfit(wanted, copy) }];
	});
}

function whyUnfit(wanted: readonly Slot[], copy: Copy): string {
	const least = wanted.find(
		({ leastCondition }) => conditionRank(leastCondition) > qualityRank(copy)
	)?.leastCondition;
	if (least) return `below ${least}, the least that counts`;
	const graded = wanted.find((slot) => slot.graded)?.graded;
	if (graded && copy.grade === undefined && !copy.isAuthentic) return 'not graded';
	if (graded?.least !== undefined && (copy.grade ?? 0) < graded.least) {
		return `graded below ${graded.least}, the least that counts`;
	}
	if (graded?.houses && !graded.houses.includes(copy.house ?? '')) {
		return `not graded by ${graded.houses.join(' or ')}`;
	}
	const need = wanted.flatMap(({ needs = [] }) => needs);
	return need.length > 0 ? `not marked ${need.join(', ')}` : 'no slot takes it';
}

/** Slots that are filled with a copy below the condition wished for. */
export function slotsToUpgrade(
	slots: readonly Slot[],
	copies: readonly Copy[],
	filling: Filling,
	wish: (typeof CONDITIONS)[number] | undefined
): readonly string[] {
	if (wish === undefined) return [];
	const byKey = new Map(copies.map((copy) => [copy.key, copy]));
	const poor = new Set(
		filling.placements
			.filter(({ copy }) => qualityRank(byKey.get(copy) ?? {}) < conditionRank(wish))
			.map(({ slot }) => slot)
	);
	return slots.filter(({ key }) => poor.has(key)).map(({ key }) => key);
}

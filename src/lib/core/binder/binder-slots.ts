import { numberingsOf } from '../checklist/numbering.ts';
import type { Release } from '../checklist/release.ts';
import { groupName } from '../goal/missing-list.ts';
import type { ScopedSlot } from '../goal/scope-goal.ts';
import type { BinderSlot } from './order-blocks.ts';

/** The slots of a goal as a binder lays them: release by release, the base finish first, then parallel by parallel. */
export function binderSlots(
	releases: readonly Release[],
	slots: readonly ScopedSlot[]
): readonly BinderSlot[] {
	return releases.flatMap((release) => slotsOfRelease(release, slots, releases.length > 1));
}

function slotsOfRelease(
	release: Release,
	slots: readonly ScopedSlot[],
	isOneOfMany: boolean
): readonly BinderSlot[] {
	const numberings = numberingsOf(release);
	const cards = new Map(
		numberings.flatMap((numbering) =>
			numbering.cards.map(({ card }) => [card.key, { card, owner: numbering.owner }] as const)
		)
	);
	const finish = new Map(
		[null, ...release.parallels.map(({ key }) => key)].map((key, i) => [key, i])
	);
	return slots
		.filter((slot) => slot.release === release.key)
		.sort(
			(a, b) => (finish.get(a.version.parallelKey) ?? 0) - (finish.get(b.version.parallelKey) ?? 0)
		)
		.map(({ key, version }) => {
			const found = cards.get(version.cardKey);
			if (!found)
				throw new RangeError(`binderSlots: no card "${version.cardKey}" in ${release.key}`);
			const { number, title, rarity, subjects, group } = found.card;
			return {
				key,
				number,
				title,
				...(rarity === undefined ? {} : { rarity }),
				subject: subjects[0] ?? title,
				...(group === undefined ? {} : { group }),
				block: `${isOneOfMany ? `${release.name}, ` : ''}${groupName(release, found.owner, version.parallelKey)}`
			};
		});
}

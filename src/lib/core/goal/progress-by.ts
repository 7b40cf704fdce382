import { group } from 'd3-array';
import type { Card } from '../checklist/card.ts';
import { wholeSections } from '../checklist/edition.ts';
import { seriesOf } from '../checklist/numbering.ts';
import { cardsOf, type Release } from '../checklist/release.ts';
import type { Filling } from './fill-slots.ts';
import type { ScopedSlot } from './scope-goal.ts';

/** How far a part of a goal is. */
export interface ProgressPart {
	readonly name: string;
	readonly have: number;
	readonly need: number;
}

/** A way to part a goal: by series, rarity class, group, a family of tags, or set. */
export interface ProgressDivision {
	readonly by: string;
	readonly parts: readonly ProgressPart[];
}

/**
 * A filling summed in every way that parts the goal in two or more: by series, rarity class, group, set,
 * and each family of tags. A slot whose card bears several words of a family counts in each; what bears
 * none is "other". Parts stand in the order in which the slots come, "other" last.
 */
export function progressBy(
	releases: readonly Release[],
	slots: readonly ScopedSlot[],
	filling: Filling
): readonly ProgressDivision[] {
	const short = new Map(filling.missing.map(({ slot, quantity }) => [slot, quantity]));
	const cards = cardsByKey(releases);
	const families = new Set([...cards.values()].flatMap(({ card }) => Object.keys(card.tags ?? {})));
	const listed = ({ release, version }: ScopedSlot) => cards.get(`${release}/${version.cardKey}`);
	const wordOf = (of: (found: ListedCard) => string | undefined) => (slot: ScopedSlot) => {
		const found = listed(slot);
		const word = found && of(found);
		return word === undefined ? [] : [word];
	};
	const divide = (by: string, wordsOf: (slot: ScopedSlot) => readonly string[]) => {
		const parts = group(
			slots.flatMap((slot) => {
				const found = wordsOf(slot);
				return (found.length > 0 ? found : [OTHER]).map((word) => ({ word, slot }));
			}),
			({ word }) => word
		);
		const told = [...parts].map(([name, members]): ProgressPart => {
			const need = members.reduce((sum, { slot }) => sum + slot.quantity, 0);
			const lacking = members.reduce((sum, { slot }) => sum + (short.get(slot.key) ?? 0), 0);
			return { name, have: need - lacking, need };
		});
		return { by, parts: told.sort((a, b) => Number(a.name === OTHER) - Number(b.name === OTHER)) };
	};
	return [
		divide(
			'Series',
			wordOf(({ series }) => series)
		),
		divide(
			'Rarity class',
			wordOf(({ card }) => card.rarity)
		),
		divide(
			'Group',
			wordOf(({ card }) => card.group)
		),
		...[...families].map((family) =>
			divide(family, (slot) => {
				const { tags = {} } = listed(slot)?.card ?? {};
				return Object.hasOwn(tags, family) ? (tags[family] ?? []) : [];
			})
		),
		divide('Set', ({ set }) => [`Set ${set}`])
	].filter(({ parts }) => parts.length > 1);
}

/** What stands for cards that bear no word of a family. */
const OTHER = 'other';

/** A card with the series of its numbering that it was sold in. */
interface ListedCard {
	readonly card: Card;
	readonly series: string | undefined;
}

/** By `release/card`. */
function cardsByKey(releases: readonly Release[]): ReadonlyMap<string, ListedCard> {
	return new Map(
		releases.flatMap((release) => {
			const owners = new Map(wholeSections(release).map((section) => [section.key, section]));
			return cardsOf(release).map(({ section, card }) => {
				const owner = owners.get(section.numberedIn ?? section.key) ?? section;
				const series = seriesOf(owner, card.number)?.name;
				return [`${release.key}/${card.key}`, { card, series }] as const;
			});
		})
	);
}

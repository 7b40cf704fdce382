import type { Card } from '../checklist/card.ts';
import { seriesFinder } from '../checklist/numbering.ts';
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
	// There may be half a million slots: what each asks, of which card, is looked up once.
	const asked = slots.map(({ key, quantity, release, version, set }) => ({
		need: quantity,
		lacks: short.get(key) ?? 0,
		listed: cards.get(`${release}/${version.cardKey}`),
		set
	}));
	const divide = (
		by: string,
		wordsOf: (slot: (typeof asked)[number]) => readonly string[]
	): ProgressDivision => {
		const parts = new Map<string, { have: number; need: number }>();
		for (const slot of asked) {
			const words = wordsOf(slot);
			for (const word of words.length > 0 ? words : [OTHER]) {
				const part = parts.get(word) ?? { have: 0, need: 0 };
				part.need += slot.need;
				part.have += slot.need - slot.lacks;
				parts.set(word, part);
			}
		}
		const told = [...parts].map(([name, part]) => ({ name, ...part }));
		return { by, parts: told.sort((a, b) => Number(a.name === OTHER) - Number(b.name === OTHER)) };
	};
	const word = (text: string | undefined) => (text === undefined ? [] : [text]);
	return [
		divide('Series', ({ listed }) => word(listed?.series)),
		divide('Rarity class', ({ listed }) => word(listed?.card.rarity)),
		divide('Group', ({ listed }) => word(listed?.card.group)),
		...[...families].map((family) =>
			divide(family, ({ listed }) => {
				const { tags = {} } = listed?.card ?? {};
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
			const seriesOf = seriesFinder(release);
			return cardsOf(release).map(({ section, card }) => {
				const series = seriesOf(section, card)?.name;
				return [`${release.key}/${card.key}`, { card, series }] as const;
			});
		})
	);
}

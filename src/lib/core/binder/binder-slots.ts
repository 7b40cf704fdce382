import { formatOfCard } from '../checklist/card-format.ts';
import type { Card } from '../checklist/card.ts';
import { numberingsOf, type NumberedCard } from '../checklist/numbering.ts';
import type { Release } from '../checklist/release.ts';
import type { Section } from '../checklist/section.ts';
import { formatOfVersion } from '../copies/version-format.ts';
import { groupName } from '../goal/missing-list.ts';
import type { ScopedSlot } from '../goal/scope-goal.ts';
import type { PocketSlot } from './join-goals.ts';
import type { BinderSlot, PuzzlePlace } from './binder-slot.ts';

/** What is known of the card that fills a slot. */
export interface SlotCard {
	/** ISO 8601 date */
	readonly arrivedOn?: string;
}

/** A slot that is laid; `goal`: that under which it is, where a binder holds several. */
type LaidSlot = ScopedSlot & Partial<Pick<PocketSlot, 'goal'>>;

/**
 * The slots of a binder's goals as it lays them: release by release, the base finish first, then parallel
 * by parallel. `cards` names the slots that are filled.
 */
export function binderSlots(
	releases: readonly Release[],
	slots: readonly LaidSlot[],
	cards: ReadonlyMap<string, SlotCard> = new Map()
): readonly BinderSlot[] {
	return releases.flatMap((release) => slotsOfRelease(release, slots, cards, releases.length > 1));
}

function slotsOfRelease(
	release: Release,
	slots: readonly LaidSlot[],
	filled: ReadonlyMap<string, SlotCard>,
	isOneOfMany: boolean
): readonly BinderSlot[] {
	const numberings = numberingsOf(release);
	const cards = new Map(
		numberings.flatMap((numbering) =>
			numbering.cards.map(
				(listed) => [listed.card.key, { ...listed, owner: numbering.owner }] as const
			)
		)
	);
	const places = puzzlePlaces(numberings.flatMap((numbering) => numbering.cards));
	const stockOf = new Map<string | null, number | undefined>(
		release.parallels.map(({ key, stockPt }) => [key, stockPt])
	);
	const finish = new Map(
		[null, ...release.parallels.map(({ key }) => key)].map((key, i) => [key, i])
	);
	/** The first slot of a card in a finish; what follows are its variants. */
	const nameOf = ({ release: home, version, set, goal }: LaidSlot) =>
		`${goal ?? ''} ${home} ${version.cardKey} ${version.parallelKey} ${set}`;
	const firsts = new Map([...slots].reverse().map((slot) => [nameOf(slot), slot.key]));
	const isFirst = (slot: LaidSlot) => firsts.get(nameOf(slot)) === slot.key;
	const title = isOneOfMany ? `${release.name}, ` : '';
	return slots
		.filter((slot) => slot.release === release.key)
		.sort(
			(a, b) => (finish.get(a.version.parallelKey) ?? 0) - (finish.get(b.version.parallelKey) ?? 0)
		)
		.map((slot): BinderSlot => {
			const { key, version, set, goal } = slot;
			const found = cards.get(version.cardKey);
			if (!found)
				throw new RangeError(`binderSlots: no card "${version.cardKey}" in ${release.key}`);
			const { card, owner } = found;
			const known = filled.get(key);
			const place = places.get(card);
			const format = formatOfVersion({
				format: formatOfCard(found.section, card),
				parallelPt: stockOf.get(version.parallelKey),
				swatch: version.swatch
			});
			return {
				key,
				number: card.number,
				title: card.title,
				...(card.sortAs === undefined ? {} : { sortAs: card.sortAs }),
				...(card.rarity === undefined ? {} : { rarity: card.rarity }),
				subject: card.subjects[0] ?? card.title,
				...(card.group === undefined ? {} : { group: card.group }),
				block: blockName(release, owner, version.parallelKey, isOneOfMany),
				blockKey: `${release.key}/${owner.key}~${version.parallelKey ?? ''}`,
				numbering: `${title}${owner.name}`,
				numberingKey: `${release.key}/${owner.key}`,
				...(goal === undefined ? {} : { goal }),
				year: release.year,
				...(isFirst(slot) ? {} : { isVariant: true }),
				isFilled: known !== undefined,
				...(known?.arrivedOn ? { arrivedOn: known.arrivedOn } : {}),
				...(format ? { format } : {}),
				...(place && isFirst(slot)
					? { puzzle: { ...place, key: `${place.key}~${version.parallelKey ?? ''}#${set}` } }
					: {})
			};
		});
}

/** What a block of a binder is called: its section and finish, and its release where it is one of several. */
export function blockName(
	release: Release,
	owner: Section,
	parallelKey: string | null,
	isOneOfMany: boolean
): string {
	return `${isOneOfMany ? `${release.name}, ` : ''}${groupName(release, owner, parallelKey)}`;
}

/** The places of cards in the pictures of their sections; where none is stated, in number order. */
function puzzlePlaces(cards: readonly NumberedCard[]): ReadonlyMap<Card, PuzzlePlace> {
	const sections = new Map<Section, Card[]>();
	for (const { card, section } of cards) {
		if (section.arrangement?.kind !== 'puzzle') continue;
		const pictured = sections.get(section);
		if (pictured) pictured.push(card);
		else sections.set(section, [card]);
	}
	const places = new Map<Card, PuzzlePlace>();
	for (const [{ key, arrangement }, pictured] of sections) {
		if (!arrangement) continue;
		const { columns, rows } = arrangement;
		const isStated = pictured.some(({ place }) => place !== undefined);
		pictured.forEach((card, i) => {
			const place = isStated ? card.place : i + 1;
			places.set(card, { key, columns, rows, ...(place === undefined ? {} : { place }) });
		});
	}
	return places;
}

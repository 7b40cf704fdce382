import { wholeSections } from '../../checklist/edition.ts';
import type { Odds } from '../../checklist/odds.ts';
import { runRuleFor } from '../../checklist/parallel.ts';
import type { PackType, Release } from '../../checklist/release.ts';
import type { Card } from '../../checklist/card.ts';
import type { Section } from '../../checklist/section.ts';
import { plainName } from '../../checklist/slug.ts';

/** A finish of a section as one kind of pack may hold it. */
export interface PackFinish {
	/** Key of the pack type. */
	readonly pack: string;
	/** So many of them in so many packs; null: nobody says. */
	readonly odds: { readonly cards: number; readonly packs: number } | null;
}

/** A finish of a section, and where it comes from. */
export interface FinishSource {
	readonly sectionKey: string;
	/** null: the base finish */
	readonly parallelKey: string | null;
	/** Cards that were made in it. */
	readonly cards: number;
	/** Kinds of packs that may hold it, in their order; none: it comes in no pack. */
	readonly packs: readonly PackFinish[];
	/** Where it comes from that is no kind of pack: "by post". Null: packs. */
	readonly channel: string | null;
}

/** How a card that one lacks may come out of packs. */
export interface LackingSource extends PackFinish {
	/** The chance that a pack holds just this card, where the odds are stated. */
	readonly chance: number | null;
}

/**
 * Which finishes of which sections each kind of pack may hold. A finish that names a kind of pack as its
 * channel comes in that alone; one that states odds for some kinds comes in those; otherwise it comes wherever
 * its section does. A format made of packs of other kinds holds what these hold. Sections without cards
 * in a finish are left out.
 */
export function packFinishes(release: Release): readonly FinishSource[] {
	return wholeSections(release).flatMap((section) =>
		[null, ...release.parallels.map(({ key }) => key)].flatMap((parallelKey) => {
			const groups = new Map<
				string,
				{ source: Pick<FinishSource, 'packs' | 'channel'>; cards: number }
			>();
			for (const card of section.cards) {
				const source = finishSource(release, section, card, parallelKey);
				if (!source) continue;
				const { packs, channel } = source;
				const name = JSON.stringify([packs, channel]);
				const known = groups.get(name) ?? { source: { packs, channel }, cards: 0 };
				known.cards++;
				groups.set(name, known);
			}
			return [...groups.values()].map(({ source, cards }) => ({
				sectionKey: section.key,
				parallelKey,
				cards,
				...source
			}));
		})
	);
}

/** Which packs may hold a card in a finish: see `packFinder`. */
export type FindPacks = (cardKey: string, parallelKey: string | null) => readonly LackingSource[];

/**
 * Tells which packs may hold a card in a finish, the likeliest first; a chance follows from stated odds and
 * the number of cards that share them. Empty: it comes in no pack, or there is no such version. A finish
 * is gone through once, however many of its cards are asked for.
 */
export function packFinder(release: Release): FindPacks {
	const sections = wholeSections(release);
	const sourcesIn = (parallelKey: string | null) => {
		const byCard = new Map<string, FinishOrigin>();
		// Cards over which the same odds are stated come equally often, as far as anybody knows.
		const sharing = new Map<object, number>();
		for (const section of sections) {
			for (const card of section.cards) {
				const source = finishSource(release, section, card, parallelKey);
				if (!source) continue;
				byCard.set(card.key, source);
				sharing.set(source.statedFor, (sharing.get(source.statedFor) ?? 0) + 1);
			}
		}
		return { byCard, sharing };
	};
	const finishes = new Map<string | null, ReturnType<typeof sourcesIn>>();
	return (cardKey, parallelKey) => {
		const known = finishes.get(parallelKey) ?? sourcesIn(parallelKey);
		finishes.set(parallelKey, known);
		const source = known.byCard.get(cardKey);
		return source ? packsOf(release, source, known.sharing.get(source.statedFor) ?? 1) : [];
	};
}

function packsOf(
	release: Release,
	{ packs }: FinishOrigin,
	sharing: number
): readonly LackingSource[] {
	const byKey = new Map(packs.map((pack) => [pack.pack, pack]));
	/** Of a format made of others: that some of these holds it; 0 where none can, null where nobody says. */
	const chanceIn = (key: string, seen: readonly string[]): number | null => {
		const found = byKey.get(key);
		if (!found) return 0;
		if (found.odds) return Math.min(1, found.odds.cards / found.odds.packs / sharing);
		const parts = release.packTypes.find((pack) => pack.key === key)?.packs ?? [];
		const chances = parts.map(({ packType, count }) => ({
			count,
			chance: seen.includes(packType) ? null : chanceIn(packType, [...seen, packType])
		}));
		if (chances.length === 0 || chances.some(({ chance }) => chance === null)) return null;
		const none = chances.reduce(
			(sum, { count, chance }) => sum + count * Math.log1p(-(chance ?? 0)),
			0
		);
		return -Math.expm1(none);
	};
	return packs
		.map(({ pack, odds }) => ({ pack, odds, chance: chanceIn(pack, [pack]) }))
		.sort((a, b) => (b.chance ?? -1) - (a.chance ?? -1));
}

export interface FinishOrigin extends Pick<FinishSource, 'packs' | 'channel'> {
	/** The card, section or run rule over whose cards the odds are stated. */
	readonly statedFor: object;
}

/** Where a card comes from in a finish, and what its odds are stated of; null where it was not made in it. */
export function finishSource(
	release: Release,
	section: Section,
	card: Card,
	parallelKey: string | null
): FinishOrigin | null {
	const ofCard = card.onlyIn ?? section.onlyIn;
	if (parallelKey === null) {
		if (section.noBaseFinish) return null;
		const statedFor = card.odds ? card : section;
		return {
			packs: inPacks(release, ofCard, card.odds ?? section.odds),
			channel: null,
			statedFor
		};
	}
	const parallel = release.parallels.find(({ key }) => key === parallelKey);
	const rule = parallel && runRuleFor(parallel, section, card);
	if (!rule) return null;
	const channel = rule.channel ?? parallel.channel;
	if (channel === undefined) {
		const odds = rule.odds ?? [];
		const only = ofCard ?? (odds.length > 0 ? odds.map(({ packType }) => packType) : undefined);
		return { packs: inPacks(release, only, odds), channel: null, statedFor: rule };
	}
	const named = release.packTypes.filter(
		({ key, name }) =>
			plainName(key) === plainName(channel) || plainName(name) === plainName(channel)
	);
	if (named.length === 0) return { packs: [], channel, statedFor: rule };
	const only = named.map(({ key }) => key);
	return { packs: inPacks(release, only, rule.odds ?? []), channel: null, statedFor: rule };
}

/** The kinds of packs of a release that hold something, those made of others by what these hold. */
function inPacks(
	{ packTypes }: Release,
	only: readonly string[] | undefined,
	odds: readonly Odds[]
): readonly PackFinish[] {
	const byKey = new Map(packTypes.map((pack) => [pack.key, pack]));
	const plain = new Map<string, PackFinish['odds']>();
	for (const { key, packs } of packTypes) {
		if (packs !== undefined || (only && !only.includes(key))) continue;
		const stated = odds.find(({ packType }) => packType === key);
		plain.set(key, stated ? { cards: stated.cards, packs: stated.packs } : null);
	}
	const holds = (pack: PackType, seen: readonly string[]): boolean =>
		pack.packs === undefined
			? plain.has(pack.key)
			: (only?.includes(pack.key) ?? false) ||
				pack.packs.some(({ packType }) => {
					const part = byKey.get(packType);
					return part !== undefined && !seen.includes(packType) && holds(part, [...seen, packType]);
				});
	return packTypes
		.filter((pack) => holds(pack, [pack.key]))
		.map(({ key }) => {
			const stated = odds.find(({ packType }) => packType === key);
			return {
				pack: key,
				odds: plain.get(key) ?? (stated ? { cards: stated.cards, packs: stated.packs } : null)
			};
		});
}

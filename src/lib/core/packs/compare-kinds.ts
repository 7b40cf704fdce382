import { group, sum } from 'd3-array';
import { packsInside, type PackType, type Release } from '../checklist/release.ts';
import type { PackWant } from './plan-packs.ts';
import type { PackProfile } from './profile/pack-profile.ts';
import { mostOften, packRates } from './profile/pack-rates.ts';
import { profileOfRelease } from './profile/profile-of-release.ts';
import { packsLookedAt } from './stop/packs-looked-at.ts';
import { pricedClasses, type ExtraRule } from './stop/priced-classes.ts';
import { stopCards, type PlacedCards } from './stop/stop-cards.ts';
import { stopPlan, type CostAt, type StopPlan } from './stop/when-to-stop.ts';

/** Packs that can be bought: of one kind, or a format made of several. */
export interface KindAsked {
	readonly key: string;
	readonly release: Release;
	readonly pack: PackType;
	/** Of one, in the currency of the wants; null: nobody knows. */
	readonly priceMinor: number | null;
}

export interface KindsAsked {
	readonly kinds: readonly KindAsked[];
	readonly wants: readonly PackWant[];
	/** What postage adds to a single. */
	readonly postageMinor: number;
	readonly extra: ExtraRule;
}

/** What one kind is good for. */
export interface ComparedKind {
	readonly key: string;
	/** Lacking copies that it may hold. */
	readonly lacking: number;
	/** Of them a pack brings so many now, on average. */
	readonly newAPack: number;
	/** The best number of it alone, and what that costs in the end; null: its price is not known. */
	readonly best: CostAt | null;
	/** It is best to open as many as there are. */
	readonly isAtMost: boolean;
}

export interface KindsCompared {
	readonly kinds: readonly ComparedKind[];
	/** Singles of what such packs may hold. */
	readonly noneMinor: number;
	/** The best of all kinds whose price is known together. */
	readonly best: StopPlan['best'];
	readonly isNone: boolean;
}

/** A kind that holds cards itself. */
interface PlainKind {
	readonly profile: PackProfile;
	/** By version: its group, and how often it comes in a pack, on average. */
	readonly groupOf: ReadonlyMap<string, string>;
	readonly rates: ReadonlyMap<string, number>;
}

/**
 * Which packs hold what is lacking, and how many of each are best, alone and together; formats are opened whole. A want that
 * several versions may fill counts for the one that comes most often in any of them.
 */
export function compareKinds({ kinds, wants, postageMinor, extra }: KindsAsked): KindsCompared {
	const { names, placed } = placeWants({ kinds, wants, postageMinor, extra });
	const options = kinds.map(({ key, release, pack, priceMinor }) => ({
		...{ key, priceMinor, packsTogether: 1 },
		opens: opensOf(names, release, pack),
		most: packsLookedAt(pack)
	}));
	const priced = options.flatMap(({ priceMinor, ...option }) =>
		priceMinor === null ? [] : [{ ...option, priceMinor }]
	);
	const plan = stopPlan(priced, placed);
	return {
		kinds: options.map(({ key, opens }): ComparedKind => {
			const alone = plan.options.find((option) => option.key === key);
			const found = placed.filter(({ laws }) => laws.some((law, k) => law && (opens[k] ?? 0) > 0));
			return {
				key,
				lacking: sum(found, (some) => some.cards * some.lacking),
				newAPack: sum(found, ({ laws, lacking, cards: count }) =>
					lacking > 0 ? count * sum(laws, (law, k) => (law?.rate ?? 0) * (opens[k] ?? 0)) : 0
				),
				best: alone?.best ?? null,
				isAtMost: alone?.isAtMost ?? false
			};
		}),
		...{ noneMinor: plan.noneMinor, best: plan.best, isNone: plan.isNone }
	};
}

/**
 * What so many of a kind bring on average: singles of what is lacking that need not be bought, and what extra copies bring; in
 * minor units. Null: they hold nothing whose odds are known.
 */
export function packsBring(
	{ release, pack, packs }: Omit<KindAsked, 'key' | 'priceMinor'> & { readonly packs: number },
	rules: Omit<KindsAsked, 'kinds'>
): number | null {
	const kind = { key: pack.key, release, pack, priceMinor: 0 };
	const { names, placed, isKnown } = placeWants({ kinds: [kind], ...rules });
	if (!isKnown) return null;
	const option = { ...kind, packsTogether: packs, most: packs };
	const plan = stopPlan([{ ...option, opens: opensOf(names, release, pack) }], placed);
	return plan.options[0]?.next.bringsMinor ?? null;
}

/** What is wanted, by how it comes in the packs of which all kinds are made; these by name, in their order. */
function placeWants({ kinds, wants, postageMinor, extra }: KindsAsked) {
	const plain = new Map<string, PlainKind>();
	for (const { release, pack } of kinds) {
		for (const { packType } of packsInside(pack)) {
			const part = release.packTypes.find(({ key }) => key === packType);
			const name = nameOf(release, packType);
			if (part && !plain.has(name)) plain.set(name, plainKind(release, part));
		}
	}
	const held = [...plain.values()];
	const cards = placedCards(held, wants, postageMinor, extra);
	const placed = stopCards(
		held.map(({ profile }) => profile),
		cards
	);
	const isKnown = held.some(({ profile }) => profile.groups.length > 0);
	return { names: [...plain.keys()], placed, isKnown };
}

const nameOf = ({ key }: Release, packType: string) => `${key} ${packType}`;

/** How many packs of each name are in one of a kind. */
function opensOf(names: readonly string[], release: Release, pack: PackType): readonly number[] {
	const parts = new Map(
		packsInside(pack).map(({ packType, count }) => [nameOf(release, packType), count])
	);
	return names.map((name) => parts.get(name) ?? 0);
}

function plainKind(release: Release, pack: PackType): PlainKind {
	const held = profileOfRelease(release, pack, () => 0);
	return {
		profile: held.profile,
		groupOf: new Map(
			held.groups.flatMap(({ key, versions }) => versions.map((version) => [version, key] as const))
		),
		rates: packRates(held)
	};
}

/** Wanted cards by the groups that have them, by how many are lacking, and about by what they cost. */
function placedCards(
	kinds: readonly PlainKind[],
	wants: readonly PackWant[],
	postageMinor: number,
	extra: ExtraRule
): readonly PlacedCards[] {
	const rates = kinds.map((kind) => kind.rates);
	const found = wants.flatMap(({ versions, quantity, cardMinor }) => {
		const version = mostOften(versions, rates);
		if (version === undefined) return [];
		const groups = kinds.map(({ groupOf }) => groupOf.get(version) ?? null);
		return [{ groups, lacking: quantity, minor: cardMinor }];
	});
	return [...group(found, ({ groups }) => JSON.stringify(groups)).values()].flatMap((same) => {
		const comes = (same[0]?.groups ?? []).map((key) =>
			key === null ? null : { group: key, weight: 1 }
		);
		return pricedClasses(same, postageMinor, extra).map(({ weight: _, ...some }) => ({
			...{ ...some, comes }
		}));
	});
}

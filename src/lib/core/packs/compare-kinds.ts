import { group, sum } from 'd3-array';
import type { PackType, Release } from '../checklist/release.ts';
import type { PackWant } from './plan-packs.ts';
import type { PackProfile } from './profile/pack-profile.ts';
import { profileOfRelease } from './profile/profile-of-release.ts';
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

const BOXES = 12;
const LEAST_PACKS = 120;
const MOST_PACKS = 2000;

/** A kind that holds cards itself. */
interface PlainKind {
	readonly profile: PackProfile;
	/** By version: its group, and how often it comes in a pack, on average. */
	readonly groupOf: ReadonlyMap<string, string>;
	readonly rateOf: ReadonlyMap<string, number>;
}

/**
 * Which packs hold what is lacking, and how many of each are best, alone and together; formats are opened whole. A want that
 * several versions may fill counts for the one that comes most often in any of them.
 */
export function compareKinds({ kinds, wants, postageMinor, extra }: KindsAsked): KindsCompared {
	const plain = new Map<string, PlainKind>();
	const nameOf = ({ key }: Release, packType: string) => `${key} ${packType}`;
	for (const { release, pack } of kinds) {
		for (const { packType } of partsOf(pack)) {
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
	const options = kinds.map(({ key, release, pack, priceMinor }) => {
		const parts = new Map(
			partsOf(pack).map(({ packType, count }) => [nameOf(release, packType), count])
		);
		const perBox = pack.packsPerBox ?? 1;
		return {
			...{ key, priceMinor, packsTogether: 1 },
			opens: [...plain.keys()].map((name) => parts.get(name) ?? 0),
			most: Math.min(MOST_PACKS, Math.max(BOXES * perBox, LEAST_PACKS))
		};
	});
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

/** The packs in one of a kind: itself, or those that a format is made of. */
const partsOf = ({ key, packs }: PackType) => packs ?? [{ packType: key, count: 1 }];

function plainKind(release: Release, pack: PackType): PlainKind {
	const { profile, groups } = profileOfRelease(release, pack, () => 0);
	const comes = new Map(profile.groups.map(({ key, comes: way }) => [key, way]));
	const found = groups.flatMap(({ key, versions }) => {
		const way = comes.get(key);
		const rate = way?.sort === 'count' ? way.count : way ? way.cards / way.packs : 0;
		return versions.map((version) => ({ version, key, rate: rate / versions.length }));
	});
	return {
		profile,
		groupOf: new Map(found.map(({ version, key }) => [version, key])),
		rateOf: new Map(found.map(({ version, rate }) => [version, rate]))
	};
}

/** Wanted cards by the groups that have them, by how many are lacking, and about by what they cost. */
function placedCards(
	kinds: readonly PlainKind[],
	wants: readonly PackWant[],
	postageMinor: number,
	extra: ExtraRule
): readonly PlacedCards[] {
	const rateOf = (version: string) =>
		Math.max(0, ...kinds.map((kind) => kind.rateOf.get(version) ?? 0));
	const found = wants.flatMap(({ versions, quantity, cardMinor }) => {
		const [version] = versions
			.filter((each) => rateOf(each) > 0)
			.toSorted((a, b) => rateOf(b) - rateOf(a));
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

import { sum } from 'd3-array';
import type { PackType, Release } from '../checklist/release.ts';
import { packOdds, type PackOdds } from './odds/pack-odds.ts';
import { mostOften, packRates } from './profile/pack-rates.ts';
import type { PackGroup, PackProfile } from './profile/pack-profile.ts';
import {
	profileOfRelease,
	type NamedGroup,
	type ReleasePack
} from './profile/profile-of-release.ts';
import type { TradeRules } from './simulate/pack-game.ts';
import { tradeDoubles } from './simulate/trade-doubles.ts';
import { MOST_PACKS, packsLookedAt } from './stop/packs-looked-at.ts';
import { pricedClasses, type ExtraRule } from './stop/priced-classes.ts';
import { whenToStop, type StopPlan } from './stop/when-to-stop.ts';

/** A card that is asked for. */
export interface PackWant {
	/** Any one of these versions fills it. */
	readonly versions: readonly string[];
	/** How many are lacking; 0: it is here, and its price says what a double brings. */
	readonly quantity: number;
	/** What it costs as a single, without postage, in minor units; null: nobody knows. */
	readonly cardMinor: number | null;
}

/** Packs of a kind, and what is lacking. */
export interface PacksWanted {
	readonly release: Release;
	/** A kind that holds cards itself. */
	readonly pack: PackType;
	readonly wants: readonly PackWant[];
	/** Packs that may be opened. */
	readonly packs: number;
	/** What postage adds to a single. */
	readonly postageMinor: number;
	readonly extra: ExtraRule;
}

export interface PacksAsked extends PacksWanted {
	/** Of a pack, in the currency of the wants; null: nobody knows, and nothing is said of when to stop. */
	readonly priceMinor: number | null;
}

/** A group as it is told: its odds, and what is lacking of it. */
export interface PlannedGroup extends NamedGroup {
	readonly comes: PackGroup['comes'];
	/** So many in every box for certain, with the others of its place; null: chance decides. */
	readonly perBox: number | null;
	/** Name of the group whose place a card of it takes; null: it takes none. */
	readonly insteadOf: string | null;
	readonly lacking: number;
}

/** What opening packs promises for what is lacking. */
export interface PacksPlan {
	readonly groups: readonly PlannedGroup[];
	/** Copies lacking in all groups. */
	readonly lacking: number;
	readonly odds: PackOdds;
	/** Copies missing after the packs asked for, on average; and after trades with friends who have everything. */
	readonly trades: {
		readonly missing: number;
		/** One for one within a group; then also so many doubles for a card of a group by odds. */
		readonly oneForOne: number;
		readonly forHarder: number;
		readonly doublesForHarder: number;
	};
	/** Groups that such packs may hold and of which something is lacking, but nobody states their odds. */
	readonly unstated: readonly { readonly name: string; readonly lacking: number }[];
	/** By single packs and by boxes; null: nobody says what a pack costs. */
	readonly stop: StopPlan | null;
	/** Lacking copies that such packs are not known to hold, and those without a price: they are in no sum. */
	readonly elsewhere: number;
	readonly unpriced: number;
}

/** Doubles that go for a harder card: a rule of thumb of ours. */
const FOR_HARDER = 10;
/** Points of the curves. */
const POINTS = 60;

/**
 * What packs of a kind promise for what is lacking, and when to stop opening them. A want that several versions may fill
 * counts for the one that comes most often. Null: the pack holds nothing whose odds are known.
 */
export function planPacks(asked: PacksAsked): PacksPlan | null {
	const { pack, priceMinor } = asked;
	const held = heldBy(asked);
	if (!held) return null;
	const { profile, groups, unstated, lacking, open, elsewhere, unpriced } = held;
	const horizon = Math.min(MOST_PACKS, Math.max(asked.packs, 6 * (pack.packsPerBox ?? 0), 40));
	const points = Array.from({ length: POINTS + 1 }, (_, i) => Math.round((horizon * i) / POINTS));
	const odds = packOdds(profile, asked.packs, [...new Set(points)]);
	return {
		groups: groups.map((each): PlannedGroup => ({
			...each,
			comes: profile.groups.find(({ key }) => key === each.key)?.comes ?? {
				...{ sort: 'count', count: 0, isAllDifferent: true }
			},
			perBox: perBoxOf(profile, each.key),
			insteadOf: profile.groups.find(({ key }) => key === each.key)?.takesPlaceOf ?? null,
			lacking: sum(each.versions, (version) => lacking.get(version) ?? 0)
		})),
		lacking: sum(lacking.values()),
		...{ odds, trades: tradesOf(profile, odds) },
		unstated: unstated
			.map(({ name, versions }) => ({
				name,
				lacking: sum(versions, (version) => open.get(version) ?? 0)
			}))
			.filter(({ lacking: count }) => count > 0),
		...{ elsewhere, unpriced },
		stop: priceMinor === null ? null : stopFor(asked, held, priceMinor)
	};
}

function tradesOf({ groups }: PackProfile, odds: PackOdds): PacksPlan['trades'] {
	const harder = groups.filter(({ comes }) => comes.sort === 'odds').map(({ key }) => key);
	const left = (othersFor: TradeRules['othersFor']) =>
		sum(tradeDoubles(odds.groups, { isWithinGroup: true, othersFor }), ({ missing }) => missing);
	return {
		missing: sum(odds.groups, ({ missing }) => missing),
		oneForOne: left({}),
		forHarder: left(Object.fromEntries(harder.map((key) => [key, FOR_HARDER]))),
		doublesForHarder: FOR_HARDER
	};
}

function perBoxOf({ groups, guarantees }: PackProfile, key: string): number | null {
	const slot = groups.find((each) => each.key === key)?.slot;
	return guarantees.find((guarantee) => guarantee.slot === slot)?.count ?? null;
}

/** What a pack holds, with what is lacking of it and what that costs. */
export interface Held extends ReleasePack {
	/** By version. */
	readonly lacking: ReadonlyMap<string, number>;
	readonly prices: ReadonlyMap<string, number>;
	/** Lacking versions that no group of it has. */
	readonly open: ReadonlyMap<string, number>;
	readonly elsewhere: number;
	readonly unpriced: number;
}

/** What a pack holds of what is wanted; null: nothing of it is known. */
export function heldBy({
	release,
	pack,
	wants
}: Pick<PacksWanted, 'release' | 'pack' | 'wants'>): Held | null {
	const bare = profileOfRelease(release, pack, () => 0);
	if (bare.profile.groups.length === 0) return null;
	const rates = [packRates(bare)];
	const lacking = new Map<string, number>();
	const prices = new Map<string, number>();
	const open = new Map<string, number>();
	let [elsewhere, unpriced] = [0, 0];
	for (const { versions, quantity, cardMinor } of wants) {
		const version = mostOften(versions, rates);
		if (version === undefined) {
			elsewhere += quantity;
			for (const each of versions) open.set(each, quantity);
			continue;
		}
		if (quantity > 0) lacking.set(version, (lacking.get(version) ?? 0) + quantity);
		if (cardMinor === null) unpriced += quantity;
		else prices.set(version, cardMinor);
	}
	const known = profileOfRelease(release, pack, (version) => lacking.get(version) ?? 0);
	return { ...known, lacking, prices, open, elsewhere, unpriced };
}

function stopFor(asked: PacksAsked, held: Held, priceMinor: number): StopPlan {
	const { detailed, priced } = pricedProfile(asked, held);
	const perBox = asked.pack.packsPerBox ?? 1;
	const most = packsLookedAt(asked.pack, asked.packs);
	const option = { profile: detailed, priceMinor, most };
	return whenToStop(
		[
			{ key: 'pack', packsTogether: 1, ...option },
			...(perBox > 1 ? [{ key: 'box', packsTogether: perBox, ...option }] : [])
		],
		priced
	);
}

/** The profile with its cards by what they cost. */
function pricedProfile(
	{ postageMinor, extra }: PacksWanted,
	{ profile, groups, lacking, prices }: Held
) {
	const priced = new Map(
		groups.map(({ key, versions }) => [
			key,
			pricedClasses(
				versions.map((version) => ({
					lacking: lacking.get(version) ?? 0,
					minor: prices.get(version) ?? null
				})),
				postageMinor,
				extra
			)
		])
	);
	const detailed = {
		...profile,
		groups: profile.groups.map((each) => ({ ...each, classes: priced.get(each.key) ?? [] }))
	};
	return { detailed, priced };
}

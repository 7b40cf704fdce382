import type { PackType, Release } from '../../core/checklist/release.ts';
import { compareKinds } from '../../core/packs/compare-kinds.ts';
import { planPacks } from '../../core/packs/plan-packs.ts';
import { profileOfRelease } from '../../core/packs/profile/profile-of-release.ts';
import type { GoalId } from '../../core/row-id.ts';
import type { Reader } from '../database/open.ts';
import { readPackGround, statedPrice } from './pack-ground.ts';

/** What is asked of packs. */
export interface PacksAsk {
	readonly goal: GoalId | null;
	/** "release pack": keys; null: the first. */
	readonly pack: string | null;
	/** Packs that may be opened; null: a box, or ten. */
	readonly packs: number | null;
	/** What a pack costs; null: as the release says. */
	readonly priceMinor: number | null;
	/** What a single costs beside its price: its share of postage. */
	readonly postageMinor: number;
	/** What a double brings, in percent of what it costs, if it costs so much. */
	readonly extraPercent: number;
	readonly extraFromMinor: number;
}

/** Kinds of packs that are compared: a search over them all takes long. */
const MOST_KINDS = 8;

/** What packs promise for what a goal lacks. */
export async function packsView(db: Reader, ask: PacksAsk) {
	const ground = await readPackGround(db, ask.goal);
	const { currency, rates, goals, goal, wants } = ground;
	if (!goal) return { currency, goals, goal, kind: null, plan: null, compared: null, problems: [] };
	const kinds = ground.releases.flatMap((release) =>
		release.packTypes
			.filter(({ packs }) => packs === undefined)
			.filter((pack) => profileOfRelease(release, pack, () => 0).profile.groups.length > 0)
			.map((pack) => ({
				...{ key: `${release.key} ${pack.key}`, release, pack },
				name: `${release.name}: ${pack.name}`
			}))
	);
	const kind = kinds.find(({ key }) => key === ask.pack) ?? kinds[0];
	const head = {
		...{ currency, goals, goal },
		kinds: kinds.map(({ key, name }) => ({ key, name }))
	};
	if (!kind) return { ...head, kind: null, plan: null, compared: null, problems: [] };
	const problems = [...ground.problems];
	const { pack, release } = kind;
	const stated = statedPrice(pack, currency, rates);
	if (ask.priceMinor === null && pack.priceMinor !== undefined && stated === null) {
		const code = pack.currency ?? currency;
		problems.push({
			field: 'price',
			message: `the release says what a pack costs in ${code}, and no rate leads from there to ${currency}`,
			remedy: 'Keep a rate under Holders, or say what a pack costs here.'
		});
	}
	const priceMinor = ask.priceMinor ?? stated;
	const packs = ask.packs ?? pack.packsPerBox ?? 10;
	const rules = {
		postageMinor: ask.postageMinor,
		extra: { share: ask.extraPercent / 100, fromMinor: ask.extraFromMinor }
	};
	const plan = planPacks({ release, pack, wants, packs, priceMinor, ...rules });
	// What is looked at first, then its release, then the others.
	const nearness = (of: Release, each: PackType) => (each === pack ? 0 : of === release ? 1 : 2);
	const priced = ground.releases
		.flatMap((each) =>
			each.packTypes.map((packType) => ({
				...{ key: `${each.key} ${packType.key}`, release: each, pack: packType },
				priceMinor: packType === pack ? priceMinor : statedPrice(packType, currency, rates)
			}))
		)
		.toSorted((a, b) => nearness(a.release, a.pack) - nearness(b.release, b.pack))
		.slice(0, MOST_KINDS);
	const named = new Map(
		priced.map(({ key, release: of, pack: each }) => [
			key,
			{ name: `${of.name}: ${each.name}`, isFormat: each.packs !== undefined, release: of.key }
		])
	);
	const compared = compareKinds({ kinds: priced, wants, ...rules });
	return {
		...head,
		compared: {
			...compared,
			kinds: compared.kinds.flatMap((each, i) => {
				const names = named.get(each.key);
				const costs = priced[i]?.priceMinor ?? null;
				return names && each.lacking > 0 ? [{ ...each, ...names, priceMinor: costs }] : [];
			})
		},
		kind: {
			...{ key: kind.key, name: kind.name, packName: pack.name, packs, priceMinor },
			packsPerBox: pack.packsPerBox ?? null,
			cardsPerPack: pack.cardsPerPack ?? null,
			isPriceStated: ask.priceMinor === null
		},
		...{ plan, problems }
	};
}
export type PacksView = Awaited<ReturnType<typeof packsView>>;

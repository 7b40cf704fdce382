import { desc, eq } from 'drizzle-orm';
import { group, max, sum } from 'd3-array';
import { costPerNew } from '../../../core/packs/openings/cost-per-new.ts';
import { cardsIn, freshIn } from '../../../core/packs/openings/opened-pile.ts';
import { realisedOdds } from '../../../core/packs/openings/realised-odds.ts';
import { profileOfRelease } from '../../../core/packs/profile/profile-of-release.ts';
import type { OpeningId } from '../../../core/row-id.ts';
import { BUYING_RULES } from '../../buying/buying-rules.ts';
import { countOwned, readCopies } from '../../copies/read-copies.ts';
import { listSynonyms } from '../../copies/synonyms.ts';
import type { Reader } from '../../database/open.ts';
import { openedPiles, openings, releases } from '../../database/tables/index.ts';
import { readPreference } from '../../preferences/preferences.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { packKinds } from '../pack-kinds.ts';
import { groupsOf, readOpening, sharesOf } from './read-opening.ts';

/** All openings, the last first, with what came of them; and the packs of which another can be begun. */
export async function openingsView(db: Reader) {
	const { currency } = await readPreference(db, BUYING_RULES);
	const rows = await db
		.select({ row: openings, release: releases.name, packTypes: releases.packTypes })
		.from(openings)
		.innerJoin(releases, eq(releases.id, openings.releaseId))
		.orderBy(desc(openings.openedOn), desc(openings.id));
	const piles = group(await db.select().from(openedPiles), ({ openingId }) => openingId);
	return {
		currency,
		kinds: await packKinds(db),
		openings: rows.map(({ row, release, packTypes }) => {
			const opened = piles.get(row.id) ?? [];
			const packs = sum(opened, (pile) => pile.packs);
			return {
				...{ id: row.id, name: row.name, openedOn: row.openedOn, currency: row.currency, release },
				pack: packTypes.find(({ key }) => key === row.packType)?.name ?? row.packType,
				packs,
				cards: sum(opened, ({ pulls }) => cardsIn(pulls)),
				fresh: sum(opened, ({ pulls }) => freshIn(pulls)),
				costMinor: row.packMinor === null ? null : row.packMinor * packs,
				isShared: row.shareRules !== null
			};
		})
	};
}

/** Piles that are told, the last first. */
const MOST_PILES = 60;

/** One opening: what its packs held, what the odds say of it, what a new card cost, who gets what. Null: there is none. */
export async function openingView(db: Reader, id: OpeningId) {
	const opening = await readOpening(db, id);
	if (!opening) return null;
	const { row, stored, piles } = opening;
	const { release } = stored;
	const pack = release.packTypes.find(({ key }) => key === row.packType);
	const shares = await sharesOf(db, opening);
	const told = piles.slice(-MOST_PILES);
	const realised =
		pack &&
		realisedOdds(
			profileOfRelease(release, pack, () => 0),
			piles
		);
	const names = await nameVersions(db, [
		...new Set([
			...told.flatMap(({ pulls }) => pulls.map(({ version }) => version)),
			...shares.flatMap(({ cards }) => cards.map(({ version }) => version)),
			...[...(realised?.strangers ?? []), ...(realised?.unstated ?? [])].map(
				({ version }) => version
			)
		])
	]);
	const nameOf = (version: string) => names.get(version)?.card ?? version;
	const named = <Named extends { readonly version: string }>(list: readonly Named[]) =>
		list.map((each) => ({ ...each, name: nameOf(each.version) }));
	return {
		...{ id, name: row.name, openedOn: row.openedOn, currency: row.currency },
		...{ packMinor: row.packMinor, shareRules: row.shareRules, keeper: row.keeper },
		...{ sharedOn: row.sharedOn, releaseName: release.name, groups: groupsOf(release) },
		pack: { name: pack?.name ?? row.packType, cardsPerPack: pack?.cardsPerPack ?? null },
		packsPerBox: pack?.packsPerBox ?? null,
		/** What the last pile was: the next is likely the same. */
		nextPacks: piles.at(-1)?.packs ?? 1,
		packs: sum(piles, (pile) => pile.packs),
		cards: sum(piles, ({ pulls }) => cardsIn(pulls)),
		fresh: sum(piles, ({ pulls }) => freshIn(pulls)),
		before: piles.length - told.length,
		piles: told
			.map((pile, i) => ({
				...{ id: pile.id, number: piles.length - told.length + i + 1, packs: pile.packs },
				pulls: named(pile.pulls)
			}))
			.reverse(),
		realised: realised && {
			...realised,
			strangers: named(realised.strangers),
			unstated: named(realised.unstated)
		},
		points: costPerNew(piles, row.packMinor),
		shares: shares.map((share) => ({ ...share, cards: named(share.cards) })),
		mostShare: max(shares, ({ count }) => count) ?? 0,
		ground: {
			release,
			owned: [...countOwned(await readCopies(db, stored.id))],
			synonyms: (await listSynonyms(db)).map(({ word, means }) => [word, means] as const)
		}
	};
}
export type OpeningView = NonNullable<Awaited<ReturnType<typeof openingView>>>;

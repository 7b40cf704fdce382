import { asc, eq } from 'drizzle-orm';
import { formatPriceBreaks } from '../../../core/buying/offers/parse-price-breaks.ts';
import type { SheetWant } from '../../../core/buying/prices/sheet-want.ts';
import { cardsOf, type Release } from '../../../core/checklist/release.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import type { SellerId } from '../../../core/row-id.ts';
import { listSynonyms } from '../../copies/synonyms.ts';
import type { Reader } from '../../database/open.ts';
import { offerBundles, offers, releases } from '../../database/tables/index.ts';
import { loadRelease } from '../../releases/load-release.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { listSellers, readProblem } from '../plan/read-problem.ts';
import { listOfferRows } from './import-offers.ts';
import { nextSellers } from './next-seller-view.ts';

/** An offer as its seller's list shows it. */
interface ListedOffer {
	readonly id: number;
	readonly name: string;
	readonly release: string;
	readonly quantity: number;
	readonly condition: string | null;
	readonly minor: number;
	/** "5 for 1.50"; empty: none. */
	readonly lots: string;
	readonly seenOn: string;
	readonly isWanted: boolean;
}

/** Sellers, and what one of them offers; with what is needed to type more of it. */
export async function offersView(db: Reader, sellerId: SellerId | null, releaseKey: string | null) {
	const known = await listSellers(db);
	const seller = known.find(({ id }) => id === sellerId) ?? known[0] ?? null;
	const stored = await readProblem(db, {});
	const { wants, rules } = stored.view;
	const wanted = new Set(wants.flatMap(({ versions }) => versions));
	const some = seller
		? await db.select().from(offers).where(eq(offers.sellerId, seller.id)).orderBy(asc(offers.id))
		: [];
	const bundles = seller
		? await db.select().from(offerBundles).where(eq(offerBundles.sellerId, seller.id))
		: [];
	const names = await nameVersions(
		db,
		some.map(({ version }) => version)
	);
	const usual = some.at(-1)?.version.split('/')[0] ?? wants[0]?.releaseKey ?? null;
	const shown = await loadRelease(db, releaseKey ?? usual ?? '');
	const heads = await db
		.select({ key: releases.key, name: releases.name })
		.from(releases)
		.orderBy(asc(releases.name));
	return {
		currency: rules.currency,
		sellers: known,
		seller,
		releases: heads,
		next: nextSellers(
			stored,
			new Set(known.filter(({ isListWhole }) => isListWhole).map(({ id }) => String(id)))
		),
		ground: shown && {
			release: shown.release satisfies Release,
			lot: lotOf(shown.release, wanted),
			synonyms: (await listSynonyms(db)).map(({ word, means }) => [word, means] as const),
			wants: wants
				.filter((want) => want.releaseKey === shown.release.key)
				.map(({ sheet }): SheetWant & { readonly price: null } => ({ ...sheet, price: null }))
		},
		offers: some.map((offer): ListedOffer => {
			const { id, version, quantity, condition, grade, breaks, seenOn } = offer;
			const { card = version, release = '' } = names.get(version) ?? {};
			return {
				...{ id, name: card, release, quantity, seenOn, isWanted: wanted.has(version) },
				condition: grade === null ? condition : `graded ${grade}`,
				minor: breaks[0]?.minor ?? 0,
				lots: formatPriceBreaks(breaks, seller?.currency ?? rules.currency)
			};
		}),
		waiting: seller ? (await listOfferRows(db, seller.id)).length : 0,
		bundles: bundles.map(({ id, words, minor, isShipped, items }) => ({
			...{ id, words, minor, isShipped },
			cards: items.reduce((sum, { quantity }) => sum + quantity, 0)
		}))
	};
}

/** What an unsorted lot of a release may hold: its regular base cards, and how many of them are wanted. */
function lotOf(release: Release, wanted: ReadonlySet<string>) {
	const base = cardsOf(release).filter(
		({ section }) => section.kind === 'base' || section.kind === 'subset'
	);
	const keys = base.map(({ card }) =>
		formatVersionKey({ release: release.key, card: card.key, parallel: null, variant: null })
	);
	return { kinds: keys.length, wanted: keys.filter((key) => wanted.has(key)).length };
}

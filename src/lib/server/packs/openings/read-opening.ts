import { asc, eq } from 'drizzle-orm';
import { middleOf } from '../../../core/worth/prices/price.ts';
import { typicalPrice } from '../../../core/buying/prices/typical-price.ts';
import { wholeSections } from '../../../core/checklist/edition.ts';
import type { Release } from '../../../core/checklist/release.ts';
import { parseVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { copiesOf } from '../../../core/packs/openings/opened-pile.ts';
import { shareOut, type Share } from '../../../core/packs/openings/share-out.ts';
import { parseShareRules } from '../../../core/packs/openings/share-rules.ts';
import type { OpeningId } from '../../../core/row-id.ts';
import { readPriceBook } from '../../buying/prices/read-price-book.ts';
import type { Reader } from '../../database/open.ts';
import { openedPiles, openings, releases } from '../../database/tables/index.ts';
import { loadRelease } from '../../releases/load-release.ts';

/** An opening with its release, and its piles in the order in which they were opened. */
export async function readOpening(db: Reader, id: OpeningId) {
	const [found] = await db
		.select({ row: openings, key: releases.key })
		.from(openings)
		.innerJoin(releases, eq(releases.id, openings.releaseId))
		.where(eq(openings.id, id));
	const stored = found && (await loadRelease(db, found.key));
	if (!found || !stored) return null;
	const piles = await db
		.select()
		.from(openedPiles)
		.where(eq(openedPiles.openingId, id))
		.orderBy(asc(openedPiles.id));
	return { row: found.row, stored, piles };
}
export type StoredOpening = NonNullable<Awaited<ReturnType<typeof readOpening>>>;

/** The groups that cards of a release bear, as they come. */
export const groupsOf = (release: Release): readonly string[] => [
	...new Set(
		wholeSections(release).flatMap(({ cards }) => cards.flatMap(({ group }) => group ?? []))
	)
];

/** How an opening is shared out; nothing where nobody shares it. What a card is worth is what the price sheet says. */
export async function sharesOf(
	db: Reader,
	{ row, stored, piles }: StoredOpening
): Promise<readonly Share[]> {
	const { release, id } = stored;
	const rules = row.shareRules === null ? null : parseShareRules(row.shareRules, groupsOf(release));
	if (!rules?.ok) return [];
	const { points } = await readPriceBook(db, new Map([[id, release.key]]), row.currency);
	const groups = new Map(
		wholeSections(release).flatMap(({ cards }) => cards.map(({ key, group }) => [key, group]))
	);
	const cards = [...copiesOf(piles)].map(([version, quantity]) => {
		const price = typicalPrice(points.get(version) ?? [], { versions: [version] });
		return {
			...{ version, quantity },
			group: groups.get(parseVersionKey(version)?.card ?? '') ?? null,
			valueMinor: price && Math.round(middleOf(price))
		};
	});
	return shareOut(cards, rules.value);
}

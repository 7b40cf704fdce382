import { eq, sql } from 'drizzle-orm';
import { wholeSections } from '../../../core/checklist/edition.ts';
import { pieceSets } from '../../../core/checklist/versions/pieces.ts';
import { isAtHand } from '../../../core/copies/copy-record.ts';
import { OPENED } from '../../../core/packs/hidden/opened-mark.ts';
import { hiddenTiles } from '../../../core/packs/hidden/hidden-tiles.ts';
import type { CopyId } from '../../../core/row-id.ts';
import { countOwned, readCopies } from '../../copies/read-copies.ts';
import type { Reader } from '../../database/open.ts';
import { releases, variants } from '../../database/tables/index.ts';
import { loadRelease } from '../../releases/load-release.ts';

/** Cards of a release that hide tiles: what is here, and how many to open for a prize, and for all. */
export async function tilesView(db: Reader, asked: string | null) {
	const all = await db
		.selectDistinct({ key: releases.key, name: releases.name })
		.from(variants)
		.innerJoin(releases, eq(releases.id, variants.releaseId))
		.where(sql`${variants.rule} ->> 'kind' = 'piece'`)
		.orderBy(releases.name);
	const chosen = all.find(({ key }) => key === asked) ?? all[0];
	const stored = chosen && (await loadRelease(db, chosen.key));
	if (!chosen || !stored) return { releases: all, release: null };
	const { release } = stored;
	const present = await readCopies(db, stored.id);
	const sets = pieceSets(release, countOwned(present));
	const unopened = new Map<string, { readonly id: CopyId; readonly quantity: number }[]>();
	for (const copy of present) {
		const isOpened = (copy.attributes ?? []).includes(OPENED);
		if (isOpened || !isAtHand(copy)) continue;
		unopened.set(copy.version, [
			...(unopened.get(copy.version) ?? []),
			{ id: copy.id, quantity: copy.quantity }
		]);
	}
	const cards = new Map(
		wholeSections(release).flatMap((section) => section.cards.map((card) => [card.key, card]))
	);
	const nameOf = (key: string) => {
		const card = cards.get(key);
		return [card?.number, card?.title].filter(Boolean).join(' ') || key;
	};
	const tileNames = new Map(release.variants.map(({ key, name }) => [key, name]));
	const rows = sets.map(({ cardKey, pieces, fullSets, prize }) => {
		const copies = unopened.get(`${release.key}/${cardKey}`) ?? [];
		return {
			...{ cardKey, fullSets, name: nameOf(cardKey), prize: prize && nameOf(prize) },
			tiles: pieces.map(({ variantKey, owned }) => ({
				...{ key: variantKey, owned, name: tileNames.get(variantKey) ?? variantKey },
				/** A full set more needs it. */
				isMissing: owned <= fullSets
			})),
			copyId: copies[0]?.id ?? null,
			unopened: copies.reduce((sum, { quantity }) => sum + quantity, 0)
		};
	});
	const tiles = hiddenTiles(
		rows.map((row) => ({
			tiles: row.tiles.length,
			missing: row.tiles.filter(({ isMissing }) => isMissing).length,
			unopened: row.unopened
		}))
	);
	return { releases: all, release: chosen, rows, tiles };
}

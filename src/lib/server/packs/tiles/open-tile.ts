import { eq } from 'drizzle-orm';
import { wholeSections } from '../../../core/checklist/edition.ts';
import { variantsOf } from '../../../core/checklist/variant.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { OPENED } from '../../../core/packs/hidden/opened-mark.ts';
import { good, type Outcome } from '../../../core/problem.ts';
import type { CopyId } from '../../../core/row-id.ts';
import { changePicked } from '../../copies/change-copies.ts';
import type { Collection } from '../../database/open.ts';
import { copies, releases } from '../../database/tables/index.ts';
import { makeChange, refused } from '../../journal/change.ts';
import { loadRelease } from '../../releases/load-release.ts';

/**
 * Opens one copy of a card with a hidden tile: from then on it is the card with that tile.
 *
 * @param tile key of the tile's variant; null: it was gone, the copy is marked as opened
 */
export function openTile(
	collection: Collection,
	copyId: CopyId,
	tile: string | null
): Promise<Outcome<{ readonly id: CopyId }>> {
	return makeChange(collection, async (record, tx) => {
		const [found] = await tx
			.select({ copy: copies, key: releases.key })
			.from(copies)
			.innerJoin(releases, eq(releases.id, copies.releaseId))
			.where(eq(copies.id, copyId));
		const release = found && (await loadRelease(tx, found.key))?.release;
		const section =
			release &&
			wholeSections(release).find(({ cards }) =>
				cards.some(({ key }) => key === found.copy.cardKey)
			);
		const card = section?.cards.find(({ key }) => key === found?.copy.cardKey);
		const isUnopened =
			found?.copy.variantKey === null &&
			found.copy.parallelKey === null &&
			!found.copy.attributes.includes(OPENED);
		if (!found || !release || !section || !card || !isUnopened) {
			return refused([{ message: 'it is opened already', remedy: 'Reload the page.' }]);
		}
		const tiles = variantsOf(
			release.variants.filter(({ kind }) => kind === 'piece'),
			section,
			card
		);
		const inside = tiles.find(({ key }) => key === tile);
		if (tile !== null && !inside) {
			return refused([
				{ message: 'the card hides no such tile', remedy: 'Choose one of its tiles.' }
			]);
		}
		const done = await changePicked(record, tx, [
			inside
				? {
						...{ copyId, quantity: 1, fields: {} },
						version: formatVersionKey({
							...{ release: release.key, card: card.key, parallel: null, variant: inside.key }
						})
					}
				: {
						...{ copyId, quantity: 1 },
						fields: { attributes: [...found.copy.attributes, OPENED] }
					}
		]);
		if (!done.ok) return refused(done.problems);
		const [id] = done.value;
		if (id === undefined) throw new RangeError('openTile: no copy bears it');
		const label = `${card.number ?? card.title}: ${inside?.name ?? 'its tile was gone'}`;
		return { value: good({ id }), label };
	});
}

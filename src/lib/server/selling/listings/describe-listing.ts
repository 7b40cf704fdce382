import { inArray } from 'drizzle-orm';
import { cardFinder } from '../../../core/checklist/versions/find-version.ts';
import { formatVersionKey } from '../../../core/checklist/versions/version-key.ts';
import { formatQuality } from '../../../core/copies/quality-label.ts';
import { groupName } from '../../../core/goal/missing-list.ts';
import type { CopyId } from '../../../core/row-id.ts';
import type { ListingKind } from '../../../core/selling/listings/listing.ts';
import {
	listingText,
	type ListedCard,
	type ListingText
} from '../../../core/selling/listings/listing-text.ts';
import { qualityOfRow } from '../../copies/quality-of-row.ts';
import type { Reader } from '../../database/open.ts';
import { copies } from '../../database/tables/index.ts';
import { loadReleases } from '../../releases/load-release.ts';

/** A card of a listing with its copy. */
export interface DescribedCard extends ListedCard {
	readonly copyId: CopyId;
	readonly version: string;
	/** Name of the release. */
	readonly release: string;
}

/** Cards of copies as a buyer is told of them, in the order of the copies; those that are gone are left out. */
export async function describeCopies(
	db: Reader,
	picks: readonly { readonly copyId: CopyId; readonly quantity: number }[]
): Promise<readonly DescribedCard[]> {
	const rows = await db
		.select()
		.from(copies)
		.where(
			inArray(
				copies.id,
				picks.map(({ copyId }) => copyId)
			)
		);
	const stored = await loadReleases(db, [...new Set(rows.map(({ releaseId }) => releaseId))]);
	const finders = new Map(
		stored.map(({ id, release }) => [id, { release, find: cardFinder(release) }])
	);
	const rowOf = new Map(rows.map((row) => [row.id, row]));
	return picks.flatMap(({ copyId, quantity }): readonly DescribedCard[] => {
		const row = rowOf.get(copyId);
		const ground = row && finders.get(row.releaseId);
		if (!row || !ground) return [];
		const { cardKey: card, parallelKey: parallel, variantKey: variant } = row;
		const { release, find } = ground;
		const version = formatVersionKey({ release: release.key, card, parallel, variant });
		const found = find(version);
		const variantName = release.variants.find(({ key }) => key === variant)?.name;
		const group = found ? groupName(release, found.section, parallel) : '';
		return [
			{
				...{ copyId, version, quantity, release: release.name },
				number: found?.card.number ?? null,
				title: found?.card.title ?? card,
				group: [group, variantName].filter(Boolean).join(', '),
				quality: formatQuality(qualityOfRow(row)),
				...{ house: row.house, certificate: row.certificate, serial: row.serial }
			}
		];
	});
}

/** Title and text for cards that are offered together: those of several releases under "several releases". */
export function textOfCards(kind: ListingKind, cards: readonly DescribedCard[]): ListingText {
	const names = [...new Set(cards.map(({ release }) => release))];
	const [only = ''] = names;
	if (names.length === 1) return listingText(kind, only, cards);
	return listingText(
		kind,
		'several releases',
		cards.map((card) => ({ ...card, group: `${card.release}, ${card.group}` }))
	);
}

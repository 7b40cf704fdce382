import { inArray } from 'drizzle-orm';
import { sum } from 'd3-array';
import { formatQuality } from '../../../core/copies/quality-label.ts';
import { formatMinor } from '../../../core/money/minor-units.ts';
import type { Paper } from '../../../core/print/paper.ts';
import type { ListingId } from '../../../core/row-id.ts';
import { drawTable } from '../../../formats/pdf/draw-table.ts';
import { drawPdf } from '../../../formats/pdf/open-pdf.ts';
import { qualityOfRow } from '../../copies/quality-of-row.ts';
import type { Reader } from '../../database/open.ts';
import { copies, listings } from '../../database/tables/index.ts';
import { printFonts } from '../../print/fonts.ts';
import { nameVersions } from '../../releases/name-versions.ts';
import { readListings } from './read-listings.ts';

export interface PackingSlipAsk {
	/** What goes into the parcel. */
	readonly ids: readonly ListingId[];
	readonly paper: Paper;
	/** ISO 8601 moment */
	readonly now: string;
}

/** The slip that lies in a parcel: what is in it, card by card, for whom, and what was paid; null: no such listing was sold. */
export async function packingSlip(
	db: Reader,
	{ ids, paper, now }: PackingSlipAsk
): Promise<Uint8Array<ArrayBuffer> | null> {
	const sold = (await readListings(db, inArray(listings.id, [...ids])))
		.filter(({ soldOn }) => soldOn !== null)
		.toReversed();
	const [first] = sold;
	if (!first) return null;
	const cards = sold.flatMap((listing) => listing.cards);
	const names = await nameVersions(
		db,
		cards.map(({ version }) => version)
	);
	const rows = await db
		.select()
		.from(copies)
		.where(
			inArray(
				copies.id,
				cards.flatMap(({ copyId }) => copyId ?? [])
			)
		);
	const stateOf = new Map(rows.map((row) => [row.id, row]));
	const qualityOf = (card: (typeof cards)[number]): string => {
		const row = card.copyId === null ? card.gone[0] : stateOf.get(card.copyId);
		if (!row) return '';
		const quality = formatQuality(qualityOfRow(row));
		return quality === 'raw' ? '' : [row.house, quality].filter(Boolean).join(' ');
	};
	const buyers = [...new Set(sold.flatMap(({ buyer }) => buyer ?? []))];
	const { currency } = first;
	const same = sold.filter((listing) => listing.currency === currency);
	const price = sum(same, ({ soldMinor, chargedMinor }) => (soldMinor ?? 0) + (chargedMinor ?? 0));
	const paid = sold.every(({ paidOn }) => paidOn !== null) ? ', paid' : '';
	const money =
		same.length === sold.length
			? ` ${formatMinor(price, currency)} ${currency} with postage${paid}.`
			: '';
	return drawPdf(
		paper,
		await printFonts(),
		{ title: 'Packing slip', madeAt: new Date(now) },
		(sheet) =>
			drawTable(sheet, {
				title: buyers.length > 0 ? `Packing slip for ${buyers.join(', ')}` : 'Packing slip',
				note: `${sum(cards, ({ quantity }) => quantity)} cards, packed on ${now.slice(0, 10)}.${money}`,
				hasBoxes: true,
				columns: [
					{ title: 'Listing', share: 3 },
					{ title: 'Release', share: 3 },
					{ title: 'Card', share: 5 },
					{ title: 'State', share: 2 },
					{ title: 'Cards', share: 1, align: 'right' }
				],
				rows: sold.flatMap((listing) =>
					listing.cards.map((card, i) => [
						i === 0 ? listing.title : '',
						names.get(card.version)?.release ?? '',
						names.get(card.version)?.card ?? card.version,
						qualityOf(card),
						`${card.quantity}`
					])
				)
			})
	);
}

import { getTableName } from 'drizzle-orm';
import {
	bids,
	binderGoals,
	binderPockets,
	binders,
	blockNotes,
	boxCards,
	boxes,
	builds,
	cards,
	copies,
	counterparts,
	declinedKnowledge,
	discrepancies,
	dividers,
	goalChoices,
	goals,
	houses,
	listingCards,
	listings,
	lookAlikes,
	offerBundles,
	offerRows,
	offers,
	openedPiles,
	openings,
	orderLines,
	orders,
	outings,
	ownKinds,
	paletteFinishes,
	parallels,
	photos,
	pileCards,
	populationReports,
	preferences,
	priceLumps,
	pricePoints,
	referencePictures,
	releases,
	sealedLots,
	sections,
	sellers,
	shelves,
	slipLines,
	slips,
	submissionCards,
	submissions,
	supplyPrices,
	synonyms,
	trainedPairs,
	trayPiles,
	unmatchedRows,
	variants,
	wantMarks,
	worksheets
} from './index.ts';

/** Tables whose rows the journal keeps. `goal_progress` is derived and is refreshed instead. */
export const JOURNALLED = {
	releases,
	sections,
	cards,
	parallels,
	variants,
	copies,
	counterparts,
	goals,
	binders,
	block_notes: blockNotes,
	photos,
	synonyms,
	binder_goals: binderGoals,
	binder_pockets: binderPockets,
	outings,
	own_kinds: ownKinds,
	palette_finishes: paletteFinishes,
	supply_prices: supplyPrices,
	preferences,
	price_points: pricePoints,
	houses,
	population_reports: populationReports,
	price_lumps: priceLumps,
	goal_choices: goalChoices,
	want_marks: wantMarks,
	sellers,
	offers,
	offer_bundles: offerBundles,
	offer_rows: offerRows,
	orders,
	order_lines: orderLines,
	sealed_lots: sealedLots,
	openings,
	opened_piles: openedPiles,
	bids,
	shelves,
	boxes,
	dividers,
	box_cards: boxCards,
	slips,
	slip_lines: slipLines,
	declined_knowledge: declinedKnowledge,
	discrepancies,
	tray_piles: trayPiles,
	look_alikes: lookAlikes,
	reference_pictures: referencePictures,
	trained_pairs: trainedPairs,
	pile_cards: pileCards,
	unmatched_rows: unmatchedRows,
	submissions,
	submission_cards: submissionCards,
	worksheets,
	listings,
	listing_cards: listingCards,
	builds
} as const;
export type JournalledName = keyof typeof JOURNALLED;
export type JournalledTable = (typeof JOURNALLED)[JournalledName];

export type Row = Readonly<Record<string, unknown>> & { readonly id: number };

/** Rows of one table before and after: no `before` is an insert, no `after` a removal. */
export interface RowChange {
	readonly table: JournalledName;
	readonly before: readonly Row[];
	readonly after: readonly Row[];
}

export function nameOf(table: JournalledTable): JournalledName {
	const name = getTableName<JournalledTable>(table);
	if (!(name in JOURNALLED)) throw new RangeError(`nameOf: table "${name}" is not journalled`);
	return name;
}

declare const table: unique symbol;

/**
 * What a row of one table is known by, whatever its name or label: a whole number from 1 that cannot be
 * taken for the id of a row of another table.
 */
export type RowId<Table extends string> = number & { readonly [table]: Table };

export type BinderId = RowId<'binders'>;
export type BoxId = RowId<'boxes'>;
export type BuildId = RowId<'builds'>;
export type CardId = RowId<'cards'>;
/** A card's number in the search index: above 0 a listed card's id, below 0 that of a card which an edition repeats. */
export type IndexedCardId = RowId<'card_search'>;
export type CopyId = RowId<'copies'>;
export type DiscrepancyId = RowId<'discrepancies'>;
export type DividerId = RowId<'dividers'>;
export type GoalId = RowId<'goals'>;
export type HouseId = RowId<'houses'>;
export type ListingId = RowId<'listings'>;
export type ListingCardId = RowId<'listing_cards'>;
export type LookAlikesId = RowId<'look_alikes'>;
export type OfferRowId = RowId<'offer_rows'>;
export type OrderId = RowId<'orders'>;
export type OrderLineId = RowId<'order_lines'>;
export type BidId = RowId<'bids'>;
export type OpeningId = RowId<'openings'>;
export type OpenedPileId = RowId<'opened_piles'>;
export type OutingId = RowId<'outings'>;
export type PileCardId = RowId<'pile_cards'>;
export type PhotoId = RowId<'photos'>;
export type PopulationReportId = RowId<'population_reports'>;
export type PricePointId = RowId<'price_points'>;
export type ReferencePictureId = RowId<'reference_pictures'>;
export type ReleaseId = RowId<'releases'>;
export type SealedLotId = RowId<'sealed_lots'>;
export type SectionId = RowId<'sections'>;
export type SellerId = RowId<'sellers'>;
export type OfferId = RowId<'offers'>;
export type ShelfId = RowId<'shelves'>;
export type SlipId = RowId<'slips'>;
export type SlipLineId = RowId<'slip_lines'>;
export type StepId = RowId<'journal'>;
export type SubmissionId = RowId<'submissions'>;
export type SubmissionCardId = RowId<'submission_cards'>;
export type SynonymId = RowId<'synonyms'>;
export type TrainedPairId = RowId<'trained_pairs'>;
export type TrayId = RowId<'tray_piles'>;
export type UnmatchedId = RowId<'unmatched_rows'>;
export type WorksheetId = RowId<'worksheets'>;

/** Takes a number for an id that comes from outside; whether the row is there is another question. */
export function rowId<Table extends string>(id: number): RowId<Table> {
	if (!Number.isSafeInteger(id)) throw new RangeError(`rowId: ${id} is no id of a row`);
	return id as RowId<Table>;
}
